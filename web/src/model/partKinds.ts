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
  /** What it holds, to whoever has never edited one. */
  about: string;
  /** True where the detail is what they are sorted under. */
  sorted?: boolean;
  parts: (map: Whole) => Named[];
}

/** Every kind of part, in the order in which an instructor looks for them. */
export const PART_KINDS: Record<PartList, PartKind> = {
  situations: {
    title: "Situations",
    one: "situation",
    about: "where the two are: what is held, how late it is, what comes if nobody does anything",
    sorted: true,
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
    about: "what you do there, and what they do about it",
    sorted: true,
    parts: (map) =>
      map.reactions.map((r) => ({
        id: r.id,
        title: indexOf(map).technique(r.technique)?.title ?? r.technique,
        detail: `in ${indexOf(map).situation(r.from)?.title ?? r.from}`,
      })),
  },
  techniques: {
    title: "Techniques",
    one: "technique",
    about: "how it is done: checkpoints, faults, cautions",
    parts: (map) => map.techniques,
  },
  movements: {
    title: "Movements",
    one: "movement",
    about: "the few ways of moving that everything is made of",
    parts: (map) => map.movements,
  },
  facts: {
    title: "Facts",
    one: "fact",
    about: "what can be so in a place, such as “they control your head”",
    parts: (map) => map.facts,
  },
  holds: {
    title: "Pins and finishes",
    one: "pin or finish",
    about: "what they need for a pin or a finish, and what takes it away",
    parts: (map) => map.holds.map((h) => ({ id: h.id, title: h.title, detail: h.kind })),
  },
  principles: {
    title: "Principles",
    one: "principle",
    about: "what coaches disagree on, and what each stance wants",
    parts: (map) => map.principles,
  },
  matchups: {
    title: "Matchups",
    one: "matchup",
    about: "pairs: weight, height, level, jacket, injuries",
    parts: (map) => map.matchups,
  },
  aims: {
    title: "Aims",
    one: "aim",
    about: "what counts as out, and for how much",
    parts: (map) => map.aims,
  },
  rules: {
    title: "Adjustments",
    one: "adjustment",
    about: "what weight, length, a jacket or the level does to the figures",
    parts: (map) => map.rules,
  },
  postures: {
    title: "Postures",
    one: "posture",
    about: "how the two bodies are, for the pictures",
    parts: (map) =>
      map.postures.map((p) => ({
        id: p.id,
        title: p.title,
        detail: p.base ? `from ${map.postures.find((b) => b.id === p.base)?.title ?? p.base}` : undefined,
      })),
  },
  outcomes: {
    title: "Outcomes",
    one: "outcome",
    about: "how a round ends: guard, reversal, standing, tap",
    parts: (map) => map.outcomes,
  },
  families: {
    title: "Families",
    one: "family",
    about: "places that stand together on the map",
    parts: (map) => map.families,
  },
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
