import type { Schemas } from "../../api/client";
import { fixing, type Lesson, type Plan } from "./lesson";
import { leftOutInWords, lineTitle } from "./words";

/** What did not come, and what it would have brought. */
export function LeftOut({
  map,
  plan,
  lesson,
  may,
  change,
}: {
  map: Schemas["Map"];
  plan: Plan;
  lesson: Lesson;
  may: boolean;
  change: (part: Partial<Lesson>) => void;
}) {
  if (plan.leftOut.length === 0) return null;
  return (
    <section aria-label="Left out" className="border-t-[3px] border-ink pt-2">
      <h2 className="flex items-baseline justify-between text-base">
        Left out <span className="font-normal text-quiet">would have brought</span>
      </h2>
      <ul>
        {plan.leftOut.map((left) => (
          <li key={left.unit.key} className="border-b border-rule py-1">
            <p className="flex items-baseline justify-between gap-2">
              <span className="font-semibold">{lineTitle(map, left.unit)}</span>
              <span className="shrink-0 font-semibold">+{(left.gain * 100).toFixed(1)}</span>
            </p>
            <p className="text-quiet">
              {leftOutInWords(map, left)}{" "}
              {may && left.costs !== null && left.costs !== undefined && (
                <button
                  type="button"
                  className="word"
                  aria-label={`Put in ${lineTitle(map, left.unit)}`}
                  onClick={() => change(fixing(lesson, left.unit.key, undefined))}
                >
                  Put in
                </button>
              )}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
