import { rollup } from "d3-array";
import type { Schemas } from "../../api/client";
import { KIND_LABEL, lateness } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { paths } from "../map";
import { PART_KINDS, PART_LISTS, partsOf, type PartList } from "../../model/partKinds";

/** What something found is to the person who looks for it. */
export type EntryKind =
  | "Situation"
  | "You"
  | "Do not"
  | "They"
  | "Asked"
  | "Fault"
  | "Check"
  | "Caution"
  | "Movement"
  | "Principle"
  | "Pin"
  | "Finish"
  | "Matchup"
  | "Aim"
  | "Fact"
  | "Outcome"
  | "New"
  | "Edit"
  | "Do";

/** Something on the map, or something that can be done. */
export interface Entry {
  kind: EntryKind;
  title: string;
  detail?: string;
  /** Other names that the trade has for it. */
  names?: string;
  /** The movements it is made of, by all their names. */
  movements?: string;
  /** What stands around it, by which it is found as well though it is not shown. */
  around?: string;
  /** What its whole family goes by. */
  family?: string;
  to?: string;
  run?: () => void;
  /** The place where it is, whose picture stands beside it. */
  place?: string;
  /** Where it leads, whose odds and first answer are told with it. */
  leads?: string;
  /** A key that does the same. */
  key?: string;
}

