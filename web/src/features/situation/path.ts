import type { Schemas } from "../../api/client";
import type { OddsData } from "../odds";
import { indexOf } from "../../model/mapIndex";

/** The situation to which the best reaction leads most often; undefined where it mostly ends. */
export function nextOnPath(
  map: Schemas["Map"],
  at: Schemas["SituationOdds"],
  here: string,
): string | undefined {
  if (at.stop) return undefined;
  const best = at.reactions.find((r) => r.reaction === at.best);
  const to = new Map<string, number>();
  best?.responses.forEach((r) => to.set(r.lands, (to.get(r.lands) ?? 0) + r.chance));
  return [...to]
    .filter(([id]) => id !== here && map.situations.some((s) => s.id === id))
    .sort((a, b) => b[1] - a[1])[0]?.[0];
}

/**
 * The situation from which one comes here most often by the best reactions; failing that, the one whose clock runs down
 * to here.
 */
export function previousOnPath(map: Schemas["Map"], odds: OddsData, here: string): string | undefined {
  let best: string | undefined;
  let most = 0;
  for (const [id, at] of Object.entries(odds.situations)) {
    if (id === here || at.stop) continue;
    const reaction = at.reactions.find((r) => r.reaction === at.best);
    const chance = (reaction?.responses ?? [])
      .filter((r) => r.lands === here)
      .reduce((sum, r) => sum + r.chance, 0);
    const start = indexOf(map).situation(id)?.entry ?? 0;
    const often = chance * (1 + start);
    if (often > most) {
      most = often;
      best = id;
    }
  }
  return best ?? map.situations.find((s) => s.id !== here && s.clock?.becomes === here)?.id;
}
