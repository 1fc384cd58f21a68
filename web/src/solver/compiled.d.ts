/** The compiled core, as its Java says it in `browser/`: by hand, as the compiler gives no types. */
declare module "#solver" {
  /** Figures, whole numbers and texts, each read off in the order in which `unpack.ts` reads them. */
  export interface Packed {
    figures: Float64Array;
    marks: Int32Array;
    texts: string[];
  }

  /** What was asked for, or what is wrong with what was given. */
  export type Answer = { value: Packed } | { problems: { place: string; message: string }[] };

  /** Takes a map in the open format, without holds and postures, in the place of the one before; nothing is in the answer. */
  export function load(file: unknown): Answer;
  /** What each situation of the map is worth. */
  export function overview(setting: object): Answer;
  /** Every situation's odds. */
  export function odds(setting: object): Answer;
  /** What each situation would be worth with `{ list, id, part }` put into the map; each part has its own id. */
  export function preview(parts: object[], setting: object): Answer;
  /** Where one is, judged from `{ where, held, free, so, notSo }`. */
  export function held(marks: object, setting: object): Answer;
}

/** The second program: what one learns to read, and calls. It holds a map of its own. */
declare module "#practice" {
  import type { Answer } from "#solver";

  /** Takes a map in the open format, without holds and postures, in the place of the one before; nothing is in the answer. */
  export function load(file: unknown): Answer;
  /** Up to `cards` cues to be read, the same for a `seed`, for somebody of whom nothing is known. */
  export function deck(setting: object, cards: number, seed: number): Answer;
  /** What is easily taken for one another, the dearest first. */
  export function lookAlikes(setting: object): Answer;
  /** Numbers from 0 in an order that cannot be guessed, each of the `calls` so often. No map need be there. */
  export function calls(calls: number, repetitions: number, seed: number): Answer;
}

/** The third program: two bodies under a hand. It holds nothing. */
declare module "#hand" {
  import type { Answer } from "#solver";

  /**
   * A posture in the open format, told whole, with a joint of it taken elsewhere as it is seen, in stature; drawn, with what can
   * be taken hold of.
   */
  export function moved(posture: object, joint: string, right: number, up: number, towards: number): Answer;
}
