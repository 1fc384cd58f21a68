import type { Setting } from "./setting";

/**
 * The part of the setting that is under the hand: it counts at once, but the address is written only when it rests, for
 * everything on the page that stands on the address is drawn anew with it.
 */
let moving: Partial<Setting> = {};
const listeners = new Set<() => void>();
let resting: ReturnType<typeof setTimeout> | undefined;
let writeDown: (moved: Partial<Setting>) => void = () => undefined;

const RESTS_AFTER = 200;

export const underTheHand = (): Partial<Setting> => moving;

export const isMoving = (): boolean => Object.keys(moving).length > 0;

export function onMove(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Moves a part of the setting; what was moved is told to `rest` once, when it has stood still for a moment. */
export function move(part: Partial<Setting>, rest: (moved: Partial<Setting>) => void): void {
  put({ ...moving, ...part });
  clearTimeout(resting);
  writeDown = rest;
  resting = setTimeout(settle, RESTS_AFTER);
}

/** What is under the hand is written down now: it is about to leave the page. */
export function settle(): void {
  clearTimeout(resting);
  if (isMoving()) writeDown(moving);
}

/** Nothing is under the hand any more: it has been written down, or its page was left. */
export function letGo(): void {
  clearTimeout(resting);
  if (isMoving()) put({});
}

function put(next: Partial<Setting>): void {
  moving = next;
  listeners.forEach((listener) => listener());
}
