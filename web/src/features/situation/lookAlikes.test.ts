import { expect, test } from "vitest";
import { alikeTo } from "./LookAlikesHere";

const half = (situation: string, loss: number) => ({
  situation,
  answer: `${situation}-answer`,
  chance: 0.2,
  loss,
});

test("a place is told what it is taken for once, whichever of the two it is, and only where it costs something", () => {
  const pairs = [
    { after: "bridge", one: half("low", 0.3), other: half("high", 0.2) },
    { one: half("high", 0.2), other: half("low", 0.3) },
    { one: half("side", 0.1), other: half("low", 0.004) },
    { one: half("low", 0.001), other: half("back", 0.002) },
    { one: half("side", 0.1), other: half("high", 0.1) },
  ];
  expect(alikeTo(pairs, "low").map(({ here, there }) => [here.loss, there.situation])).toEqual([
    [0.3, "high"],
    [0.004, "side"],
  ]);
  expect(alikeTo(pairs, "turtle")).toEqual([]);
});
