import { describe, expect, it } from "vitest";
import type { Ladder, Rung } from "./holds";
import { gain, leavesInWords, open, runs, steepest, unsaid } from "./words";

function rung(number: number, closes?: number, gets: number | null = 0.5): Rung {
  return {
    need: `n${number}`,
    title: `Need ${number}`,
    sign: "",
    work: 1,
    number,
    gets,
    closes,
    openings: [],
    answers: [],
  };
}

function ladder(closes: number | undefined, ...rungs: Rung[]): Ladder {
  return {
    id: "choke",
    title: "Choke",
    kind: "finish",
    at: [],
    cautions: [],
    neverClosed: false,
    closes,
    rungs,
    steps: [],
    arms: [],
  };
}

describe("a ladder in words", () => {
  it("says where most is lost, but for the last rung, with which it closes", () => {
    const steep = steepest(ladder(0.1, rung(1, 0.2), rung(2, 0.6), rung(3, 1)));
    expect(steep).toMatchObject({ from: 80, to: 40 });
    expect(steep?.rung.number).toBe(2);
    expect(steepest(ladder(undefined, rung(1)))).toBeUndefined();
    expect(steepest(ladder(0.5, rung(1, 1)))).toBeUndefined();
  });

  it("draws numbers in a row together", () => {
    expect(runs([3, 1, 2, 5])).toBe("1–3, 5");
    expect(runs([4])).toBe("4");
    expect(runs([])).toBe("");
  });

  it("says what arms leave", () => {
    expect(leavesInWords([], 4)).toBe("leaves no rung");
    expect(leavesInWords([1, 2, 3, 4], 4)).toBe("leaves every rung");
    expect(leavesInWords([1], 4)).toBe("leaves rung 1");
    expect(leavesInWords([1, 3, 4], 4)).toBe("leaves rungs 1, 3–4");
  });

  it("names the needs of which nobody has said how likely they are", () => {
    expect(unsaid(ladder(undefined, rung(1), rung(2, undefined, null)))).toEqual(["“need 2”"]);
  });

  it("counts what an answer adds of 100, as the two numbers beside it are shown", () => {
    const answer = { reaction: "r", stage: "early", takesAway: [], works: 1, inTime: 1, seconds: 1 } as const;
    expect(gain({ ...answer, takesAway: [], closedBy: [], before: 0.304, closes: 0.056 })).toBe(24);
    expect(gain({ ...answer, takesAway: [], closedBy: [] })).toBeUndefined();
    expect(open(0.25)).toBe(0.75);
    expect(open(null)).toBeUndefined();
  });
});
