import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { aMap } from "../../test/aMap";
import type { OddsData } from "../odds";
import { endsAfter, endsAtLast, goodBy, wholeNumbers } from "./ends";

const map = aMap({
  outcomes: [
    { id: "top", title: "Top side", kind: "reversal" },
    { id: "tap", title: "Tap", kind: "tap" },
  ],
  situations: [
    { id: "pin", title: "Pin", entry: 3 },
    { id: "late", title: "Late", entry: 1 },
    { id: "half", title: "Half guard", entry: 0, rest: "half" },
  ],
});

const flow: Schemas["Flow"] = {
  exchanges: [
    { places: { pin: 100 } },
    { places: { top: 30, half: 20, late: 50 } },
    { places: { top: 42, half: 10, tap: 48 } },
  ],
  links: [
    { exchange: 1, from: "pin", to: "top", count: 30 },
    { exchange: 1, from: "pin", to: "half", count: 20 },
    { exchange: 1, from: "pin", to: "late", count: 50 },
    { exchange: 2, from: "late", to: "tap", count: 48 },
    { exchange: 2, from: "late", to: "top", count: 2 },
    { exchange: 2, from: "half", to: "top", count: 10 },
  ],
};

const isGood = goodBy({ worth: { reversal: 1, half: 1, tap: 0 } } as unknown as Schemas["Aim"]);

describe("whole numbers", () => {
  it("add up, each as near as it can be", () => {
    expect(wholeNumbers([1, 1, 1], 100)).toEqual([34, 33, 33]);
    expect(wholeNumbers([0.126, 0.125, 0.249], 50)).toEqual([13, 12, 25]);
    expect(wholeNumbers([2, 0], 7)).toEqual([7, 0]);
    expect(wholeNumbers([0, 0], 7)).toEqual([0, 0]);
  });
});

describe("where the starts are", () => {
  it("is on the way while a place to rest in is left again", () => {
    expect(endsAfter(map, flow, 1, isGood)).toEqual({
      ends: [{ kind: "reversal", count: 30, good: true }],
      going: 70,
    });
  });

  it("is at its end where nothing leads on, the good ends first", () => {
    expect(endsAfter(map, flow, 2, isGood)).toEqual({
      ends: [
        { kind: "reversal", count: 42, good: true },
        { kind: "half", count: 10, good: true },
        { kind: "tap", count: 48, good: false },
      ],
      going: 0,
    });
  });
});

describe("how rounds end", () => {
  const odds = {
    situations: {
      pin: { ends: { reversal: 0.6, tap: 0.4 }, neverEnds: 0 },
      late: { ends: { reversal: 0.105, half: 0.1, tap: 0.695 }, neverEnds: 0.1 },
    },
  } as unknown as OddsData;

  it("counts the starts by how often they are, and adds up to the number of the map and to 100", () => {
    const { ends, going } = endsAtLast(map, odds, undefined, isGood);
    const good = ends.filter((end) => end.good).reduce((sum, end) => sum + end.count, 0);
    // (3 · 0.6 + 0.105 + 0.1) / 4 = 0.501
    expect(good).toBe(50);
    expect(ends.reduce((sum, end) => sum + end.count, going)).toBe(100);
    expect(going).toBe(3);
  });

  it("is told from one place alone", () => {
    expect(endsAtLast(map, odds, "pin", isGood).ends.map((end) => [end.kind, end.count])).toEqual([
      ["reversal", 60],
      ["tap", 40],
    ]);
  });
});
