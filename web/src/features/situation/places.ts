import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";

export function isSituation(map: Schemas["Map"], id: string): boolean {
  return map.situations.some((s) => s.id === id);
}

/** Where one can come from: each place once, with what leads here. */
export function entriesTo(map: Schemas["Map"], id: string): { from: Schemas["Situation"]; how: string }[] {
  const entries = new Map<string, { from: Schemas["Situation"]; how: string }>();
  for (const from of map.situations) {
    if (from.id !== id && from.clock?.becomes === id) {
      entries.set(from.id, { from, how: "nothing was done in time" });
    }
  }
  for (const reaction of map.reactions) {
    const from = indexOf(map).situation(reaction.from);
    if (!from || from.id === id || entries.has(from.id)) continue;
    const response = reaction.responses.find((r) => r.leads === id);
    if (response) entries.set(from.id, { from, how: (reaction.doNot ? "by mistake: " : "") + response.cue });
    else if (reaction.stuffed === id) {
      entries.set(from.id, { from, how: reaction.doNot ? "by mistake" : "an answer was stuffed" });
    }
  }
  return [...entries.values()];
}

/** A likelihood as it is read aloud. */
export function likelihoodText(likelihood: Schemas["Likelihood"], chance: boolean): string {
  if (likelihood.word) return likelihood.word;
  const number = likelihood.number ?? 0;
  return chance ? `${Math.round(number * 100)} of 100` : `weight ${number}`;
}
