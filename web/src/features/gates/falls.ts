import type { Schemas } from "../../api/client";
import type { Overview } from "../odds";

/** A family with what its starts are worth, in [0,1], with everything taught and without one reaction. */
export interface Fall {
  family: string;
  title: string;
  before: number;
  after: number;
}

/**
 * What falls when a reaction is taken away, family by family in the map's order: the mean over its places, each counting as
 * often as rounds start there; where none starts in the family, each once. `lost` is by place and not negative.
 */
export function fallsOf(map: Schemas["Map"], odds: Overview, lost: Record<string, number>): Fall[] {
  return map.families.flatMap((family) => {
    const here = map.situations.filter((s) => s.family === family.id && odds.situations[s.id]);
    if (here.length === 0) return [];
    const isStart = here.some((s) => s.entry > 0);
    const weight = (s: Schemas["Situation"]) => (isStart ? s.entry : 1);
    const mean = (worth: (s: Schemas["Situation"]) => number) =>
      here.reduce((sum, s) => sum + weight(s) * worth(s), 0) / here.reduce((sum, s) => sum + weight(s), 0);
    const before = mean((s) => odds.situations[s.id]!.worth);
    return [
      {
        family: family.id,
        title: family.title,
        before,
        after: before - mean((s) => lost[s.id] ?? 0),
      },
    ];
  });
}
