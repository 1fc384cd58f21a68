import type { Levers } from "./levers";

export const kilograms = (value: number) =>
  `${value < 9.95 ? value.toFixed(1).replace(/\.0$/, "") : Math.round(value)} kg`;
export const turn = (value: number) => `${Math.round(value)} N·m`;

/** How many times, as one says it. */
export function times(value: number): string {
  if (value < 1.05) return "the same";
  if (Math.abs(value - 2) < 0.05) return "twice";
  if (Math.abs(value - Math.round(value)) < 0.05) return `${Math.round(value)} times`;
  return `${value.toFixed(1)} times`;
}

/** Where on a limb a share of it is. */
export function spot(along: number, near: string, far: string): string {
  if (along >= 0.95) return `at the ${far}`;
  if (along <= 0.25) return `near the ${near}`;
  if (Math.abs(along - 0.5) < 0.03) return "half way";
  return along > 0.5 ? `nearer to the ${far}` : `nearer to the ${near}`;
}

export function armInWords(arm: Levers["arm"], pull: number): string {
  return arm.times < 1.05
    ? `At the wrist: ${kilograms(arm.needed)} stops it. Nowhere on the arm takes less.`
    : `Here it takes ${times(arm.times)} what the wrist takes: ${kilograms(arm.needed)} instead of ${kilograms(pull)}.`;
}

export function shinInWords(shin: Levers["shin"], press: number): string {
  return shin.times < 1.05
    ? `At the ankle: ${kilograms(shin.needed)} presses it down. Nowhere on the shin takes less.`
    : `Here it takes ${times(shin.times)} what the ankle takes: ${kilograms(shin.needed)} instead of ${kilograms(press)}.`;
}

/** Less than this is nothing to hold, newton metres. */
const LITTLE = 12;

export function frameInWords(frame: Levers["frame"]): string {
  const { shoulder, elbow } = frame;
  if (shoulder < LITTLE && elbow < LITTLE)
    return "The bones stand in its line: they carry it, hardly any strength does.";
  const worst = shoulder >= elbow ? "shoulder" : "elbow";
  return `The ${worst} has to hold ${turn(Math.max(shoulder, elbow))}, the ${worst === "shoulder" ? "elbow" : "shoulder"} ${turn(Math.min(shoulder, elbow))}.`;
}

export function hipInWords(hip: Levers["hip"], above: number): string {
  const off = `${Math.abs(Math.round(above))} cm`;
  switch (hip.turn) {
    case "none":
      return "On the hip bone: all of the push moves the hips.";
    case "down-on-you":
      return `${off} below it: ${turn(hip.torque)} of the push tip their trunk down over you.`;
    case "bent-back":
      return `${off} above it: ${turn(hip.torque)} of the push bend their trunk back, and the hips stay.`;
  }
}
