import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { tenths } from "../../labels";
import { useQuestions, useReview } from "../odds";
import { findingPlace, lowerFirst, withoutThey } from "./holes";
import { paths } from "./paths";
import { placeTitle, reactionTitle } from "./titles";

interface Line {
  place: string;
  title: string;
  reason: string;
}

/** What to do tonight: what most hangs on, what was asked, what is missing; each of another place, each with its reason. */
export function tonight(
  map: Schemas["Map"],
  gates: Schemas["NarrowGates"] | undefined,
  questions: Schemas["OpenQuestion"][] | undefined,
  findings: Schemas["Finding"][] | undefined,
): Line[] {
  const hangs = (gates?.gates ?? []).map((gate) => ({
    place: gate.situation,
    title: reactionTitle(map, gate.reaction),
    reason: `hangs on it, −${tenths(gate.lost)}`,
  }));
  const asked = (questions ?? []).flatMap((q) =>
    q.id && q.situation
      ? [
          {
            place: q.situation,
            title: placeTitle(map, q.situation),
            reason: `asked: they ${lowerFirst(withoutThey(q.words))}`,
          },
        ]
      : [],
  );
  const holes = (findings ?? [])
    .filter((f) => !f.dismissed)
    .flatMap((f) => {
      const { situation } = findingPlace(map, f);
      return situation ? [{ place: situation, title: placeTitle(map, situation), reason: "a hole" }] : [];
    });
  const lines: Line[] = [];
  // Each reason in its turn, so that one of them does not fill the evening; then what is left.
  for (const line of [...[hangs, asked, holes].flatMap((of) => of.slice(0, 1)), ...holes, ...hangs]) {
    if (lines.length < 3 && !lines.some((l) => l.place === line.place)) lines.push(line);
  }
  return lines;
}

/** Three lines, each one press from its drill. */
export function Tonight({
  map,
  gates,
  query,
}: {
  map: Schemas["Map"];
  gates: Schemas["NarrowGates"] | undefined;
  query: string;
}) {
  const review = useReview(map);
  const questions = useQuestions(map);
  const lines = tonight(map, gates, questions.data, review.data);
  return (
    <section aria-labelledby="tonight">
      <h2 id="tonight" className="border-b-2 border-ink pb-1 text-base lg:text-[15px]">
        Tonight
      </h2>
      <ul>
        {lines.map((line) => (
          <li key={line.place} className="flex items-center gap-3 border-b border-rule">
            <span className="min-w-0 grow py-1">
              <Link
                className="block truncate no-underline hover:underline"
                to={paths.situation(map.id, line.place) + query}
              >
                {line.title}
              </Link>
              <span className="block truncate text-quiet">{line.reason}</span>
            </span>
            <Link
              className="word inline-flex items-center font-bold text-ink"
              to={paths.drillFrom(map.id, line.place, query)}
            >
              Drill<span className="sr-only"> {line.title}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
