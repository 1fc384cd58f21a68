import { expect, it } from "vitest";
import type { Mat } from "./clock";
import { heardAt, saidAt } from "./sounds";

function mat(kind: Mat["parts"][number]["steps"][number]["kind"], left: number, ran: number): Mat {
  return {
    lesson: "l",
    title: "Tonight",
    gym: "Mats",
    version: 1,
    now: "2026-11-27T19:00:00Z",
    state: "running",
    step: 1,
    left,
    ran,
    here: 2,
    minutes: 60,
    parts: [
      {
        unit: "called:a",
        section: "called",
        title: "Low mount",
        held: {},
        heldOther: {},
        answers: [{ call: "They post wide", from: "Low mount", answer: "Bridge" }],
        cautions: [],
        mistakes: [],
        bouts: [],
        inserted: false,
        steps: [{ number: 1, kind, seconds: 60, bout: 0, calls: [{ at: 0, answer: 0 }] }],
      },
    ],
  };
}

it("counts a round in, begins it, and says when it is soon over", () => {
  expect(heardAt(mat("change", 9_500, 500))?.sound).toBe("end");
  expect(heardAt(mat("change", 2_800, 7_200))).toEqual({ key: "1 3", sound: "tick" });
  expect(heardAt(mat("round", 59_900, 100))?.sound).toBe("begin");
  expect(heardAt(mat("round", 9_700, 50_300))).toEqual({ key: "1 soon", sound: "tick" });
  expect(heardAt(mat("round", 30_000, 30_000))).toBeUndefined();
});

it("is silent while the class is stopped", () => {
  expect(heardAt({ ...mat("round", 59_900, 100), state: "stopped" })).toBeUndefined();
  expect(saidAt({ ...mat("round", 59_900, 100), state: "stopped" })).toBeUndefined();
});

it("speaks the call of the moment", () => {
  expect(saidAt(mat("round", 50_000, 10_000))).toEqual({ key: "1 1", words: "They post wide" });
});
