import { expect, it } from "vitest";
import type { Mat, Step } from "./clock";
import { EVENING, part, step } from "./evening";
import { heardAt, saidAt } from "./sounds";

function mat(kind: Step["kind"], left: number, ran: number): Mat {
  const called = part("called:a", "called", [{ ...step(1, kind, 60), calls: [{ at: 0, answer: 0 }] }]);
  const answers = [{ call: "They post wide", from: "Low mount", answer: "Bridge" }];
  return { ...EVENING, left, ran, parts: [{ ...called, answers }] };
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

it("tells every notch of a dial, with a tick from the second", () => {
  const dial = {
    ...mat("round", 39_900, 20_100),
    parts: [part("live:a~dial", "live", [{ ...step(1, "round", 60), notches: 3 }])],
  };
  expect(saidAt(dial)?.words).toBe("Notch 2. Ask.");
  expect(heardAt(dial)?.sound).toBe("tick");
  expect(heardAt({ ...dial, left: 38_500, ran: 21_500 })).toBeUndefined();
  expect(saidAt({ ...dial, left: 59_900, ran: 100 })?.words).toBe("Notch 1. Ask.");
});