/** Everything on a map that can be looked up, situations first. */
export function entriesOf(map: Schemas["Map"], query: string): Entry[] {
  const { family, situation, technique } = indexOf(map);
  const outcomes = new Map(map.outcomes.map((o) => [o.id, o.title]));
  const to = (id: string) => paths.situation(map.id, id) + query;
  const place = (id: string | null | undefined) =>
    id ? (situation(id)?.title ?? outcomes.get(id) ?? id) : "no answer yet";
  const set = (name: string, value: string) => {
    const params = new URLSearchParams(query);
    params.set(name, value);
    return `${paths.map(map.id)}?${params}`;
  };
  const edit = (list: PartList, id: string) => paths.edit(map.id, list, id, query);
  const namesOfPlace = namesOfPlaces(map);
  const namesOfFamily = rollup(
    map.situations,
    (here) => here.flatMap((s) => s.alsoCalled),
    (s) => s.family,
  );
  const movementsOf = movementsOfTechniques(map);
  const firstUse = new Map<string, Schemas["Reaction"]>();
  map.reactions.forEach((r) => firstUse.has(r.technique) || firstUse.set(r.technique, r));
  return [
    ...map.situations.map((s) => ({
      kind: "Situation" as const,
      title: s.title,
      detail: `${family(s.family)?.title ?? ""}, ${lateness(s).toLowerCase()}`,
      names: s.alsoCalled.join(" "),
      around: [...(namesOfPlace.get(s.id) ?? []), ...Object.values(s.held), s.feeder.weight].join(" "),
      family: namesOfFamily.get(s.family)?.join(" "),
      place: s.id,
      leads: s.id,
      to: to(s.id),
    })),
    ...map.reactions.map((r) => ({
      kind: r.doNot ? ("Do not" as const) : ("You" as const),
      title: technique(r.technique)?.title ?? r.id,
      detail: `in ${situation(r.from)?.title ?? r.from}`,
      names: technique(r.technique)?.alsoCalled.join(" "),
      movements: movementsOf.get(r.technique)?.join(" "),
      around: [r.when, ...(namesOfPlace.get(r.from) ?? [])].join(" "),
      place: r.from,
      leads: r.from,
      to: to(r.from) + `#${r.id}`,
    })),
    ...map.reactions.flatMap((r) =>
      r.responses.map((response) => ({
        kind: "They" as const,
        title: response.cue,
        detail: `${technique(r.technique)?.title ?? r.id} → ${place(response.leads)}`,
        around: [situation(r.from)?.title, ...(namesOfPlace.get(r.from) ?? [])].join(" "),
        place: r.from,
        leads: response.leads ?? undefined,
        to: to(r.from) + `#${r.id}`,
      })),
    ),
    ...map.techniques.flatMap((t): Entry[] => {
      const use = firstUse.get(t.id);
      if (!use) return [];
      const at = to(use.from) + `#${use.id}`;
      return [
        ...t.questions.map((q) => ({
          kind: "Asked" as const,
          title: q.ask,
          detail: t.title,
          around: q.answer,
          to: at,
        })),
        ...t.faults.map((f) => ({
          kind: "Fault" as const,
          title: f.sign,
          detail: t.title,
          around: `${f.cause} ${f.fix}`,
          to: at,
        })),
        ...t.checkpoints.map((c) => ({ kind: "Check" as const, title: c, detail: t.title, to: at })),
        ...t.cautions.map((c) => ({ kind: "Caution" as const, title: c, detail: t.title, to: at })),
      ];
    }),
    ...map.movements.map((m) => ({
      kind: "Movement" as const,
      title: m.title,
      detail: "shown on the map",
      names: m.alsoCalled.join(" "),
      to: set("only-movement", m.id),
    })),
    ...map.principles.map((p) => ({
      kind: "Principle" as const,
      title: p.title,
      detail: p.stances.map((s) => s.title).join(" or "),
      to: `${paths.stances(map.id)}${query}#${p.id}`,
    })),
    ...map.holds.flatMap((h) =>
      h.at.slice(0, 1).map((at) => ({
        kind: h.kind === "pin" ? ("Pin" as const) : ("Finish" as const),
        title: h.title,
        detail: `from ${place(at)}`,
        place: at,
        leads: at,
        to: to(at),
      })),
    ),
    ...map.matchups.map((m) => ({
      kind: "Matchup" as const,
      title: m.title,
      detail: "the map against them",
      to: set("matchup", m.id),
    })),
    ...map.aims.map((a) => ({
      kind: "Aim" as const,
      title: a.title,
      detail: "the map for this",
      to: set("aim", a.id),
    })),
    ...map.facts.map((f) => ({ kind: "Fact" as const, title: f.title, to: edit("facts", f.id) })),
    ...map.outcomes.map((o) => ({
      kind: "Outcome" as const,
      title: o.title,
      detail: KIND_LABEL[o.kind],
      to: edit("outcomes", o.id),
    })),
    ...PART_LISTS.map((list) => ({
      kind: "New" as const,
      title: `New ${PART_KINDS[list].one}`,
      names: "add",
      to: paths.add(map.id, list, query),
    })),
    // After all else, so that looking something up comes before changing it.
    // A posture goes by the name of its place, and is reached from there.
    ...PART_LISTS.filter((list) => list !== "postures").flatMap((list) =>
      partsOf(map, list).map((part) => ({
        kind: "Edit" as const,
        title: part.title,
        detail: part.detail ? `${PART_KINDS[list].one}, ${part.detail}` : PART_KINDS[list].one,
        names: "edit change",
        to: edit(list, part.id),
      })),
    ),
  ];
}

/** What else a place is known by: its family, and the pins and finishes that are on there. */
function namesOfPlaces(map: Schemas["Map"]): Map<string, string[]> {
  const names = new Map(
    map.situations.map((s) => [s.id, [...s.alsoCalled, indexOf(map).family(s.family)?.title ?? ""]]),
  );
  map.holds.forEach((hold) => hold.at.forEach((at) => names.get(at)?.push(hold.title)));
  return names;
}

/** The movements that a technique is made of, by all their names. */
function movementsOfTechniques(map: Schemas["Map"]): Map<string, string[]> {
  const movements = new Map(map.movements.map((m) => [m.id, [m.title, ...m.alsoCalled]]));
  return new Map(
    map.techniques.map((t) => [
      t.id,
      [...t.alsoCalled, ...t.movements.flatMap((m) => movements.get(m) ?? [])],
    ]),
  );
}
