import { hundred } from "../../labels";
import { lowerFirst } from "../map";
import type { Answer, Ladder, Rung } from "./holds";

/** What the chance that it does not close is called. */
export function openLabel(kind: Ladder["kind"]): string {
  return kind === "finish" ? "still out" : "not pinned";
}

/** Chance in [0,1] that it does not close; none where a need's chance is not said. */
export function open(closes: number | null | undefined): number | undefined {
  return closes === null || closes === undefined ? undefined : 1 - closes;
}

/** Where most is lost from one rung to the next but the last, with which it closes: before and after, of 100. */
export function steepest(ladder: Ladder): { rung: Rung; from: number; to: number } | undefined {
  let found: { rung: Rung; from: number; to: number } | undefined;
  let before = open(ladder.closes);
  for (const rung of ladder.rungs.slice(0, -1)) {
    const after = open(rung.closes);
    if (before === undefined || after === undefined) return undefined;
    if (!found || before - after > found.from - found.to) found = { rung, from: before, to: after };
    before = after;
  }
  return found && { ...found, from: hundred(found.from), to: hundred(found.to) };
}

/** Numbers in a row, runs drawn together: 1–3, 5. */
export function runs(numbers: readonly number[]): string {
  const sorted = [...numbers].sort((a, b) => a - b);
  const parts: string[] = [];
  for (let i = 0; i < sorted.length;) {
    let j = i;
    while (sorted[j + 1] === sorted[j]! + 1) j++;
    parts.push(i === j ? `${sorted[i]}` : `${sorted[i]}–${sorted[j]}`);
    i = j + 1;
  }
  return parts.join(", ");
}

/** What an arrangement of the arms leaves them of a hold with so many rungs. */
export function leavesInWords(free: readonly number[], rungs: number): string {
  if (free.length === 0) return "leaves no rung";
  if (free.length === rungs) return "leaves every rung";
  return `leaves rung${free.length === 1 ? "" : "s"} ${runs(free)}`;
}

/** Needs of which nobody has said how likely they are, as a list in words. */
export function unsaid(ladder: Ladder): string[] {
  return ladder.rungs
    .filter((rung) => rung.gets === null || rung.gets === undefined)
    .map((rung) => `“${lowerFirst(rung.title)}”`);
}

/** What an answer does at its stage, of 100 that come there. */
export function gain(answer: Answer): number | undefined {
  const before = open(answer.before);
  const after = open(answer.closes);
  return before === undefined || after === undefined ? undefined : hundred(after) - hundred(before);
}
