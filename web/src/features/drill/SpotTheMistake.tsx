import { lowerFirst } from "../map";
import type { Plan } from "./design";
import { spottingCall } from "./words";

const IN_A_BREATH = 5;

/** Right and wrong in turn, for a partner who stops at what is wrong and says why. */
export function SpotTheMistake({ plan }: { plan: Plan }) {
  if (plan.mistakes.length === 0) return null;
  const lines: number[][] = [];
  for (let at = 0; at < plan.spotting.length; at += IN_A_BREATH)
    lines.push(plan.spotting.slice(at, at + IN_A_BREATH));
  return (
    <section className="mt-5 break-inside-avoid border-t border-rule pt-2">
      <h2 className="text-base lg:text-[15px]">Spot the mistake</h2>
      <p className="text-quiet">
        {lines.length > 0
          ? "Whoever is on the bottom goes down the line, slowly. The partner stops at a letter, says what is wrong and where it would have led."
          : "What people do here and should not. Find it among what was tried, and say where it leads."}
      </p>
      <ol className="mt-1 space-y-1">
        {plan.mistakes.map((mistake, index) => (
          <li key={mistake.reaction} className="border-l-4 border-rust pl-3">
            {lines.length > 0 && (
              <span className="font-bold text-rust">
                {spottingCall(plan.links.length + index, plan.links.length)}{" "}
              </span>
            )}
            <span className="font-semibold">{mistake.title}</span>: {lowerFirst(mistake.why)}.
            {mistake.landings.length > 0 && (
              <span className="text-quiet">
                {" "}
                It leads to {mistake.landings.map(lowerFirst).join(" or ")}.
              </span>
            )}
          </li>
        ))}
      </ol>
      {lines.length > 0 && (
        <ol className="mt-2 flex flex-wrap gap-x-5 text-[19px] font-semibold">
          {lines.map((line, at) => (
            <li key={at}>{line.map((call) => spottingCall(call, plan.links.length)).join(" ")}</li>
          ))}
        </ol>
      )}
    </section>
  );
}
