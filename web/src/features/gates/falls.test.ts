import { expect, it } from "vitest";
import { aMap } from "../../test/aMap";
import type { Overview } from "../odds";
import { fallsOf } from "./falls";

it("a family falls by the mean over its starts, or over its places where none starts there", () => {
  const map = aMap({
    families: [
      { id: "side", title: "Side pin" },
      { id: "hub", title: "Hub" },
      { id: "empty", title: "Empty" },
    ],
    situations: [
      { id: "loose", family: "side", entry: 3 },
      { id: "tight", family: "side", entry: 1 },
      { id: "rest", family: "side", entry: 0 },
      { id: "hip", family: "hub", entry: 0 },
      { id: "leg", family: "hub", entry: 0 },
    ],
  });
  const odds = {
    situations: {
      loose: { worth: 0.8 },
      tight: { worth: 0.4 },
      rest: { worth: 1 },
      hip: { worth: 0.5 },
      leg: { worth: 0.7 },
    },
  } as unknown as Overview;
  const falls = fallsOf(map, odds, { tight: 0.2, rest: 0.9, leg: 0.1 });
  expect(falls.map((f) => [f.family, f.before.toFixed(3), f.after.toFixed(3)])).toEqual([
    ["side", "0.700", "0.650"],
    ["hub", "0.600", "0.550"],
  ]);
});
