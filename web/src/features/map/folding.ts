import { group } from "d3-array";
import type { Schemas } from "../../api/client";
import { hundred, STAGES } from "../../labels";

type Situation = Schemas["Situation"];

/**
 * Ids of a family's places that are folded away until they are asked for, so that the whole map stays on one screen: those
 * only passed through, where nobody starts and nothing is marked, if there are several; and of a column longer than `most`
 * those with the fewest starts, the marked ones last. A family is never folded whole.
 */
export function foldedIn(
  here: Situation[],
  isMarked: (situation: Situation) => boolean,
  most: number,
): Set<string> {
  const passed = here.filter((s) => s.entry === 0 && s.stage !== "last-chance" && !isMarked(s));
  const folded = new Set(passed.length > 1 && passed.length < here.length ? passed.map((s) => s.id) : []);
  const columns = group(
    here.filter((s) => !folded.has(s.id)),
    (s) => s.stage,
  );
  for (const column of columns.values()) {
    const byWeight = [...column].sort(
      (a, b) => Number(isMarked(b)) - Number(isMarked(a)) || b.entry - a.entry,
    );
    byWeight.slice(most).forEach((s) => folded.add(s.id));
  }
  return folded;
}

/** The place that stands for each stage of a family: where most start, the first of several. */
export function standingFor(here: Situation[]): Situation[] {
  return STAGES.flatMap((stage) => {
    const column = here.filter((s) => s.stage === stage);
    const first = column.reduce<Situation | undefined>(
      (best, s) => (best && best.entry >= s.entry ? best : s),
      undefined,
    );
    return first ? [first] : [];
  });
}

/**
 * Places shown as worth more than every earlier place of their family, with the best of those: being later is no gain, so a
 * rate is wrong or an early answer is missing.
 */
export function risingIn(
  here: Situation[],
  worths: Record<string, { worth: number }>,
): Map<string, Situation> {
  const worth = (s: Situation) => hundred(worths[s.id]?.worth ?? 0);
  const rising = new Map<string, Situation>();
  for (const situation of here) {
    if (!situation.stage) continue;
    const stage = STAGES.indexOf(situation.stage);
    const earlier = here.filter((s) => s.stage && STAGES.indexOf(s.stage) < stage);
    const [best] = earlier.sort((a, b) => worth(b) - worth(a));
    if (best && worth(situation) > worth(best)) rising.set(situation.id, best);
  }
  return rising;
}
