import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { SECTION_LABEL } from "../../labels";
import { isoDay, later, weekday } from "../../ui/days";
import { lowerFirst, paths, reactionTitle } from "../map";
import { settingQuery } from "../odds";
import { mondayOf, reactionOf, unitsIn, weeksOf, type PlannedTerm, type TermClass } from "./weeks";

/** Weeks from top to bottom, their classes from left to right: what came in each, or what is asked of it. */
export function Weeks({
  map,
  term,
  proposed,
}: {
  map: Schemas["Map"];
  term: PlannedTerm;
  /** What a proposal asks of classes, by their ids. */
  proposed: Map<string, string[]> | undefined;
}) {
  const [open, setOpen] = useState(false);
  const today = isoDay(new Date());
  const weeks = weeksOf(term);
  const recent = later(mondayOf(today), -7);
  const earlier = weeks.filter((week) => week.monday < recent).length;
  const columns = Math.max(1, ...weeks.map((week) => week.classes.length));
  return (
    <section className="mt-4" aria-label="Weeks">
      {earlier > 0 && (
        <button type="button" className="word sm:hidden" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? "Without the weeks before" : `The ${earlier} weeks before`}
        </button>
      )}
      <ol>
        {weeks.map((week) => (
          <li
            key={week.monday}
            className={`border-b border-rule py-2 sm:grid sm:grid-cols-[4.5rem_minmax(0,1fr)] sm:gap-x-3 ${!open && week.monday < recent ? "max-sm:hidden" : ""}`}
          >
            <p className="text-quiet tabular-nums">{dayMonth(week.monday)}</p>
            {week.classes.length === 0 ? (
              <p className="text-quiet">No class.</p>
            ) : (
              <ul
                className="grid gap-x-4 gap-y-2 max-sm:!grid-cols-1"
                style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}
              >
                {week.classes.map((one) => (
                  <Cell key={one.id} map={map} one={one} today={today} proposed={proposed?.get(one.id)} />
                ))}
              </ul>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

function Cell({
  map,
  one,
  today,
  proposed,
}: {
  map: Schemas["Map"];
  one: TermClass;
  today: string;
  proposed: string[] | undefined;
}) {
  const [params] = useSearchParams();
  const kept = unitsIn(one);
  const units = proposed ? [...one.fixed, ...proposed] : kept;
  const gone = one.over ? one.dropped : proposed ? kept.filter((unit) => !units.includes(unit)) : [];
  const edge = one.ran
    ? "border-green"
    : one.over
      ? "border-dashed border-green"
      : one.day === today
        ? "border-signal"
        : "border-rule";
  return (
    <li className={`border-l-4 pl-2 ${edge}`}>
      <p className="flex flex-wrap items-baseline gap-x-3">
        <Link
          className="link inline-flex min-h-9 items-center font-semibold lg:min-h-0"
          to={paths.lesson(map.id, one.id) + settingQuery(params)}
        >
          {one.title}
        </Link>
        <span className="text-[13.5px] text-quiet">
          {weekday(one.day)}
          {stateOf(one, today)}
        </span>
      </p>
      {units.length + gone.length === 0 ? (
        <p className="text-[14px] text-quiet">
          {one.over ? "Nothing was shown." : "Nothing is asked of it yet."}
        </p>
      ) : (
        <ul className="text-[14px] leading-snug">
          {units.map((unit) => (
            <li key={unit}>
              <span className="text-quiet">
                {SECTION_LABEL[unit.startsWith("new:") ? "new" : "recall"]}:{" "}
              </span>
              {lowerFirst(reactionTitle(map, reactionOf(unit)))}
              {proposed && !kept.includes(unit) && (
                <span className="ml-1 bg-signal px-1 text-[12px] text-[#10201d]">proposed</span>
              )}
            </li>
          ))}
          {gone.map((unit) => (
            <li key={unit} className="text-quiet">
              <s>{lowerFirst(reactionTitle(map, reactionOf(unit)))}</s>
              {one.over ? ", not reached" : ", no more"}
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

function stateOf(one: TermClass, today: string): string {
  if (one.ran) return `, ${one.here.length} there`;
  if (one.over) return `, ${one.here.length} there, as planned`;
  return one.day === today ? ", today" : "";
}

function dayMonth(day: string): string {
  const [year, month, date] = day.split("-").map(Number) as [number, number, number];
  return new Date(year, month - 1, date).toLocaleDateString(undefined, { day: "numeric", month: "short" });
}
