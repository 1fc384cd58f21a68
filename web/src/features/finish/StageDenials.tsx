import type { Schemas } from "../../api/client";
import { Gate } from "../../ui/Gate";
import { hundred, seconds, STAGE_LABEL } from "../../labels";
import type { Ladder, Step } from "./holds";
import { ReactionLink } from "./ReactionLink";
import { gain, open, openLabel } from "./words";

/** At each stage the one answer that does most for its work. */
export function StageDenials({ map, ladder }: { map: Schemas["Map"]; ladder: Ladder }) {
  const most = ladder.steps.find((step) => step.stage === ladder.most);
  return (
    <section aria-label="Cheapest denial, stage by stage">
      <div className="flex items-end justify-between gap-3 border-b-2 border-ink pb-1">
        <h2 className="font-bold">Cheapest denial, stage by stage</h2>
        <span className="text-quiet">{openLabel(ladder.kind)}, of 100</span>
      </div>
      <ol>
        {ladder.steps.map((step) => (
          <StageRow key={step.stage} map={map} ladder={ladder} step={step} most={step === most} />
        ))}
      </ol>
      {most?.answer && (gain(most.answer) ?? 0) > 0 && (
        <p className="mt-2">
          <span className="bg-signal px-1.5 text-[#10201d]">most for the least work</span> {gain(most.answer)}{" "}
          more of 100 for work {most.answer && workOf(ladder, most)}.{" "}
          <span className="text-quiet">Ticks: before.</span>
        </p>
      )}
    </section>
  );
}

function workOf(ladder: Ladder, step: Step): number | undefined {
  return ladder.rungs.find((rung) => rung.need === step.need)?.work;
}

function StageRow({
  map,
  ladder,
  step,
  most,
}: {
  map: Schemas["Map"];
  ladder: Ladder;
  step: Step;
  most: boolean;
}) {
  const late = step.stage === "last-chance";
  const before = open(step.closes);
  const after = open(step.answer?.closes);
  const rung = ladder.rungs.find((one) => one.need === step.need);
  return (
    <li
      className={`grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 border-b border-rule py-1.5 sm:grid-cols-[88px_minmax(0,1fr)_132px_64px] ${
        most ? "border-l-8 border-l-signal pl-2" : "pl-4"
      }`}
    >
      <span className={`max-sm:col-span-2 ${late ? "font-semibold text-rust" : "text-quiet"}`}>
        {STAGE_LABEL[step.stage]}
      </span>
      <span className={`max-sm:col-span-2 ${most ? "font-semibold" : ""}`}>
        {step.answer ? (
          <>
            <ReactionLink map={map} reaction={step.answer.reaction} />
            <span className="block font-normal text-quiet">
              {seconds(step.answer.seconds)} · work {rung?.work} · denies {rung?.number}
            </span>
          </>
        ) : (
          <span className="border border-dashed border-rust px-2 py-0.5 text-rust">nothing taught here</span>
        )}
      </span>
      {before === undefined ? (
        <span className="text-quiet">–</span>
      ) : (
        <Gate worth={after ?? before} beside={before} late={late} height={12} className="grow" />
      )}
      <span className="text-right whitespace-nowrap">
        {before !== undefined && (
          <>
            {hundred(before)}
            {after !== undefined && (
              <>
                <span aria-hidden="true"> → </span>
                <span className="sr-only"> becomes </span>
                <span className="font-semibold">{hundred(after)}</span>
              </>
            )}
          </>
        )}
      </span>
    </li>
  );
}
