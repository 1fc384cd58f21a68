import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, STAGE_LABEL, tenths } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { Gate } from "../../ui/Gate";
import { closedInWords, paths, reactionTitle } from "../map";
import { settingQuery } from "../odds";
import type { Answer, Ladder, Rung } from "./holds";
import { ReactionLink } from "./ReactionLink";
import { open, openLabel } from "./words";
import { useMay } from "../session";

const GRID =
  "lg:grid lg:grid-cols-[92px_minmax(0,1.3fr)_188px_64px_128px_minmax(0,1.15fr)_minmax(0,1.15fr)] lg:gap-x-4";
/** On a tablet: what they have at the left, what you do at the right. */
const TABLET = "md:max-lg:grid md:max-lg:grid-cols-2 md:max-lg:gap-x-8";
const WHOLE = "md:max-lg:col-span-2";
const RIGHT = "md:max-lg:col-start-2";

/** The needs as a ladder: stacked gates, each as open as the chance that it does not close from there. */
export function Rungs({ map, ladder }: { map: Schemas["Map"]; ladder: Ladder }) {
  const strongest = Math.max(0, ...ladder.rungs.map((rung) => rung.importance ?? 0));
  return (
    <section className="mt-6" aria-label="What they need, in the order in which they build it">
      <div
        className={`items-end border-b border-ink pb-1 text-quiet max-lg:hidden! ${GRID}`}
        aria-hidden="true"
      >
        <span>Stage</span>
        <span>They need, in the order they build it</span>
        <span className="text-center">{openLabel(ladder.kind)}, of 100</span>
        <span>they get it, of 100</span>
        <span>hangs on it: more close with it than without</span>
        <span>Your denials</span>
        <span>Their fault, your opening</span>
      </div>
      <ol className="border-b-2 border-ink">
        {ladder.rungs.map((rung, at) => (
          <RungRow
            key={rung.need}
            map={map}
            ladder={ladder}
            rung={rung}
            first={at === 0 || ladder.rungs[at - 1]!.stage !== rung.stage}
            strongest={strongest}
          />
        ))}
      </ol>
    </section>
  );
}

