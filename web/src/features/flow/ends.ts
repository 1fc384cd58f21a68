import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import type { OddsData } from "../odds";

/** A kind of end with how many of 100 come to it; whole numbers, so that what is shown adds up. */
export interface End {
  kind: string;
  count: number;
  /** It is what the aim asks for. */
  good: boolean;
}

/** Where 100 starts are: those that have ended, the good ends first, and how many still go on. */
export interface Ends {
  ends: End[];
  going: number;
}

/** The kind that is no end: the round goes on. */
const GOING = "going";

/** Ends from the best to the worst. */
const ORDER = ["reversal", "counter", "standing", "guard", "half", "neutral", "turtle", "tap"];

/**
 * Whole numbers that lie as near as they can to the parts and add up to `total` (the largest remainders are rounded up).
 * The parts are not negative; where they are all 0, so is the answer.
 */
export function wholeNumbers(parts: number[], total: number): number[] {
  const sum = parts.reduce((a, b) => a + b, 0);
  if (sum <= 0) return parts.map(() => 0);
  const exact = parts.map((part) => (part / sum) * total);
  const whole = exact.map(Math.floor);
  const left = total - whole.reduce((a, b) => a + b, 0);
  const byRemainder = exact.map((value, i) => [value - whole[i]!, i] as const).sort((a, b) => b[0] - a[0]);
  byRemainder.slice(0, left).forEach(([, i]) => whole[i]!++);
  return whole;
}

/** Shares of kinds, as whole numbers whose good ones add up to what they are worth together, and all to 100. */
function shown(shares: Map<string, number>, isGood: (kind: string) => boolean): Ends {
  const kinds = [...shares.keys()].sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b));
  const part = (of: string[], total: number) => {
    const counts = wholeNumbers(
      of.map((kind) => shares.get(kind)!),
      total,
    );
    return of.map((kind, i) => ({ kind, count: counts[i]!, good: isGood(kind) }));
  };
  const good = kinds.filter(isGood);
  const others = kinds.filter((kind) => !isGood(kind));
  const whole = hundred(good.reduce((sum, kind) => sum + shares.get(kind)!, 0));
  const ends = [...part(good, whole), ...part(others, 100 - whole)].filter((end) => end.count > 0);
  return {
    ends: ends.filter((end) => end.kind !== GOING),
    going: ends.find((end) => end.kind === GOING)?.count ?? 0,
  };
}

/** True for the kinds of end that are worth something by an aim. */
export function goodBy(aim: Schemas["Aim"] | undefined): (kind: string) => boolean {
  return (kind) => (aim?.worth[kind] ?? 0) > 0 && kind !== "tap";
}

/** Where the starts are after so many exchanges of a flow, which has to be longer than that. */
export function endsAfter(
  map: Schemas["Map"],
  flow: Schemas["Flow"],
  exchange: number,
  isGood: (kind: string) => boolean,
): Ends {
  const kinds = new Map<string, string>(map.outcomes.map((o) => [o.id, o.kind]));
  map.situations.forEach((s) => s.rest && kinds.set(s.id, s.rest));
  const goesOn = new Set(flow.links.filter((l) => l.exchange === exchange + 1).map((l) => l.from));
  const shares = new Map<string, number>();
  // Who has ended stays where they are: an end is in every exchange after it.
  for (const [place, count] of Object.entries(flow.exchanges[exchange]?.places ?? {})) {
    const kind = (goesOn.has(place) ? undefined : kinds.get(place)) ?? GOING;
    shares.set(kind, (shares.get(kind) ?? 0) + count / 100);
  }
  return shown(shares, isGood);
}

/** How rounds end, whenever that is: from one situation, or from where the map's rounds start. */
export function endsAtLast(
  map: Schemas["Map"],
  odds: OddsData,
  from: string | undefined,
  isGood: (kind: string) => boolean,
): Ends {
  const starts = map.situations.filter((s) => (from === undefined ? s.entry > 0 : s.id === from));
  const weight = (s: Schemas["Situation"]) => (from === undefined ? s.entry : 1);
  const all = starts.reduce((sum, s) => sum + weight(s), 0);
  const shares = new Map<string, number>();
  const add = (kind: string, share: number) => shares.set(kind, (shares.get(kind) ?? 0) + share);
  for (const start of starts) {
    const at = odds.situations[start.id];
    if (!at) continue;
    const part = weight(start) / all;
    Object.entries(at.ends).forEach(([kind, chance]) => add(kind, part * chance));
    add(GOING, part * at.neverEnds);
  }
  return shown(shares, isGood);
}
