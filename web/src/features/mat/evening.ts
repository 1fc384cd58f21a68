import type { Mat, Step } from "./clock";

/** A step, for tests. */
export function step(number: number, kind: Step["kind"], seconds: number): Step {
  return { number, kind, seconds, bout: 0, calls: [], notches: 0, threes: [] };
}

export function part(
  unit: string,
  section: Mat["parts"][number]["section"],
  steps: Step[],
): Mat["parts"][number] {
  return {
    unit,
    section,
    title: unit,
    held: {},
    heldOther: {},
    answers: [],
    cautions: [],
    mistakes: [],
    bouts: [],
    inserted: false,
    steps,
  };
}

/** For tests, the class of the core's own: 60 s of warm-up, 30 s shown, two rounds of 40 s with 10 s before each, 60 s of talk. */
export const EVENING: Mat = {
  lesson: "l",
  title: "Tonight",
  gym: "Mats",
  version: 1,
  now: "2026-11-27T19:00:00Z",
  state: "running",
  step: 1,
  left: 60_000,
  ran: 0,
  here: 3,
  begun: "2026-11-27T19:00:00Z",
  minutes: 4,
  parts: [
    part("warm-up", "warm-up", [step(1, "move", 60)]),
    part("new:bridge", "new", [
      step(2, "show", 30),
      step(3, "change", 10),
      step(4, "round", 40),
      step(5, "change", 10),
      step(6, "round", 40),
    ]),
    part("talk", "talk", [step(7, "talk", 60)]),
  ],
};
