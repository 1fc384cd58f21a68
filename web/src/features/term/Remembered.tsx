import { useState } from "react";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { isoDay, weekday } from "../../ui/days";
import { paths, placeTitle, reactionTitle } from "../map";
import { indexOf } from "../../model/mapIndex";
import { Link } from "react-router";
import { daysBetween, daysOf, type PlannedTerm, type Taught } from "./weeks";

const FIRST = 12;

/** What of all that was taught is there at the end of the term, and when it came and comes. */
export function Remembered({ map, term }: { map: Schemas["Map"]; term: PlannedTerm }) {
  const [all, setAll] = useState(false);
  const taught = [...(term.plan?.taught ?? [])]
    .filter((one) => indexOf(map).reaction(one.reaction))
    .sort((a, b) => b.gain - a.gain || b.classes.length - a.classes.length || a.remembered - b.remembered);
  const shown = all ? taught : taught.slice(0, FIRST);
  if (taught.length === 0) return null;
  return (
    <section className="mt-6" aria-label="What is there at the end">
      <h2 className="border-b-2 border-ink pb-1 text-lg">What is there at the end</h2>
      <p className="mt-1 text-[14px] text-quiet">
        Of those who may do it, how many still have it on {weekday(term.last)}, by how often they come and by
        a known curve of forgetting: our estimate. A full dot is a class in which it came, a ring one in which
        it comes.
      </p>
      <ul>
        {shown.map((one) => (
          <Row key={one.reaction} map={map} term={term} one={one} />
        ))}
      </ul>
      {taught.length > FIRST && (
        <button type="button" className="word mt-1" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? "Fewer" : `All ${taught.length}`}
        </button>
      )}
      {(term.plan?.leftOut.length ?? 0) > 0 && (
        <p className="mt-2 text-[14px]">
          <span className="text-quiet">Found no class: </span>
          {term
            .plan!.leftOut.map((one) => `${reactionTitle(map, one.reaction)} (${whyNot(one, map)})`)
            .join("; ")}
          .
        </p>
      )}
    </section>
  );
}

function whyNot(one: Schemas["TermLeftOut"], map: Schemas["Map"]): string {
  switch (one.reason) {
    case "no-class":
      return "no class to come is about its place";
    case "no-room":
      return "other things bring more";
    case "needs-another":
      return one.needs ? `needs “${reactionTitle(map, one.needs)}” first` : "needs another first";
  }
}

function Row({ map, term, one }: { map: Schemas["Map"]; term: PlannedTerm; one: Taught }) {
  const { were, come } = daysOf(term, one);
  const index = indexOf(map);
  const from = index.reaction(one.reaction)!.from;
  const better = hundred(one.remembered) > hundred(one.otherwise);
  return (
    <li className="border-b border-rule py-1.5 md:grid md:grid-cols-[minmax(0,1fr)_minmax(10rem,14rem)_8.5rem] md:items-center md:gap-x-4">
      <p className="min-w-0">
        <Link className="link" to={paths.situation(map.id, from)}>
          {reactionTitle(map, one.reaction)}
        </Link>{" "}
        <span className="text-[13.5px] text-quiet">{placeTitle(map, from)}</span>
      </p>
      <Strip term={term} were={were} come={come} />
      <p className="tabular-nums">
        <strong>{hundred(one.remembered)}</strong> of 100
        {better && (
          <span className="text-[13.5px] text-quiet">
            {one.classes.length > 0 && one.fresh ? ", new" : `, else ${hundred(one.otherwise)}`}
          </span>
        )}
      </p>
    </li>
  );
}

const WIDTH = 200;
const HEIGHT = 18;
const DOT = 4;

/** The term from its first day to its last, with the days of one answer. */
function Strip({ term, were, come }: { term: PlannedTerm; were: string[]; come: string[] }) {
  const days = Math.max(1, daysBetween(term.first, term.last));
  const at = (day: string) => DOT + 1 + ((WIDTH - 2 * DOT - 2) * daysBetween(term.first, day)) / days;
  const today = isoDay(new Date());
  const words = [
    were.length > 0 ? `came ${were.map(weekday).join(", ")}` : "has not come yet",
    come.length > 0 ? `comes ${come.map(weekday).join(", ")}` : "comes no more",
  ].join("; ");
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full max-w-[14rem]"
      role="img"
      aria-label={words}
    >
      <line x1="0" x2={WIDTH} y1={HEIGHT / 2} y2={HEIGHT / 2} className="stroke-rule" strokeWidth="2" />
      {today >= term.first && today <= term.last && (
        <line x1={at(today)} x2={at(today)} y1="1" y2={HEIGHT - 1} className="stroke-quiet" strokeWidth="1" />
      )}
      {were.map((day) => (
        <circle key={day} cx={at(day)} cy={HEIGHT / 2} r={DOT} className="fill-green" />
      ))}
      {come.map((day) => (
        <circle
          key={day}
          cx={at(day)}
          cy={HEIGHT / 2}
          r={DOT - 0.5}
          className="fill-ground stroke-green"
          strokeWidth="2"
        />
      ))}
    </svg>
  );
}
