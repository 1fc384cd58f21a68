import { sectionLabel } from "../../labels";
import { lowerFirst } from "../map";
import type { Here, Part, Step } from "./clock";

/** Two partners stand on either side of a line through the hall: that is how a screen names them to all. */
export const SIDE_OF_HALL = { first: "wall side", second: "door side" } as const;

export function otherOf(bottom: "first" | "second"): "first" | "second" {
  return bottom === "first" ? "second" : "first";
}

/** What a part is: "Called", "New"; a break is what it says. */
export function partLabel(part: Part): string {
  return part.section ? sectionLabel(part.section, part.drill) : "Break";
}

/** Minutes that a part is planned for. */
export function minutesOf(part: Part): number {
  return Math.round(part.steps.reduce((sum, step) => sum + step.seconds, 0) / 60);
}

/** Over everything: what the part is, and which of its rounds this one is. */
export function headOf({ part, step, round, rounds }: Here): string {
  const label = partLabel(part);
  if (step.kind === "move") {
    const moves = part.steps;
    return `${label}, ${moves.indexOf(step) + 1} of ${moves.length}`;
  }
  return rounds > 1 && (step.kind === "round" || step.kind === "change")
    ? `${label}, round ${round} of ${rounds}`
    : label;
}

/** What the room does in a step, in a word or two, for what comes next. */
export function stepWords(
  { part, step }: { part: Part; step: Step },
  from?: { part: Part; step: Step },
): string {
  switch (step.kind) {
    case "move":
      return lowerFirst(step.movement ?? "warm-up");
    case "show":
      return partLabel(part).toLowerCase();
    case "change":
      return changeWords(step, from?.step);
    case "round":
      return step.bottom ? `${SIDE_OF_HALL[step.bottom]} below` : "work";
    case "talk":
      return "talk";
    case "break":
      return "water";
  }
}

/** What changes before a round: partners, the side, or who is on the bottom. */
export function changeWords(step: Step, before: Step | undefined): string {
  if (!before || before.kind !== "round") return "find your partner";
  if (before.bout !== step.bout) return "next partner";
  if (before.side !== step.side) return "other side";
  return "swap";
}

/** The clock of a time, "20:31". */
export function timeOfDay(instant: number): string {
  const at = new Date(instant);
  return `${String(at.getHours()).padStart(2, "0")}:${String(at.getMinutes()).padStart(2, "0")}`;
}

/** How far behind or ahead a class is; nothing while it is less than half a minute. */
export function behindWords(milliseconds: number | undefined): string {
  if (milliseconds === undefined) return "";
  const minutes = Math.round(milliseconds / 60_000);
  if (minutes === 0) return "on time";
  return minutes > 0 ? `${minutes} min late` : `${-minutes} min early`;
}

/** Who does what in a group of three. */
export function threeWords({ bottom, top, rests }: Step["threes"][number]): string {
  return `${bottom} below, ${top} on top, ${rests} rests`;
}

/** Groups as a line each: "Ana – Bo", "Cy rests". */
export function groupWords(group: string[]): string {
  return group.length === 1 ? `${group[0]} rests` : group.join(" – ");
}
