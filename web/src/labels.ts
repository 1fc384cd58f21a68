/** Every word that stands for a code of the map, in one table. */

export const STAGES = ["early", "joined", "settled", "last-chance"] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_LABEL: Record<Stage, string> = {
  early: "Early",
  joined: "Joined",
  settled: "Settled",
  "last-chance": "Last chance",
};

export const WORDS = ["rarely", "sometimes", "often", "usually"] as const;

export const SEGMENTS = ["head", "near-arm", "far-arm", "trunk", "hips", "near-leg", "far-leg"] as const;
export type Segment = (typeof SEGMENTS)[number];

export const SEGMENT_LABEL: Record<Segment, string> = {
  head: "head",
  "near-arm": "near arm",
  "far-arm": "far arm",
  trunk: "trunk",
  hips: "hips",
  "near-leg": "near leg",
  "far-leg": "far leg",
};

export const KIND_LABEL: Record<string, string> = {
  reversal: "reversal",
  counter: "counter-attack",
  standing: "standing",
  guard: "guard",
  half: "half guard",
  neutral: "level race",
  turtle: "turtle",
  tap: "tap",
};

/** A chance or worth in [0,1] as it is always shown: 0 to 100. */
export function hundred(worth: number): number {
  return Math.round(worth * 100);
}

/** A difference of worths in [0,1], of 100 starts and to a tenth of one, without its sign. */
export function tenths(difference: number): string {
  return (Math.abs(difference) * 100).toFixed(1);
}

/** What a partner's read in [0,1] means. */
export function readInWords(read: number): string {
  if (read <= 0) return "answers by habit";
  if (read < 0.35) return "reads you at times";
  if (read < 0.7) return "reads you often";
  if (read < 1) return "reads you mostly";
  return "finds the worst";
}

export function seconds(value: number): string {
  return `${value.toFixed(1)} s`;
}
