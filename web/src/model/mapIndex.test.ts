import { expect, it } from "vitest";
import type { Schemas } from "../api/client";
import { indexOf } from "./mapIndex";

const map = {
  situations: [{ id: "low", title: "Low mount" }],
  facts: [{ id: "low", title: "They are low" }],
} as unknown as Schemas["Map"];

it("finds a part in its own list only", () => {
  expect(indexOf(map).situation("low")?.title).toBe("Low mount");
  expect(indexOf(map).fact("low")?.title).toBe("They are low");
  expect(indexOf(map).situation("high")).toBeUndefined();
  expect(indexOf(map).situation(undefined)).toBeUndefined();
});

it("is made once for each state of the map", () => {
  expect(indexOf(map)).toBe(indexOf(map));
  const renamed = { ...map, situations: [{ id: "low", title: "Lower" }] } as unknown as Schemas["Map"];
  expect(indexOf(renamed).situation("low")?.title).toBe("Lower");
});
