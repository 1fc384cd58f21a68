import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { Caution } from "../../ui/Notice";
import { lowerFirst } from "../map";
import type { Plan } from "./design";
import { duration, oneIn } from "./turns";
import { verdictInWords } from "./verdict";

/** What the drill costs and gives; every figure says what it is of. */
export function Figures({ map, plan }: { map: Schemas["Map"]; plan: Plan }) {
  const { figures, guessing, bound } = plan;
  const steps = figures.links > 0;
  return (
    <div className="space-y-3">
      {steps && (
        <>
          <Figure big={Math.round(figures.share * 100)} says="of 100 s working">
            <Share share={figures.share} />
            {duration(figures.working)} of {duration(figures.seconds)}. The rest is feeding, swapping and
            starting again.
          </Figure>
          <Figure big={figures.linksPerMinute.toFixed(1)} says="links a minute">
            One by one, each from the start, the same work would take {duration(plan.oneByOne)}.
          </Figure>
          <Figure big={figures.resets} says={figures.resets === 1 ? "reset" : "resets"}>
            {bound &&
              (bound.proven
                ? `Proven: one round loses ${duration(bound.lost)}, and none loses less.`
                : `One round loses ${duration(bound.lost)}; none can lose less than ${duration(bound.least)}.`)}
            {!bound && figures.resets === 0 && "It goes on from where it lands; nobody gets up."}
            {!bound && figures.resets > 0 && "Where nothing leads on, both go back to a start."}
          </Figure>
        </>
      )}
      {guessing && (
        <Figure big={Math.round(guessing.worst * 100)} says="of 100 guessed right">
          <Share share={guessing.worst} tick={guessing.luck} />
          By a partner who learns the habit. Blind luck is {oneIn(guessing.luck)}.
        </Figure>
      )}
      {plan.verdicts.map((verdict, index) => (
        <Caution key={index}>
          <strong>{verdict.asked}</strong>: {verdictInWords(map, verdict)}.{" "}
          {verdict.taken ? `Instead: ${lowerFirst(verdict.taken)}.` : "Nothing else is open from there."}
        </Caution>
      ))}
      {plan.unreached.length > 0 && (
        <p className="text-rust">
          The time does not reach {plan.unreached.map((n) => plan.links[n]!.word).join(", ")}. Take more
          minutes or fewer links.
        </p>
      )}
    </div>
  );
}

function Figure({ big, says, children }: { big: number | string; says: string; children: ReactNode }) {
  return (
    <section className="border-t border-rule pt-2">
      <p className="flex items-baseline gap-2">
        <span className="text-[26px] leading-none font-bold" style={{ fontStretch: "82%" }}>
          {big}
        </span>
        <span className="font-semibold">{says}</span>
      </p>
      <div className="mt-1 text-quiet">{children}</div>
    </section>
  );
}

function Share({ share, tick }: { share: number; tick?: number }) {
  return (
    <div aria-hidden="true" className="relative my-1 h-1.5 bg-lane">
      <div className="h-full bg-green" style={{ width: `${100 * share}%` }} />
      {tick !== undefined && (
        <div className="absolute -inset-y-1 w-[3px] bg-ink" style={{ left: `${100 * tick}%` }} />
      )}
    </div>
  );
}
