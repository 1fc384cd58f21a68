import type { Schemas } from "../api/client";
import { indexOf } from "./mapIndex";

type Whole = Schemas["Map"];

/** The name of a map's list, in which the parts of one kind stand; the server's are all of them. */
export type PartList = Schemas["PartList"];

/** A part by what it is called. */
export interface Named {
  id: string;
  title: string;
  /** What tells it from others of the same name. */
  detail?: string;
}

interface PartKind {
  title: string;
  /** What one of them is called. */
  one: string;
  parts: (map: Whole) => Named[];
}

/** Every kind of part, in the order in which an instructor looks for them. */
export const PART_KINDS: Record<PartList, PartKind> = {
  situations: {
    title: "Situations",
    one: "situation",
    parts: (map) =>
      map.situations.map((s) => ({
        id: s.id,
        title: s.title,
        detail: indexOf(map).family(s.family)?.title,
      })),
  },
  reactions: {
    title: "Reactions and responses",
    one: "reaction",
    parts: (map) =>
      map.reactions.map((r) => ({
        id: r.id,
        title: indexOf(map).technique(r.technique)?.title ?? r.technique,
        detail: `in ${indexOf(map).situation(r.from)?.title ?? r.from}`,
      })),
  },
  techniques: { title: "Techniques", one: "technique", parts: (map) => map.techniques },
  movements: { title: "Movements", one: "movement", parts: (map) => map.movements },
  facts: { title: "Facts", one: "fact", parts: (map) => map.facts },
  holds: {
    title: "Pins and finishes",
    one: "pin or finish",
    parts: (map) => map.holds.map((h) => ({ id: h.id, title: h.title, detail: h.kind })),
  },
  principles: { title: "Principles", one: "principle", parts: (map) => map.principles },
  matchups: { title: "Matchups", one: "matchup", parts: (map) => map.matchups },
  aims: { title: "Aims", one: "aim", parts: (map) => map.aims },
  rules: { title: "Rate rules", one: "rate rule", parts: (map) => map.rules },
  postures: {
    title: "Postures",
    one: "posture",
    parts: (map) =>
      map.postures.map((p) => ({
        id: p.id,
        title: p.title,
        detail: p.base ? `from ${map.postures.find((b) => b.id === p.base)?.title ?? p.base}` : undefined,
      })),
  },
  outcomes: { title: "Outcomes", one: "outcome", parts: (map) => map.outcomes },
  families: { title: "Families", one: "family", parts: (map) => map.families },
};

/** The lists in that order. */
export const PART_LISTS = Object.keys(PART_KINDS) as PartList[];

export function isPartList(text: string): text is PartList {
  return Object.hasOwn(PART_KINDS, text);
}

/** The parts of a list with what they are called. */
export function partsOf(map: Whole, list: PartList): Named[] {
  return PART_KINDS[list].parts(map);
}

/** What a part is called; its id where it is not there. */
export function titleIn(map: Whole, list: PartList, id: string): string {
  return partsOf(map, list).find((part) => part.id === id)?.title ?? id;
}

/** The lists whose parts one field can name; they share their ids. */
export function namedAlike(list: PartList): PartList[] {
  return list === "situations" || list === "outcomes" ? ["situations", "outcomes"] : [list];
}
