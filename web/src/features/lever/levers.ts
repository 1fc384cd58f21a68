import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { numberOf, useAddress } from "../../ui/address";

export type Levers = Schemas["Levers"];
export type Lever = Schemas["LeverClaim"]["lever"];

/** What can be moved: least, most, by how much, and what it is unless somebody moves it. */
export const ASKED = {
  held: { min: 0.1, max: 1, step: 0.05, usual: 0.5 },
  pull: { min: 5, max: 60, step: 1, usual: 15 },
  pressed: { min: 0.1, max: 1, step: 0.05, usual: 0.5 },
  press: { min: 5, max: 60, step: 1, usual: 15 },
  theirStature: { min: 115, max: 220, step: 1, usual: 178 },
  yourStature: { min: 115, max: 220, step: 1, usual: 178 },
  push: { min: 5, max: 120, step: 1, usual: 40 },
  arm: { min: 20, max: 150, step: 1, usual: 75 },
  elbow: { min: 60, max: 180, step: 1, usual: 110 },
  lean: { min: -30, max: 60, step: 1, usual: 15 },
  meets: { min: 0, max: 1, step: 0.05, usual: 0.5 },
  drive: { min: 5, max: 120, step: 1, usual: 40 },
  above: { min: -30, max: 30, step: 1, usual: 0 },
} as const;
export type Name = keyof typeof ASKED;
export type Asked = Record<Name, number>;
const NAMES = Object.keys(ASKED) as Name[];

/** What the address says; what it says wrongly is as usual. */
export function askedOf(params: URLSearchParams): Asked {
  return Object.fromEntries(NAMES.map((name) => [name, numberOf(params, name, ASKED[name])])) as Asked;
}

/** What is asked, kept in the address, and a way to ask otherwise. */
export function useAsked(): [Asked, (name: Name, value: number) => void] {
  const [params, write] = useAddress();
  const change = (name: Name, value: number) =>
    write({ [name]: value === ASKED[name].usual ? undefined : Math.round(value * 100) / 100 });
  return [askedOf(params), change];
}

export function useLevers(asked: Asked) {
  return useQuery({
    queryKey: ["levers", asked],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => unwrap(api.GET("/api/levers", { params: { query: asked }, signal })),
  });
}

/** Which checkpoints of a map speak of a lever. */
export function useClaims(map: Schemas["Map"]) {
  return useQuery({
    queryKey: ["lever-claims", map.id, map.revision],
    placeholderData: keepPreviousData,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/levers", { params: { path: { mapId: map.id } } })),
  });
}

export interface Said {
  text: string;
  technique: string;
  /** A situation in which it is done; missing where nobody does it yet. */
  place?: string;
}

/** The checkpoints that speak of a lever, in the map's order, each with where it is done. */
export function saidOn(map: Schemas["Map"], claims: readonly Schemas["LeverClaim"][], lever: Lever): Said[] {
  return claims
    .filter((claim) => claim.lever === lever)
    .flatMap((claim) => {
      const technique = indexOf(map).technique(claim.technique);
      const text = technique?.checkpoints[claim.checkpoint];
      if (!technique || text === undefined) return [];
      const place = map.reactions.find((reaction) => reaction.technique === technique.id)?.from;
      return [{ text, technique: technique.title, place }];
    });
}
