// @vitest-environment jsdom
import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { findingPath, lowerFirst, theyDo, withoutThey } from "./holes";
import { nextGate } from "./moveBetweenGates";
import { aMap } from "../../test/aMap";

function gate(name: string, left: number, top: number): HTMLElement {
  const element = document.createElement("a");
  element.id = name;
  element.getBoundingClientRect = () => ({ left, top }) as DOMRect;
  return element;
}

describe("arrow keys", () => {
  const gates = [
    gate("a1", 0, 0),
    gate("a2", 0, 30),
    gate("b1", 200, 5),
    gate("b3", 200, 90),
    gate("a4", 0, 120),
  ];
  const from = (name: string, key: string) =>
    nextGate(
      gates.find((g) => g.id === name)!,
      gates,
      key,
    )?.id;

  it("walk down and up a column, over gaps", () => {
    expect(from("a1", "ArrowDown")).toBe("a2");
    expect(from("a2", "ArrowDown")).toBe("a4");
    expect(from("a4", "ArrowUp")).toBe("a2");
    expect(from("a1", "ArrowUp")).toBeUndefined();
  });

  it("go sideways to the nearest in height", () => {
    expect(from("a1", "ArrowRight")).toBe("b1");
    expect(from("a4", "ArrowRight")).toBe("b3");
    expect(from("b1", "ArrowLeft")).toBe("a1");
  });

  it("leave other keys alone", () => {
    expect(from("a1", "Enter")).toBeUndefined();
  });
});

describe("cues", () => {
  it("are read after “they”", () => {
    expect(withoutThey("They post the hand.")).toBe("post the hand");
    expect(theyDo("They post the hand.")).toBe("they post the hand");
    expect(theyDo("A hand goes to the mat")).toBe("a hand goes to the mat");
    expect(lowerFirst("Hips turn")).toBe("hips turn");
  });
});

describe("a finding", () => {
  const map = aMap({
    id: "m",
    situations: [{ id: "low" }],
    reactions: [{ id: "trap", from: "low", technique: "trap-and-bridge", responses: [] }],
    techniques: [{ id: "trap-and-bridge" }, { id: "trap", title: "Trap only" }],
    families: [{ id: "mount" }],
  });

  it.each([
    ["situations", "low", "/map/m/at/low?late=2"],
    ["reactions", "trap", "/map/m/at/low?late=2#trap"],
    ["techniques", "trap-and-bridge", "/map/m/at/low?late=2"],
    // It has the id of a reaction, and is none.
    ["techniques", "trap", "/map/m/workshop/techniques?late=2&edit=trap"],
    ["families", "mount", "/map/m/workshop/families?late=2&edit=mount"],
  ])("about one of the %s, %s, is looked at in its place", (list, place, path) => {
    expect(findingPath(map, { list, place } as Schemas["Finding"], "?late=2")).toBe(path);
  });
});
