import { describe, expect, it } from "vitest";
import type { Plan } from "./design";
import { callsOf, duration, secondsOf, turnsOf, type Step } from "./turns";

const step = (kind: Step["kind"], bottom: Step["bottom"], link?: number): Step => ({
  kind,
  bottom,
  link: kind === "link" ? (link ?? null) : null,
  fake: kind === "fake" ? 0 : null,
  from: "a",
  to: "b",
  seconds: kind === "link" ? 4 : 3,
});

const plan = {
  stretches: [
    { side: "left", steps: [step("link", "first", 0), step("swap", "first"), step("link", "second", 1)] },
    { side: "right", steps: [step("fake", "second"), step("link", "second", 0)] },
  ],
  fakes: ["Left, and back"],
  links: [
    { word: "Knee", part: "call" },
    { word: "Near", part: "finish" },
  ],
} as unknown as Plan;

describe("turns", () => {
  it("begin where the other one goes below, and with another side", () => {
    const turns = turnsOf(plan);
    expect(turns.map((t) => [t.side, t.bottom, t.steps.length])).toEqual([
      ["left", "first", 2],
      ["left", "second", 1],
      ["right", "second", 2],
    ]);
    expect(secondsOf(turns[0]!.steps)).toBe(7);
    expect(callsOf(turns[1]!, plan)).toEqual([{ word: "Near", finish: true, fake: false }]);
    expect(callsOf(turns[2]!, plan).map((c) => c.word)).toEqual(["Left, and back", "Knee"]);
  });
  it("are timed in words", () => {
    expect([duration(45), duration(660), duration(80.4)]).toEqual(["45 s", "11 min", "1 min 20 s"]);
  });
});
