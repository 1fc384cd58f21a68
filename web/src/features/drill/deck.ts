import { useQuery } from "@tanstack/react-query";
import { api, unwrap, type Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import type { Cue } from "../../solver/practice";
import { practised } from "../../solver/practised";
import { mayBeSolvedHere, useWrittenSetting } from "../odds";

/**
 * Cues to be read. The server knows what one is forgetting and brings it more often; where it is away they are drawn in this
 * browser as for somebody of whom nothing is known.
 */
export function useDeck(map: Schemas["Map"] | undefined, seed: number) {
  const setting = useWrittenSetting();
  return useQuery({
    queryKey: ["reading-deck", map?.id, map?.revision, setting, seed],
    enabled: map !== undefined,
    staleTime: Infinity,
    queryFn: () =>
      practised(
        map!,
        mayBeSolvedHere(map!, setting),
        () =>
          unwrap(
            api.GET("/api/maps/{mapId}/readings/deck", {
              params: { path: { mapId: map!.id }, query: { ...setting, seed } },
            }),
          ),
        async (practice) => (await practice.deck(setting, seed)).map((cue) => cardOf(map!, cue)),
      ),
  });
}

/** A cue in the map's words. */
export function cardOf(
  map: Schemas["Map"],
  { situation, reaction, price, choices }: Cue,
): Schemas["ReadingCard"] {
  const index = indexOf(map);
  const right = index.reaction(reaction);
  return {
    ...{ situation, reaction, price },
    situationTitle: index.situation(situation)?.title ?? "",
    cue: right?.when ?? "",
    choices: choices.map((choice) => ({ ...choice, title: index.technique(choice.technique)?.title ?? "" })),
    checkpoints: index.technique(right?.technique)?.checkpoints ?? [],
  };
}
