import type { Schemas } from "../../api/client";

type Card = Schemas["ReadingCard"];

/** What came of a card. */
export interface Read {
  card: Card;
  chosen: string;
  right: boolean;
  milliseconds: number;
}

/** How soon a cue that was read wrong comes again. */
const AGAIN_IN = 3;
/** Quicker than this nobody reads; the finger was there already. */
export const QUICKEST = 50;
export const SLOWEST = 30_000;

/** The cards still to come after one was read: one that was read wrong comes again within four. */
export function stillToCome(left: Card[], card: Card, right: boolean): Card[] {
  if (right) return left;
  const at = Math.min(AGAIN_IN, left.length);
  return [...left.slice(0, at), card, ...left.slice(at)];
}

/** A measured time within what counts as one. */
export function milliseconds(from: number, to: number): number {
  return Math.min(SLOWEST, Math.max(QUICKEST, Math.round(to - from)));
}

/** Middle time in seconds of the right readings; nothing where there is none. */
export function middle(reads: Read[]): number | undefined {
  const times = reads.filter((r) => r.right).map((r) => r.milliseconds);
  if (times.length === 0) return undefined;
  times.sort((a, b) => a - b);
  const half = Math.floor(times.length / 2);
  const value = times.length % 2 ? times[half]! : (times[half - 1]! + times[half]!) / 2;
  return value / 1000;
}
