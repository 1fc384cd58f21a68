import { expect, test } from "vitest";
import type { Schemas } from "../../api/client";
import { alikeTo } from "./LookAlikesHere";

const half = (situation: string, loss: number) => ({
  situation,
  answer: `${situation}-answer`,
  chance: 0.2,
  loss,
});
const map = {
  situations: [
    { id: "low", family: "mount" },
    { id: "high", family: "mount" },
    { id: "upright", family: "mount" },
    { id: "side", family: "side" },
    { id: "back", family: "back" },
  ],
} as Schemas["Map"];

test("a place is told what it is taken for once, whichever of the two it is, and only where it costs something", () => {
  const pairs = [
    { one: half("low", 0.3), other: half("high", 0.2) },
    { after: "bridge", one: half("high", 0.2), other: half("low", 0.3) },
    { one: half("upright", 0.1), other: half("low", 0.004) },
    { one: half("high", 0.001), other: half("upright", 0.002) },
  ];
  expect(alikeTo(map, pairs, "low").map(({ here, there }) => [here.loss, there.situation])).toEqual([
    [0.3, "high"],
    [0.004, "upright"],
  ]);
  expect(alikeTo(map, pairs, "turtle")).toEqual([]);
});

test("two of different positions are told only where they come up after the same answer", () => {
  const pairs = [
    { one: half("low", 0.3), other: half("side", 0.2) },
    { after: "bridge", one: half("low", 0.3), other: half("back", 0.2) },
  ];
  expect(alikeTo(map, pairs, "low").map(({ there }) => there.situation)).toEqual(["back"]);
});
