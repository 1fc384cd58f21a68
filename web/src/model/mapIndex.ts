import { group } from "d3-array";
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
export type MapIndex = { [N in Name]: (id: string | null | undefined) => PartOf<N> | undefined } & {
  /** A response, which is unique within its reaction only. */
  response: (
    reaction: string | null | undefined,
    response: string | null | undefined,
  ) => Schemas["Response"] | undefined;
  /** What is taught in a situation, in the map's order. */
  answersFrom: (situation: string | null | undefined) => Schemas["Reaction"][];
  /** What people do there and should not, in the map's order. */
  mistakesFrom: (situation: string | null | undefined) => Schemas["Reaction"][];
};

const made = new WeakMap<Whole, MapIndex>();

/** The index of a map, made once for each state of it; each list when it is first asked for. */
export function indexOf(map: Whole): MapIndex {
  let index = made.get(map);
  if (!index) {
    index = {
      ...Object.fromEntries(
        (Object.keys(LISTS) as Name[]).map((name) => [name, lookUp<{ id: string }>(() => map[LISTS[name]])]),
      ),
      response: responses(map),
      answersFrom: reactionsFrom(map, (reaction) => !reaction.doNot),
      mistakesFrom: reactionsFrom(map, (reaction) => Boolean(reaction.doNot)),
    } as MapIndex;
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

function responses(map: Whole): MapIndex["response"] {
  const byReaction = new Map<string, (id: string | null | undefined) => Schemas["Response"] | undefined>();
  return (reaction, response) => {
    const whole = indexOf(map).reaction(reaction);
    if (!whole) return undefined;
    if (!byReaction.has(whole.id))
      byReaction.set(
        whole.id,
        lookUp(() => whole.responses),
      );
    return byReaction.get(whole.id)!(response);
  };
}

function reactionsFrom(
  map: Whole,
  wanted: (reaction: Schemas["Reaction"]) => boolean,
): MapIndex["answersFrom"] {
  let byPlace: Map<string, Schemas["Reaction"][]> | undefined;
  return (situation) => {
    byPlace ??= group(map.reactions.filter(wanted), (reaction) => reaction.from);
    return byPlace.get(situation ?? "") ?? [];
  };
}
