import type { KeyboardEvent } from "react";

/** Arrow keys walk from gate to gate: up and down in reading order of a column, left and right to the next column. */
export function moveBetweenGates(event: KeyboardEvent<HTMLElement>): void {
  const from = (event.target as HTMLElement).closest<HTMLElement>("[data-gate]");
  if (!from || !event.key.startsWith("Arrow")) return;
  const next = nextGate(
    from,
    [...event.currentTarget.querySelectorAll<HTMLElement>("[data-gate]")],
    event.key,
  );
  if (next) {
    next.focus();
    event.preventDefault();
  }
}

const STEP: Record<string, [number, number]> = {
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

/** The nearest gate in the direction of the key; sideways the nearest in height. */
export function nextGate(from: HTMLElement, gates: HTMLElement[], key: string): HTMLElement | undefined {
  const step = STEP[key];
  if (!step) return undefined;
  const here = from.getBoundingClientRect();
  const [dx, dy] = step;
  let best: HTMLElement | undefined;
  let least = Infinity;
  for (const gate of gates) {
    const there = gate.getBoundingClientRect();
    const along = dx * (there.left - here.left) + dy * (there.top - here.top);
    const aside = Math.abs(dx === 0 ? there.left - here.left : there.top - here.top);
    if (along <= 1 || (dx === 0 && aside > 1)) continue;
    const distance = along + aside * 3;
    if (distance < least) {
      least = distance;
      best = gate;
    }
  }
  return best;
}
