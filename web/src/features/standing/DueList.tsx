import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { paths } from "../map";
import { agoInWords, costInWords, type Due } from "./standing";

const SHOWN = 8;

/** What was practised, what is left of it, and what its forgetting costs. */
export function DueList({
  map,
  due,
  today,
  own,
}: {
  map: Schemas["Map"];
  due: Due[];
  today: string;
  own: boolean;
}) {
  const [all, setAll] = useState(false);
  const now = due.filter((one) => one.due);
  const shown = all ? due : now.slice(0, SHOWN);
  return (
    <section className="mt-5" aria-labelledby="due">
      <h2
        id="due"
        className="flex items-baseline justify-between gap-3 border-b-[3px] border-ink pb-1 text-lg"
      >
        Due
        <span className="text-[15px] font-normal text-quiet">left of 100, and what is lost by the rest</span>
      </h2>
      {due.length === 0 ? (
        <p className="border-b border-rule py-2">
          Nothing of what {own ? "you" : "they"} practised is kept yet: it comes from classes that were run,
          and from what is logged.
        </p>
      ) : (
        <>
          {now.length === 0 && !all && (
            <p className="border-b border-rule py-2">
              Nothing. What comes next is due {soonest(due, today)}.
            </p>
          )}
          <ul>
            {shown.map((one) => (
              <DueRow key={one.reaction} map={map} one={one} today={today} />
            ))}
          </ul>
          {due.length > shown.length || all ? (
            <button
              type="button"
              className="word min-h-11 lg:min-h-8"
              aria-expanded={all}
              onClick={() => setAll(!all)}
            >
              {all ? "Only what is due" : `All ${due.length} that ${own ? "you" : "they"} practised`}
            </button>
          ) : null}
          <p className="mt-1 text-quiet">
            By a law of forgetting that was measured on cards; our estimate for the mat.
          </p>
        </>
      )}
    </section>
  );
}

function soonest(due: Due[], today: string): string {
  const next = due
    .filter((one) => one.cost > 0 || one.retention >= 0.9)
    .map((one) => one.from)
    .sort()[0];
  if (!next) return "later";
  const days = Math.round((Date.parse(next) - Date.parse(today)) / 86_400_000);
  return days <= 1 ? "tomorrow" : `in ${days} days`;
}

function DueRow({ map, one, today }: { map: Schemas["Map"]; one: Due; today: string }) {
  const left = hundred(one.retention);
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_5.5rem_3rem] items-center gap-x-3 border-b border-rule py-1.5 lg:py-1">
      <span className="min-w-0">
        <Link className="link" to={paths.situation(map.id, one.place)}>
          {one.title}
        </Link>
        <span className="block text-quiet">
          {one.placeTitle}; {agoInWords(one.last, today)}
          {one.days > 1 && `, on ${one.days} days`}
        </span>
      </span>
      <span className="flex items-center gap-2">
        <span className="h-2.5 w-12 border border-ink" aria-hidden="true">
          <span className="block h-full bg-ink" style={{ width: `${left}%` }} />
        </span>
        <span>{left}</span>
      </span>
      <strong className="text-right whitespace-nowrap">
        {one.cost > 0.0005 ? `−${costInWords(one.cost)}` : "–"}
      </strong>
    </li>
  );
}
