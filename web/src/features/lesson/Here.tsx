import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import type { Lesson, Planned } from "./lesson";
import { weekday } from "../../ui/days";
import type { Names } from "./words";

const LEVEL: Record<string, string> = { novice: "new" };

/** Who is here; a tap changes it. */
export function Here({
  people,
  lesson,
  planned,
  names,
  may,
  change,
}: {
  people: Schemas["Person"][];
  lesson: Lesson;
  planned: Planned;
  names: Names;
  may: boolean;
  change: (part: Partial<Lesson>) => void;
}) {
  const here = new Set(lesson.here);
  const last = planned.last;
  const absent = new Set(planned.absent);
  const gone = lesson.here.filter((id) => !people.some((person) => person.id === id)).length;
  const toggle = (id: string) =>
    change({ here: here.has(id) ? lesson.here.filter((one) => one !== id) : [...lesson.here, id] });
  return (
    <section aria-label="Who is here">
      <h2 className="flex items-baseline justify-between gap-2 text-base">
        <span>
          {lesson.here.length - gone} here of {people.length}
        </span>
      </h2>
      {may && (
        <p className="flex flex-wrap gap-x-3">
          {last && (
            <button
              type="button"
              className="word"
              title={`${last.title}, ${weekday(last.day)}`}
              onClick={() => change({ here: last.here })}
            >
              As last time
            </button>
          )}
          <button
            type="button"
            className="word"
            onClick={() =>
              change({ here: people.filter((one) => one.age === "adults").map((one) => one.id) })
            }
          >
            All grown-ups
          </button>
          {people.some((one) => one.age === "children") && (
            <button
              type="button"
              className="word"
              onClick={() =>
                change({ here: people.filter((one) => one.age === "children").map((one) => one.id) })
              }
            >
              All children
            </button>
          )}
          <button type="button" className="word" onClick={() => change({ here: [] })}>
            Nobody
          </button>
        </p>
      )}
      <ul className="mt-1 max-lg:grid max-lg:grid-cols-2 max-lg:gap-x-4 mid:max-lg:grid-cols-3">
        {people.map((person) => (
          <li key={person.id} className="border-b border-rule">
            <label title={person.name} className="flex min-h-11 items-center gap-2 lg:min-h-7">
              <input
                type="checkbox"
                className="h-4 w-4 shrink-0 accent-green"
                checked={here.has(person.id)}
                disabled={!may}
                onChange={() => toggle(person.id)}
              />
              <span
                className={`min-w-0 grow truncate ${here.has(person.id) ? "font-semibold" : "text-quiet"}`}
              >
                {names(person.id)}
              </span>
              <span className="shrink-0 text-[13.5px] text-quiet">
                {[
                  person.age === "children" ? "child" : "",
                  person.level ? (LEVEL[person.level] ?? "") : "",
                  absent.has(person.id) ? "missed" : "",
                ]
                  .filter(Boolean)
                  .join(", ")}
              </span>
            </label>
          </li>
        ))}
      </ul>
      {gone > 0 && (
        <p className="mt-1 text-quiet">
          {gone} who {gone > 1 ? "were" : "was"} here {gone > 1 ? "are" : "is"} no longer on the roster.
        </p>
      )}
      <p className="mt-2">
        <Link className="word" to="/people">
          Somebody new
        </Link>
      </p>
    </section>
  );
}
