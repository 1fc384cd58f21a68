import type { Schemas } from "../../api/client";
import { clockAfter } from "../../ui/days";
import { holds, keeping, parting, type Group, type Lesson, type Line, type Planned } from "./lesson";
import { listed } from "../../ui/listed";
import { groupInWords, partLabel, unitTitle, type Names } from "./words";

/** Who works with whom in a line of the plan, and why. */
export function Pairs({
  map,
  planned,
  line,
  lesson,
  names,
  may,
  change,
}: {
  map: Schemas["Map"];
  planned: Planned;
  line: Line;
  lesson: Lesson;
  names: Names;
  may: boolean;
  change: (part: Partial<Lesson>) => void;
}) {
  return (
    <section aria-label="Pairs">
      <h2 className="flex items-baseline justify-between gap-2 text-base">
        <span>
          Pairs, {clockAfter(planned.lesson.starts, line.from)} {partLabel(line.unit).toLowerCase()}
        </span>
        {may && (
          <button
            type="button"
            className="word shrink-0"
            onClick={() => change({ turn: (lesson.turn + 1) % 1000 })}
          >
            Other pairs
          </button>
        )}
      </h2>
      <p className="truncate text-quiet">{unitTitle(map, line.unit, planned.plan ?? undefined)}</p>
      {[line.groups, ...line.later].map((groups, i) => (
        <div key={i}>
          {i > 0 && <h3 className="mt-2 text-[14px]">Then, partners changed</h3>}
          <ul className="mt-1">
            {groups.map((group) => (
              <Pair
                key={group.people.join()}
                group={group}
                lesson={lesson}
                names={names}
                may={may}
                change={change}
              />
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

/** Who really worked with whom in a part of a class that was run. */
export function Partners({ planned, line, names }: { planned: Planned; line: Line; names: Names }) {
  const pairs = planned.came.find((one) => one.unit === line.unit.key)?.pairs ?? [];
  return (
    <section aria-label="Who worked with whom">
      <h2 className="text-base">Who worked with whom</h2>
      {pairs.length === 0 ? (
        <p className="text-quiet">Nobody had a partner in it.</p>
      ) : (
        <ul className="mt-1">
          {pairs.map(({ one, other }) => (
            <li key={`${one} ${other}`} className="border-b border-rule py-1">
              {names(one)} and {names(other)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Pair({
  group,
  lesson,
  names,
  may,
  change,
}: {
  group: Group;
  lesson: Lesson;
  names: Names;
  may: boolean;
  change: (part: Partial<Lesson>) => void;
}) {
  const { words, mind } = groupInWords(group, names);
  const [a, b] = group.people;
  const two = group.people.length === 2 && a && b ? { a, b } : undefined;
  const who = listed(group.people.map(names));
  const kept = two && holds(lesson.together, two.a, two.b);
  return (
    <li className={`border-b border-rule py-1 ${mind ? "border-l-4 border-l-signal pl-2" : ""}`}>
      <p className="flex items-baseline justify-between gap-2">
        <span className="min-w-0 font-semibold">{who}</span>
        {may && two && (
          <span className="flex shrink-0 gap-x-2 text-[13.5px]">
            <button
              type="button"
              className="word"
              aria-pressed={kept}
              aria-label={`${kept ? "Let go of" : "Keep"} ${who}`}
              onClick={() => change(keeping(lesson, two.a, two.b))}
            >
              {kept ? "Let go" : "Keep"}
            </button>
            <button
              type="button"
              className="word"
              aria-label={`Not these: ${who}`}
              onClick={() => change(parting(lesson, two.a, two.b))}
            >
              Not these
            </button>
          </span>
        )}
      </p>
      <p className="text-quiet">{words}</p>
    </li>
  );
}

/** Pairs that never come together, with the way back. */
export function KeptApart({
  lesson,
  names,
  may,
  change,
}: {
  lesson: Lesson;
  names: Names;
  may: boolean;
  change: (part: Partial<Lesson>) => void;
}) {
  if (lesson.apart.length === 0) return null;
  return (
    <section aria-label="Kept apart">
      <h2 className="text-base">Kept apart</h2>
      <ul>
        {lesson.apart.map(({ one, other }) => (
          <li key={`${one}${other}`} className="flex justify-between gap-2 border-b border-rule py-1">
            {names(one)} and {names(other)}
            {may && (
              <button type="button" className="word" onClick={() => change(parting(lesson, one, other))}>
                Let go
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
