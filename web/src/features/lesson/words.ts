import type { Schemas } from "../../api/client";
import { INJURY_LABEL, sectionLabel } from "../../labels";
import { placeTitle, reactionTitle, lowerFirst } from "../map";
import type { Group, Line, Plan, Planned, Unit } from "./lesson";
import { weekday } from "../../ui/days";
import { listed } from "../../ui/listed";

export const SHAPE_LABEL: Record<NonNullable<Schemas["Lesson"]["usual"]>, string> = {
  "step-by-step": "Step by step",
  "mostly-live": "Mostly live",
  repetition: "Repetition",
  "first-months": "First months",
  "gate-evening": "Gate evening",
};

/** People by their first names, by the whole where two share it. */
export function shortNames(people: { id: string; name: string }[]): Map<string, string> {
  const first = (name: string) => name.split(" ")[0]!;
  const count = new Map<string, number>();
  people.forEach(({ name }) => count.set(first(name), (count.get(first(name)) ?? 0) + 1));
  return new Map(people.map(({ id, name }) => [id, count.get(first(name)) === 1 ? first(name) : name]));
}

export type Names = (id: string) => string;

function answers(map: Schemas["Map"], unit: Unit): string {
  return listed(unit.reactions.map((id) => lowerFirst(reactionTitle(map, id))));
}

/** What a unit is, behind the name of its part. */
export function unitTitle(map: Schemas["Map"], unit: Unit, plan?: Plan): string {
  const place = unit.place ? lowerFirst(placeTitle(map, unit.place)) : "";
  switch (unit.section) {
    case "warm-up":
      return listed(
        (plan?.warmUp?.movements ?? []).map((id) =>
          lowerFirst(map.movements.find((one) => one.id === id)?.title ?? id),
        ),
      );
    case "recall":
    case "new":
      return answers(map, unit);
    case "chain":
    case "live":
      return place;
    case "called":
      return unit.other ? `${place}, or ${lowerFirst(placeTitle(map, unit.other))}?` : place;
    case "talk":
      return "what stopped you?";
  }
}

/** The name of a unit's part. */
export function partLabel(unit: Unit): string {
  return sectionLabel(unit.section, unit.drill?.kind);
}

/** The whole of it: part and what is practised. */
export function lineTitle(map: Schemas["Map"], unit: Unit, plan?: Plan): string {
  const title = unitTitle(map, unit, plan);
  return title ? `${partLabel(unit)}: ${title}` : partLabel(unit);
}

function hundredth(chance: number): number {
  return Math.round(chance * 100);
}

function goesFrom(line: Line): string {
  if (
    line.works === null ||
    line.works === undefined ||
    line.worksAfter === null ||
    line.worksAfter === undefined
  )
    return "";
  const [now, then] = [hundredth(line.works), hundredth(line.worksAfter)];
  return then > now
    ? `Gets going ${now} times in 100 now, ${then} after.`
    : `Gets going ${now} times in 100.`;
}

/** For how many of those who practise it it is due, and what forgetting it costs. */
function dueInWords(line: Line): string {
  if (line.due.length === 0) return "";
  const who =
    line.due.length === line.people.length ? "all" : line.due.length === 1 ? "one" : `${line.due.length}`;
  const costs = (line.forgetting * 100).toFixed(1);
  return ` Due for ${who} of them${Number(costs) > 0 ? `; forgetting it costs ${costs} of 100` : ""}.`;
}

/** Why it comes, and what for. */
export function whyInWords(map: Schemas["Map"], line: Line, planned: Planned): string {
  const { unit } = line;
  switch (unit.section) {
    case "warm-up": {
      const side = planned.plan?.warmUp?.side;
      return `The movements behind tonight’s answers${side ? `, ${side} side first: the weak one for most` : ""}.`;
    }
    case "recall":
      return `${line.fromLast && planned.last ? `From ${planned.last.title}, ${weekday(planned.last.day)}.` : "Practised before."}${dueInWords(line)} ${goesFrom(line)}`;
    case "new":
      return `${unit.place ? `${placeTitle(map, unit.place)}.` : ""} ${goesFrom(line)}`;
    case "chain":
      return `${unit.reactions.length} answers, each begun where the last one lands. ${goesFrom(line)}`;
    case "called":
      return unit.other
        ? "They look alike and want different answers."
        : `${unit.drill?.links.length ?? 0} calls in no order. ${goesFrom(line)}`;
    case "live":
      if (unit.drill?.kind === "gate") {
        return "To be shown before moving up: each of them from below, left and right. The coach watches.";
      }
      return unit.drill?.kind === "dial"
        ? "Weight and grip notch by notch; the lighter partner says stop, and nobody turns it on the neck."
        : "Both sides, then other partners. Tap early, let go at once.";
    case "talk":
      return "While they stretch.";
  }
}

