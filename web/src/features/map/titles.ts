import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";

/** What a situation or an outcome is called; its id where it is on the map no more. */
export function placeTitle(map: Schemas["Map"], id: string): string {
  return indexOf(map).situation(id)?.title ?? indexOf(map).outcome(id)?.title ?? id;
}

/** The technique that a reaction teaches. */
export function techniqueOf(
  map: Schemas["Map"],
  reaction: Schemas["Reaction"] | undefined,
): Schemas["Technique"] | undefined {
  return reaction && indexOf(map).technique(reaction.technique);
}

/** What a reaction is called: its technique's name. */
export function reactionTitle(map: Schemas["Map"], id: string): string {
  return techniqueOf(map, indexOf(map).reaction(id))?.title ?? id;
}
