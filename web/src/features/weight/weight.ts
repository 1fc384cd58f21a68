import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import { numberOf, useAddress } from "../../ui/address";
import type { Seen } from "../../ui/body/SeenFrom";

export type Weight = Schemas["Weight"];
export type Figures = Schemas["WeightFigures"];
export type Change = Schemas["WeightChange"]["change"];

/** What is asked of a place: how heavy and tall the two are, what is changed, from where it is seen. */
export interface Asked {
  yourWeight: number;
  yourStature: number;
  theirWeight: number;
  theirStature: number;
  done: Change[];
  view: Seen;
}

/** The measures of the two: their names in the address, least and most, and what they are for two of average build. */
export const MEASURES = {
  theirWeight: { label: "their weight", unit: "kg", min: 20, max: 220, usual: 80 },
  theirStature: { label: "their stature", unit: "cm", min: 115, max: 220, usual: 178 },
  yourWeight: { label: "your weight", unit: "kg", min: 20, max: 220, usual: 80 },
  yourStature: { label: "your stature", unit: "cm", min: 115, max: 220, usual: 178 },
} as const;
export type MeasureName = keyof typeof MEASURES;
export const MEASURE_NAMES = Object.keys(MEASURES) as MeasureName[];

export const CHANGES: readonly Change[] = [
  "trap-hand-left",
  "trap-hand-right",
  "trap-foot-left",
  "trap-foot-right",
  "seat-up",
  "seat-down",
  "hips-higher",
  "knees-off",
];

/** What the address says; what it says wrongly is as usual. */
export function askedOf(params: URLSearchParams): Asked {
  const measure = (name: MeasureName) => Math.round(numberOf(params, name, MEASURES[name]));
  const view = params.get("view");
  return {
    yourWeight: measure("yourWeight"),
    yourStature: measure("yourStature"),
    theirWeight: measure("theirWeight"),
    theirStature: measure("theirStature"),
    done: CHANGES.filter((change) => params.getAll("done").includes(change)),
    view: view === "above" || view === "other" ? view : "standing",
  };
}

/** What is asked, kept in the address, and a way to ask otherwise. */
export function useAsked(): [Asked, (part: Partial<Asked>) => void] {
  const [params, write] = useAddress();
  const asked = askedOf(params);
  const change = (part: Partial<Asked>) => {
    const next = { ...asked, ...part };
    write({
      ...Object.fromEntries(
        MEASURE_NAMES.map((name) => [name, next[name] === MEASURES[name].usual ? undefined : next[name]]),
      ),
      done: next.done,
      view: next.view === "standing" ? undefined : next.view,
    });
  };
  return [asked, change];
}

/** A place weighed. */
export function useWeight(map: Schemas["Map"], place: string, asked: Asked) {
  return useQuery({
    queryKey: ["weight", map.id, map.revision, place, asked],
    // What stood there stays until the next is there, of the same place only.
    placeholderData: (earlier: Weight | undefined, query) =>
      query?.queryKey[3] === place && query.queryKey[1] === map.id ? earlier : undefined,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/weight/{place}", {
          params: { path: { mapId: map.id, place }, query: asked },
          signal,
        }),
      ),
  });
}

/** Every place weighed for two of average build. */
export function useWeights(map: Schemas["Map"] | undefined) {
  return useQuery({
    queryKey: ["weights", map?.id, map?.revision],
    enabled: map !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/weight", { params: { path: { mapId: map!.id } } })),
  });
}
