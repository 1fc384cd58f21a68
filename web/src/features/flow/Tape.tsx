import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { lowerFirst, placeTitle, techniqueOf, theyDo } from "../map";

/** What one step of a way says: what you do and what comes of it. */
export function stepInWords(map: Schemas["Map"], step: Schemas["CommonStep"]): { you: string; then: string } {
  const reaction = indexOf(map).reaction(step.reaction);
  const you = techniqueOf(map, reaction)?.title ?? "you wait";
  const cue = indexOf(map).response(step.reaction, step.response)?.cue;
  switch (step.event) {
    case "response":
      return { you, then: cue ? theyDo(cue) : "they answer" };
    case "stuffed":
      return { you, then: "it is stuffed" };
    case "too-slow":
      return { you, then: "the moment passes" };
    default:
      return { you: "you wait", then: "they move on" };
  }
}

/** One way from its start to its end, worded along a strip of tape; the thicker, the more often. */
export function Tape({
  map,
  story,
  thick,
  colour,
  to,
}: {
  map: Schemas["Map"];
  story: Schemas["CommonStory"];
  /** Against the heaviest, in (0,1]. */
  thick: number;
  /** Of its end. */
  colour: string;
  /** The place where it starts. */
  to: string | undefined;
}) {
  const first = story.steps[0]?.situation ?? story.end;
  return (
    <div className="flex items-stretch bg-lane max-mid:flex-col" style={{ minHeight: 26 + 30 * thick }}>
      <p className="flex min-w-0 grow flex-wrap items-center gap-x-2 px-3 py-1.5 leading-snug">
        {to === undefined ? (
          <b>{placeTitle(map, first)}</b>
        ) : (
          <Link className="link font-semibold" to={to}>
            {placeTitle(map, first)}
          </Link>
        )}
        {story.steps.length === 0 && <span className="text-quiet">it starts there, and staying is best</span>}
        {story.steps.map((step, i) => {
          const { you, then } = stepInWords(map, step);
          const isLast = i === story.steps.length - 1;
          return (
            <span key={i}>
              <span className="text-quiet">you:</span> {lowerFirst(you)}; {then}
              {!isLast && (
                <>
                  {" "}
                  <span aria-hidden="true">→</span> <b>{placeTitle(map, step.lands)}</b>
                </>
              )}
            </span>
          );
        })}
      </p>
      <span
        className={`flex w-36 shrink-0 items-center px-3 py-1.5 leading-tight font-semibold max-mid:w-full lg:w-48 ${colour}`}
      >
        {placeTitle(map, story.end)}
      </span>
    </div>
  );
}
