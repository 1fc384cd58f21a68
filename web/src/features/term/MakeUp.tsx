import { useState } from "react";
import type { Schemas } from "../../api/client";
import { weekday } from "../../ui/days";
import { listed } from "../../ui/listed";
import { indexOf } from "../../model/mapIndex";
import { placeTitle, reactionTitle } from "../map";
import type { PlannedTerm, TermClass } from "./weeks";

/** More recalled answers than this are too many for one class. */
const MOST_RECALLED = 3;
const FIRST = 8;

/** What was taught and missed: by whom, when it comes again, and who can show it. */
export function MakeUp({
  map,
  term,
  names,
  onRecall,
}: {
  map: Schemas["Map"];
  term: PlannedTerm;
  names: (id: string) => string;
  /** Puts a unit into the recall of a class; missing where that may not be done. */
  onRecall: ((classId: string, unit: string) => void) | undefined;
}) {
  const [all, setAll] = useState(false);
  const missed = (term.plan?.missed ?? []).filter((one) => indexOf(map).reaction(one.reaction));
  const next = term.classes.find((one) => !one.over && hasRoom(one));
  return (
    <section className="mt-4" aria-label="To make up for">
      <h2 className="border-b-2 border-ink pb-1 text-lg">To make up for</h2>
      {missed.length === 0 && (
        <p className="mt-1 text-quiet">Whoever trains has seen all that was shown in this term.</p>
      )}
      <ul>
        {(all ? missed : missed.slice(0, FIRST)).map((one) => (
          <Line
            key={one.reaction}
            title={reactionTitle(map, one.reaction)}
            place={placeTitle(map, indexOf(map).reaction(one.reaction)!.from)}
            missed={one}
            term={term}
            names={names}
            next={next}
            onRecall={onRecall}
          />
        ))}
      </ul>
      {missed.length > FIRST && (
        <button type="button" className="word mt-1" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? "Fewer" : `All ${missed.length}`}
        </button>
      )}
    </section>
  );
}

function hasRoom(one: TermClass): boolean {
  return [...one.fixed, ...one.asked].filter((unit) => unit.startsWith("recall:")).length < MOST_RECALLED;
}

function Line({
  title,
  place,
  missed,
  term,
  names,
  next,
  onRecall,
}: {
  title: string;
  place: string;
  missed: Schemas["TermMissed"];
  term: PlannedTerm;
  names: (id: string) => string;
  next: TermClass | undefined;
  onRecall: ((classId: string, unit: string) => void) | undefined;
}) {
  const again = term.classes.find((one) => one.id === missed.next);
  return (
    <li className="border-b border-rule py-1.5">
      <p>
        <strong>{title}</strong> <span className="text-[13.5px] text-quiet">{place}</span>
      </p>
      <p className="text-[14px]">
        Missed by {listed(missed.who.map(names))}{" "}
        <span className="text-quiet">on {weekday(missed.taught)}.</span>
      </p>
      <p className="flex flex-wrap items-baseline gap-x-3 text-[14px] text-quiet">
        <span>
          {again ? `Comes again ${weekday(again.day)}.` : "Comes no more."}
          {missed.helper ? ` ${names(missed.helper)} can show it.` : ""}
        </span>
        {!again && next && onRecall && (
          <button
            type="button"
            className="word"
            onClick={() => onRecall(next.id, `recall:${missed.reaction}`)}
            aria-label={`Recall it ${weekday(next.day)}: ${title}`}
          >
            Recall it {weekday(next.day)}
          </button>
        )}
      </p>
    </li>
  );
}
