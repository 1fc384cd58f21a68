import type { Schemas } from "../../api/client";

/** What a situation or an outcome is called; its id where it is on the map no more. */
export function placeTitle(map: Schemas["Map"], id: string): string {
  return map.situations.find((s) => s.id === id)?.title ?? map.outcomes.find((o) => o.id === id)?.title ?? id;
}

/** The technique that a reaction teaches. */
export function techniqueOf(
  map: Schemas["Map"],
  reaction: Schemas["Reaction"] | undefined,
): Schemas["Technique"] | undefined {
  return reaction && map.techniques.find((t) => t.id === reaction.technique);
}

/** What a reaction is called: its technique's name. */
export function reactionTitle(map: Schemas["Map"], id: string): string {
  return (
    techniqueOf(
      map,
      map.reactions.find((r) => r.id === id),
    )?.title ?? id
  );
}
