import { FeederBrief } from "../../ui/body/Limbs";
import type { Plan } from "./design";
import { duration } from "./turns";

/** Rounds by the clock, for the kinds that are left to the pair. */
export function Rounds({ plan }: { plan: Plan }) {
  if (plan.rounds.length === 0) return null;
  return (
    <section className="mt-3">
      <h2 className="text-base lg:text-[15px]">
        {plan.rounds.length} rounds of {duration(plan.rounds[0]!.seconds)}
      </h2>
      <p className="text-quiet">
        Counts: {plan.kind.counts} Stop: {plan.kind.stop}
      </p>
      <ol className="mt-1">
        {plan.rounds.map((round, index) => (
          <li key={index} className="flex flex-wrap gap-x-4 border-t border-rule py-1">
            <span className="w-6 text-right text-quiet">{index + 1}</span>
            <span className="w-24">{round.side} side</span>
            <span className="w-36">{round.bottom === "first" ? "first" : "second"} below</span>
            <span className="font-semibold">{round.placeTitle}</span>
          </li>
        ))}
      </ol>
      {plan.feeding.map((feeding) => (
        <div key={feeding.place} className="mt-2">
          <h3 className="font-semibold">{feeding.title}</h3>
          <FeederBrief feeder={feeding.feeder} />
        </div>
      ))}
    </section>
  );
}

/** What is done alone. */
export function Solo({ plan }: { plan: Plan }) {
  if (!plan.solo) return null;
  return (
    <section className="mt-3">
      <h2 className="text-base lg:text-[15px]">
        {new Set(plan.solo.lines.map((line) => line.movement)).size} movements stand behind{" "}
        {plan.solo.share >= 0.995 ? "all of it" : `${Math.round(plan.solo.share * 100)} of 100`}
      </h2>
      {!plan.solo.proven && <p className="text-quiet">There may be fewer; there were too many to be sure.</p>}
      <ol className="mt-1">
        {plan.solo.lines.map((line, index) => (
          <li key={index} className="border-t border-rule py-1.5">
            <span className="font-semibold">{line.title}</span>
            {line.side && ` · ${line.side}`} · {duration(line.minutes * 60)}, some {line.repetitions} times
            <span className="block text-quiet">{line.steps.join(" · ")}</span>
          </li>
        ))}
      </ol>
      {plan.solo.without.length > 0 && (
        <p className="text-quiet">Nothing solo stands behind {plan.solo.without.join(", ")}.</p>
      )}
    </section>
  );
}
