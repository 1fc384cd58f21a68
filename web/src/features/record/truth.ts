import { useQuery } from "@tanstack/react-query";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { hundred } from "../../labels";

export type Truth = Schemas["Truth"];
export type TruthPlace = Schemas["TruthPlace"];
export type Explanation = Schemas["TruthExplanation"];

/** What the map says beside what was seen; it follows the map and the record. */
export function useTruth(map: Schemas["Map"] | undefined) {
  return useQuery({
    queryKey: ["record", map?.id, "truth", map?.revision],
    queryFn: () =>
      unwrap(api.GET("/api/maps/{mapId}/record/truth", { params: { path: { mapId: map!.id } } })),
    enabled: map !== undefined,
  });
}

/** Which rounds would tell most. */
export function useToLog(map: Schemas["Map"]) {
  return useQuery({
    queryKey: ["record", map.id, "next", map.revision],
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/record/next", { params: { path: { mapId: map.id }, query: { most: 3 } } }),
      ),
  });
}

/** Puts a learned figure on the map, as it is shown. */
export function putLearned(mapId: string, { reaction, learned }: Explanation) {
  return unwrap(
    api.POST("/api/maps/{mapId}/record/truth/{reaction}/use", {
      params: { path: { mapId, reaction } },
      body: { chance: hundred(learned) / 100 },
    }),
  );
}

/** Keeps what the map says, whatever was seen. */
export function keepWritten(mapId: string, reaction: string) {
  return unwrapNothing(
    api.POST("/api/maps/{mapId}/record/truth/{reaction}/keep", {
      params: { path: { mapId, reaction } },
      body: { id: crypto.randomUUID() },
    }),
  );
}

/** Takes back that it is kept. */
export function decideAnew(mapId: string, kept: string) {
  return unwrapNothing(
    api.POST("/api/maps/{mapId}/record/events", {
      params: { path: { mapId } },
      body: {
        events: [{ id: crypto.randomUUID(), kind: "void", at: new Date().toISOString(), voids: kept }],
      },
    }),
  );
}

/** The share that was seen, and between what it lies. */
export function seenOf({ out, rounds, low, high }: TruthPlace): { share: number; range: string } {
  return { share: out / rounds, range: `${hundred(low)} to ${hundred(high)}` };
}

/** How many places there are in which the map lies inside what was seen. */
export function agreeing(truth: Truth): number {
  return truth.places.filter((one) => one.agrees).length;
}

const SORTS: Record<Schemas["TruthOnesided"]["sort"], string> = {
  beginners: "by beginners",
  lighter: "against lighter partners",
  heavier: "against heavier partners",
  "one-person": "by one person",
};

/** What most rounds of a place have in common: "19 of the 24 by beginners". */
export function onesidedInWords({ onesided, rounds }: TruthPlace): string[] {
  return onesided.map(({ sort, many }) =>
    many === rounds
      ? `All ${rounds} rounds ${SORTS[sort]}`
      : `${many} of the ${rounds} rounds ${SORTS[sort]}`,
  );
}

/** What stands behind a learned figure. */
export function behindInWords({ tries, noted }: Explanation): string {
  const all = Math.round(tries);
  const seen = Math.min(all, Math.round(noted));
  if (seen === 0) return `${all} tries, reckoned from how rounds began and ended`;
  if (seen === all) return `${all} tries, all noted`;
  return `${all} tries: ${seen} noted, ${all - seen} reckoned from how rounds began and ended`;
}

/** A squared error, as it is shown. */
export function error(score: number): string {
  return score.toFixed(3);
}

/** A part of an error, with its sign. */
export function signed(part: number): string {
  return `${part < 0 ? "−" : "+"}${error(Math.abs(part))}`;
}
