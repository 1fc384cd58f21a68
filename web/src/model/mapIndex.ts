import type { Schemas } from "../api/client";

type Whole = Schemas["Map"];

/** The lists whose parts are looked up by their ids, and what one of them is called. */
const LISTS = {
  situation: "situations",
  outcome: "outcomes",
  reaction: "reactions",
  technique: "techniques",
  family: "families",
  fact: "facts",
  principle: "principles",
  matchup: "matchups",
  rule: "rules",
  aim: "aims",
} as const;

type Name = keyof typeof LISTS;
type PartOf<N extends Name> = Whole[(typeof LISTS)[N]][number];

/** A map's parts by their ids; what is not there is undefined, and so is what is asked for without an id. */
export type MapIndex = { [N in Name]: (id: string | null | undefined) => PartOf<N> | undefined };

const made = new WeakMap<Whole, MapIndex>();

/** The index of a map, made once for each state of it; each list when it is first asked for. */
export function indexOf(map: Whole): MapIndex {
  let index = made.get(map);
  if (!index) {
    index = Object.fromEntries(
      (Object.keys(LISTS) as Name[]).map((name) => [name, lookUp<{ id: string }>(() => map[LISTS[name]])]),
    ) as MapIndex;
    made.set(map, index);
  }
  return index;
}

function lookUp<T extends { id: string }>(list: () => T[]) {
  let byId: Map<string, T> | undefined;
  return (id: string | null | undefined): T | undefined => {
    byId ??= new Map(list().map((part) => [part.id, part]));
    return id === null || id === undefined ? undefined : byId.get(id);
  };
}