function RungRow({
  map,
  ladder,
  rung,
  first,
  strongest,
}: {
  map: Schemas["Map"];
  ladder: Ladder;
  rung: Rung;
  /** The first of its stage. */
  first: boolean;
  strongest: number;
}) {
  const late = rung.stage === "last-chance";
  const stays = open(rung.closes);
  return (
    <li className={`border-t max-lg:py-3 ${first ? "border-ink" : "border-rule"} ${GRID} ${TABLET}`}>
      <span
        className={`${WHOLE} pt-3 font-semibold max-lg:pt-0 ${late ? "text-rust" : ""} ${first ? "" : "lg:invisible"}`}
      >
        {rung.stage ? STAGE_LABEL[rung.stage] : "Nobody said when"}
      </span>
      <div className={`py-3 max-lg:py-0 ${WHOLE}`}>
        <p className="flex gap-2">
          <span className="w-4 shrink-0 font-semibold">{rung.number}</span>
          <span>
            {rung.insteadOf && <span className="text-quiet">or, instead of {rung.insteadOf}: </span>}
            <span className="font-semibold">{rung.title}</span>
            {rung.sign && <span className="block text-quiet">{rung.sign}</span>}
          </span>
        </p>
      </div>
      <Funnel stays={stays} late={late} label={openLabel(ladder.kind)} />
      <p className="pt-3 max-lg:pt-1">
        <span className="text-quiet lg:sr-only">they get it </span>
        <span className="font-semibold">
          {rung.gets === null || rung.gets === undefined ? "–" : hundred(rung.gets)}
        </span>
        <span className="text-quiet lg:sr-only"> of 100</span>
      </p>
      <Importance rung={rung} strongest={strongest} />
      <Denials
        map={map}
        place={placeOf(map, ladder, rung)}
        rung={rung}
        tap={ladder.kind === "finish" && rung.number === ladder.rungs.length}
      />
      <div className={`py-3 max-lg:py-1 ${RIGHT} md:max-lg:row-start-5`}>
        {rung.openings.length > 0 && (
          <>
            <p className="text-quiet lg:sr-only">Their fault, your opening</p>
            <ul>
              {rung.openings.map((one) => (
                <li key={one.fault} className="mb-1 last:mb-0">
                  <span className="text-quiet">{one.fault}:</span> {one.leaves}
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </li>
  );
}

/** One gate of the funnel; the number stands in the gap, on a plate of its own where the gap is narrow. */
function Funnel({ stays, late, label }: { stays: number | undefined; late: boolean; label: string }) {
  if (stays === undefined) return <p className="pt-3 text-center text-quiet">–</p>;
  return (
    <div className="relative -my-px min-h-11 border-y-[3px] border-ink max-lg:my-1.5 max-lg:max-w-md">
      <div className="absolute inset-0">
        <Gate worth={stays} late={late} height="100%" className="h-full" />
      </div>
      <span className="absolute inset-0 flex items-center justify-center">
        <span
          className={`bg-lane px-1.5 text-[17px] font-semibold ${stays < 0.35 ? "border border-ink" : ""}`}
        >
          {hundred(stays)}
          <span className="sr-only"> of 100 {label}</span>
        </span>
      </span>
    </div>
  );
}

function Importance({ rung, strongest }: { rung: Rung; strongest: number }) {
  if (rung.importance === null || rung.importance === undefined)
    return <span className="max-lg:hidden">–</span>;
  const share = strongest > 0 ? (rung.importance / strongest) * 100 : 0;
  return (
    <div className="py-3 max-lg:max-w-md max-lg:py-1">
      <p className="flex items-center gap-2">
        <span className="text-quiet lg:sr-only">hangs on it </span>
        <span className="h-2 grow bg-lane" aria-hidden="true">
          <span className="block h-full bg-quiet" style={{ width: `${share}%` }} />
        </span>
        <span className="w-5 text-right font-semibold">{hundred(rung.importance)}</span>
      </p>
      <p className="text-quiet">
        {rung.shareOfFailures !== null && rung.shareOfFailures !== undefined
          ? `missing in ${hundred(rung.shareOfFailures)} of 100 that fail`
          : ""}
      </p>
    </div>
  );
}

/** Where an answer to a need would be taught: the place of its stage, or the first of the hold's. */
function placeOf(map: Schemas["Map"], ladder: Ladder, rung: Rung): string | undefined {
  return ladder.at.find((place) => indexOf(map).situation(place)?.stage === rung.stage) ?? ladder.at[0];
}

function Denials({
  map,
  place,
  rung,
  tap,
}: {
  map: Schemas["Map"];
  /** Where an answer would be taught. */
  place: string | undefined;
  rung: Rung;
  /** It closes with this one. */
  tap: boolean;
}) {
  const [params] = useSearchParams();
  const [own, others] = split(map, rung);
  const mayEdit = useMay("edit-maps");
  if (rung.answers.length === 0 && !mayEdit)
    return <p className={`py-3 text-quiet max-lg:py-1 ${RIGHT}`}>none taught</p>;
  if (rung.answers.length === 0) {
    return (
      <p className={`py-3 max-lg:py-1 ${RIGHT} md:max-lg:row-span-2 md:max-lg:row-start-3`}>
        <Link
          className="border border-dashed border-rust px-2 py-0.5 text-rust no-underline hover:underline"
          to={(place ? paths.situation(map.id, place) : paths.workshop(map.id)) + settingQuery(params)}
        >
          none taught
          {rung.ifAnswered ? `: +${tenths(rung.ifAnswered)} if it often worked` : ""}
        </Link>
      </p>
    );
  }
  const shown = own.length > 0 ? own : others;
  const folded = own.length > 0 ? others : [];
  return (
    <div className={`py-3 max-lg:py-1 ${RIGHT} md:max-lg:row-span-2 md:max-lg:row-start-3`}>
      <p className="text-quiet lg:sr-only">Your denials</p>
      <ul>
        {shown.slice(0, 2).map((answer) => (
          <DenialLine key={answer.reaction} map={map} answer={answer} staged={own.length === 0} />
        ))}
      </ul>
      {shown.length > 2 || folded.length > 0 ? (
        <details>
          <summary className="w-fit cursor-pointer text-quiet underline-offset-2 hover:underline max-lg:min-h-11 max-lg:content-center">
            {shown.slice(2).length + folded.length} more
          </summary>
          <ul>
            {[...shown.slice(2), ...folded].map((answer) => (
              <DenialLine
                key={answer.reaction}
                map={map}
                answer={answer}
                staged={answer.stage !== rung.stage}
              />
            ))}
          </ul>
        </details>
      ) : null}
      {tap && <p className="font-semibold text-rust">or tap</p>}
    </div>
  );
}

/** The answers of the need's own stage, and the others; what is taught in several places stands once, where it does most. */
function split(map: Schemas["Map"], rung: Rung): [Answer[], Answer[]] {
  const once = new Map<string, Answer>();
  const rank = (answer: Answer) => Number(answer.stage === rung.stage);
  for (const answer of [...rung.answers].sort((a, b) => rank(b) - rank(a))) {
    const title = reactionTitle(map, answer.reaction);
    if (!once.has(title)) once.set(title, answer);
  }
  const all = [...once.values()];
  return [
    all.filter((answer) => answer.stage === rung.stage),
    all.filter((answer) => answer.stage !== rung.stage),
  ];
}

function DenialLine({ map, answer, staged }: { map: Schemas["Map"]; answer: Answer; staged: boolean }) {
  const reaction = indexOf(map).reaction(answer.reaction);
  const closed = answer.closedBy.length > 0;
  return (
    <li className="mb-1 last:mb-0">
      {staged && <span className="text-quiet">{STAGE_LABEL[answer.stage].toLowerCase()}: </span>}
      <span className={closed ? "text-quiet line-through" : ""}>
        <ReactionLink map={map} reaction={answer.reaction} />
      </span>
      {closed && reaction && (
        <span className="block text-rust">closed {closedInWords(map, reaction, answer.closedBy)}</span>
      )}
    </li>
  );
}
