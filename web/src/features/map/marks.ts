import type { Schemas } from "../../api/client";

/** As many reactions are marked as what everything hangs on. */
export const NARROW = 3;

/** So many situations' answers must lead to a place before it is a hub. */
const HUB_ENTRIES = 5;

/** Places that many answers lead to and that are not places to rest, with the number of situations they come from. */
export function hubsOf(map: Schemas["Map"]): Map<string, number> {
  const from = new Map<string, Set<string>>();
  for (const reaction of map.reactions) {
    if (reaction.doNot) continue;
    for (const response of reaction.responses) {
      if (!response.leads || response.leads === reaction.from) continue;
      const entries = from.get(response.leads) ?? new Set();
      entries.add(reaction.from);
      from.set(response.leads, entries);
    }
  }
  const hubs = new Map<string, number>();
  for (const situation of map.situations) {
    const entries = from.get(situation.id)?.size ?? 0;
    if (!situation.rest && entries >= HUB_ENTRIES) hubs.set(situation.id, entries);
  }
  return hubs;
}

/** What the map is narrowed to; nothing set shows everything. */
export interface Filter {
  stance?: string;
  level?: string;
  movement?: string;
  caution?: string;
  children?: string;
}

export const FILTERS = ["stance", "level", "movement", "caution", "children"] as const;
const LEVELS = ["novice", "intermediate", "advanced"];

/** True when a technique is within the filter. */
export function isWithin(technique: Schemas["Technique"], filter: Filter): boolean {
  if (filter.stance && technique.stance !== filter.stance) return false;
  if (filter.level && LEVELS.indexOf(technique.level) > LEVELS.indexOf(filter.level)) return false;
  if (filter.movement && !technique.movements.includes(filter.movement)) return false;
  if (filter.caution === "none" && technique.cautions.length > 0) return false;
  if (filter.caution === "any" && technique.cautions.length === 0) return false;
  if (filter.children === "yes" && !technique.children) return false;
  return true;
}

/** The situations in which something within the filter is taught; undefined when nothing is filtered. */
export function shownBy(map: Schemas["Map"], filter: Filter): Set<string> | undefined {
  if (!FILTERS.some((name) => filter[name])) return undefined;
  const within = new Set(map.techniques.filter((t) => isWithin(t, filter)).map((t) => t.id));
  return new Set(map.reactions.filter((r) => !r.doNot && within.has(r.technique)).map((r) => r.from));
}

/** The situations whose shown number changed most, the largest change first. */
export function changedMost(
  was: Record<string, { worth: number }>,
  now: Record<string, { worth: number }>,
  most: number,
): { id: string; before: number; after: number }[] {
  return Object.entries(now)
    .map(([id, at]) => ({
      id,
      before: Math.round((was[id]?.worth ?? at.worth) * 100),
      after: Math.round(at.worth * 100),
    }))
    .filter((change) => change.before !== change.after)
    .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before))
    .slice(0, most);
}
