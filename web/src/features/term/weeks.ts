import type { Schemas } from "../../api/client";
import { later } from "../../ui/days";

export type PlannedTerm = Schemas["PlannedTerm"];
export type TermClass = Schemas["TermClass"];
export type Taught = Schemas["TermTaught"];

/** The Monday of a day's week. */
export function mondayOf(day: string): string {
  const [year, month, date] = day.split("-").map(Number) as [number, number, number];
  return later(day, -((new Date(year, month - 1, date).getDay() + 6) % 7));
}

/** Days from one to another; below 0 for one before. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}

/** Every week of a term by its Monday, with its classes. */
export function weeksOf(
  term: Pick<PlannedTerm, "first" | "last" | "classes">,
): { monday: string; classes: TermClass[] }[] {
  const weeks = [];
  for (let monday = mondayOf(term.first); monday <= term.last; monday = later(monday, 7)) {
    weeks.push({ monday, classes: term.classes.filter((one) => mondayOf(one.day) === monday) });
  }
  return weeks;
}

/** A reaction of a key such as new:low-trap-bridge. */
export function reactionOf(unit: string): string {
  return unit.slice(unit.indexOf(":") + 1);
}

/** What stands in a class: what came or was planned where it is over, else what is asked of it. */
export function unitsIn(one: TermClass): string[] {
  const taught = (unit: string) => unit.startsWith("new:") || unit.startsWith("recall:");
  return one.over ? one.units.map((unit) => unit.unit).filter(taught) : [...one.fixed, ...one.asked];
}

/** Classes of a term that are planned together; those behind them are planned when their turn comes. */
const MOST_PLANNED = 60;

/** The classes still to come, as far as they are planned. */
export function comingIn(term: Pick<PlannedTerm, "classes">): TermClass[] {
  return term.classes.filter((one) => !one.over).slice(0, MOST_PLANNED);
}

/** What a proposal asks of each class still to come, by the class: what is new first, then what is recalled. */
export function askedBy(term: PlannedTerm): Map<string, string[]> {
  const asked = new Map<string, string[]>();
  const add = (id: string, unit: string) => asked.set(id, [...(asked.get(id) ?? []), unit]);
  for (const one of term.plan?.taught ?? []) {
    one.classes.forEach((id, i) => one.fresh && i === 0 && add(id, `new:${one.reaction}`));
  }
  for (const one of term.plan?.taught ?? []) {
    one.classes.forEach((id, i) => !(one.fresh && i === 0) && add(id, `recall:${one.reaction}`));
  }
  const fixed = new Map(term.classes.map((one) => [one.id, one.fixed]));
  return new Map(
    comingIn(term).map((one) => [
      one.id,
      (asked.get(one.id) ?? []).filter(
        (unit) => !fixed.get(one.id)!.some((kept) => reactionOf(kept) === reactionOf(unit)),
      ),
    ]),
  );
}

/** Days on which a reaction was taught in the term, and on which it is still to come. */
export function daysOf(term: PlannedTerm, taught: Taught): { were: string[]; come: string[] } {
  const days = new Map(term.classes.map((one) => [one.id, one.day]));
  return {
    were: term.classes
      .filter((one) => one.over && unitsIn(one).some((unit) => reactionOf(unit) === taught.reaction))
      .map((one) => one.day),
    come: taught.classes.map((id) => days.get(id)!),
  };
}

/** The last week in which there are classes, and the weeks after it until the term ends. */
export function toRepeat(term: PlannedTerm): { from: TermClass[]; mondays: string[] } {
  const weeks = weeksOf(term);
  const last = weeks.findLastIndex((week) => week.classes.length > 0);
  return last < 0
    ? { from: [], mondays: [] }
    : {
        from: weeks[last]!.classes,
        mondays: weeks.slice(last + 1).map((week) => week.monday),
      };
}