/** Who does not, and why, in one sentence for each reason. */
export function notInWords(line: Line, names: Names): string[] {
  const by = (because: string) => line.not.filter((one) => one.because === because);
  const said: string[] = [];
  for (const one of by("closed")) {
    const hurt = one.closings
      .filter((closing) => closing.kind === "injury")
      .map((c) => INJURY_LABEL[c.what] ?? c.what);
    said.push(
      hurt.length > 0
        ? `${names(one.person)} feeds only: mind the ${listed(hurt)}.`
        : `${names(one.person)} feeds only: this is closed for them.`,
    );
  }
  const later = by("above-level").map((one) => names(one.person));
  if (later.length > 0) said.push(`Later for ${listed(later)}; they stay with the one before.`);
  const enough = by("enough-new").map((one) => names(one.person));
  if (enough.length > 0)
    said.push(
      `${listed(enough)} ${enough.length > 1 ? "have enough that is new and go" : "has enough that is new and goes"} on with it.`,
    );
  return said;
}

/** What the branch for those who missed it is. */
export function missedInWords(line: Line, names: Names): string {
  if (line.missed.length === 0) return "";
  const who = listed(line.missed.map(names));
  return `${who} missed it: from the start${line.helper ? `, with ${names(line.helper)}` : ""}.`;
}

/** Why a unit was left out. */
export function leftOutInWords(map: Schemas["Map"], left: Schemas["ClassLeftOut"]): string {
  switch (left.reason) {
    case "time":
      if (left.costs === null || left.costs === undefined) return "No room for it beside what is fixed.";
      return left.costs >= 0.0005
        ? `${left.minutes} min; the class as a whole would lose ${(left.costs * 100).toFixed(1)}.`
        : `${left.minutes} min; about as good as what comes instead.`;
    case "enough-new":
      return "Enough is new already.";
    case "needs-another":
      return left.needs
        ? `Needs ${lowerFirst(reactionTitle(map, left.needs))} first, and most here have not got it.`
        : "Needs another first.";
    case "few":
      return "Fewer than half of those here would practise it.";
    case "taken-out":
      return "You took it out.";
  }
}

function kilograms(amount: number | null | undefined): string {
  return `${Math.round(amount ?? 0)} kg apart`;
}

/** What speaks for a group, and whether it has to be minded. */
export function groupInWords(group: Group, names: Names): { words: string; mind: boolean } {
  const said: string[] = [];
  let mind = false;
  for (const why of group.why) {
    const who = why.person ? names(why.person) : "";
    const other = names(group.people.find((id) => id !== why.person) ?? "");
    switch (why.note) {
      case "over-limit":
        mind = true;
        said.push(`${kilograms(why.amount)}, more than this part should have`);
        break;
      case "feeds":
        mind = true;
        said.push(`${who} feeds only`);
        break;
      case "shown":
        said.push(`${who} missed it, ${other} shows it`);
        break;
      case "new-with-experienced":
        said.push(`${who} is new`);
        break;
      case "apart":
        said.push(Math.round(why.amount ?? 0) === 0 ? "as heavy" : kilograms(why.amount));
        break;
      case "weight-unknown":
        said.push("a weight is not known");
        break;
      case "alike":
        said.push("of a level");
        break;
      case "together":
        said.push("kept together");
        break;
      case "again":
        said.push(`together ${why.amount === 2 ? "again" : `${why.amount} times`} tonight`);
        break;
      case "lately":
        said.push(`together ${why.amount === 1 ? "once" : `${why.amount} times`} lately`);
        break;
      case "three":
        said.push("three, taking turns");
        break;
      case "rests":
        said.push("rests; the turn goes round");
        break;
      case "nobody-left":
        mind = true;
        said.push("nobody here may work with them");
        break;
    }
  }
  return { words: said.join(", "), mind };
}
