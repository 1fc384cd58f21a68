import { expect, test } from "vitest";
import type { Schemas } from "../../api/client";
import { calledOf } from "./Calls";

const response = (id: string, leads?: string) => ({ id, cue: `They ${id}`, leads }) as Schemas["Response"];
const reaction = (...responses: Schemas["Response"][]) =>
  ({ id: "bridge", from: "low", responses }) as Schemas["Reaction"];

const map = {
  situations: [
    { id: "low", stage: "early" },
    { id: "side", stage: "joined" },
    { id: "choke", stage: "last-chance" },
  ],
  outcomes: [
    { id: "guard", kind: "guard" },
    { id: "tap", kind: "tap" },
  ],
} as Schemas["Map"];

test("everything that was answered is called, where there is a choice to read", () => {
  const called = calledOf(
    map,
    reaction(response("post", "side"), response("sit", "guard"), response("pull")),
    false,
  );
  expect(called.map((one) => one.id)).toEqual(["post", "sit"]);
  expect(calledOf(map, reaction(response("post", "side"), response("pull")), false)).toEqual([]);
});

test("nothing that closes a finish is called with children", () => {
  const all = [
    response("post", "side"),
    response("squeeze", "choke"),
    response("sit", "guard"),
    response("end", "tap"),
  ];
  expect(calledOf(map, reaction(...all), false)).toHaveLength(4);
  expect(calledOf(map, reaction(...all), true).map((one) => one.id)).toEqual(["post", "sit"]);
  const closing = { ...reaction(...all), from: "choke" };
  expect(calledOf(map, closing, true)).toEqual([]);
});
