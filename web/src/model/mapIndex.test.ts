import { expect, it } from "vitest";
import { indexOf } from "./mapIndex";
import { aMap } from "../test/aMap";

const map = aMap({
  situations: [{ id: "low", title: "Low mount" }],
  facts: [{ id: "low", title: "They are low" }],
});

it("finds a part in its own list only", () => {
  expect(indexOf(map).situation("low")?.title).toBe("Low mount");
  expect(indexOf(map).fact("low")?.title).toBe("They are low");
  expect(indexOf(map).situation("high")).toBeUndefined();
  expect(indexOf(map).situation(undefined)).toBeUndefined();
});

it("finds a response within its reaction only, and what is taught in a place", () => {
  const taught = aMap({
    reactions: [
      { id: "bridge", from: "low", responses: [{ id: "post", cue: "They post" }] },
      { id: "frame", from: "low", responses: [] },
    ],
  });
  expect(indexOf(taught).response("bridge", "post")?.cue).toBe("They post");
  expect(indexOf(taught).response("frame", "post")).toBeUndefined();
  expect(indexOf(taught).response("bridge", undefined)).toBeUndefined();
  expect(
    indexOf(taught)
      .answersFrom("low")
      .map((r) => r.id),
  ).toEqual(["bridge", "frame"]);
  expect(indexOf(taught).answersFrom(undefined)).toEqual([]);
});

it("is made once for each state of the map", () => {
  expect(indexOf(map)).toBe(indexOf(map));
  const renamed = aMap({ ...map, situations: [{ id: "low", title: "Lower" }] });
  expect(indexOf(renamed).situation("low")?.title).toBe("Lower");
});
