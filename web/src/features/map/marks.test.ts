import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import type { Overview } from "../odds";
import { holesOf } from "./holes";
import { changedMost, hubsOf, isWithin, shownBy } from "./marks";

const technique = (id: string, more: Partial<Schemas["Technique"]> = {}) =>
  ({
    id,
    title: id,
    level: "novice",
    children: true,
    movements: [],
    cautions: [],
    ...more,
  }) as Schemas["Technique"];

function reaction(id: string, from: string, technique: string, leads: (string | undefined)[]) {
  const responses = leads.map((to, i) => ({ id: `${i}`, cue: `They do ${i}.`, leads: to }));
  return { id, from, technique, responses } as unknown as Schemas["Reaction"];
}

describe("hubs", () => {
  it("are places that answers from five others lead to, but not places to rest", () => {
    const from = ["a", "b", "c", "d", "e"];
    const map = {
      situations: [...from.map((id) => ({ id })), { id: "hip" }, { id: "half", rest: "half" }],
      reactions: [
        ...from.map((id) => reaction(`r-${id}`, id, "t", ["hip", "half", undefined])),
        reaction("self", "hip", "t", ["hip"]),
      ],
    } as unknown as Schemas["Map"];
    expect([...hubsOf(map)]).toEqual([["hip", 5]]);
    expect([...hubsOf({ ...map, reactions: map.reactions.slice(1) })]).toEqual([]);
  });
});

describe("the filter", () => {
  const hard = technique("hard", {
    level: "advanced",
    children: false,
    movements: ["bridge"],
    cautions: ["Neck"],
    stance: "hand/hip",
  });

  it.each([
    [{ level: "intermediate" }, false],
    [{ level: "advanced" }, true],
    [{ movement: "bridge" }, true],
    [{ movement: "shrimp" }, false],
    [{ stance: "hand/hip" }, true],
    [{ stance: "hand/arm" }, false],
    [{ caution: "any" }, true],
    [{ caution: "none" }, false],
    [{ children: "yes" }, false],
    [{ movement: "bridge", children: "yes" }, false],
    [{}, true],
  ])("%j lets the hard one in: %s", (filter, within) => {
    expect(isWithin(hard, filter)).toBe(within);
  });

  it("shows where something within it is taught, and everything when it is off", () => {
    const map = {
      techniques: [technique("easy"), hard],
      reactions: [reaction("1", "a", "easy", []), reaction("2", "b", "hard", [])],
    } as unknown as Schemas["Map"];
    expect([...shownBy(map, { children: "yes" })!]).toEqual(["a"]);
    expect(shownBy(map, {})).toBeUndefined();
  });
});

it("what changed most comes first, by the shown number", () => {
  const was = { a: { worth: 0.5 }, b: { worth: 0.301 }, c: { worth: 0.9 } };
  const now = { a: { worth: 0.55 }, b: { worth: 0.304 }, c: { worth: 0.7 }, fresh: { worth: 0.4 } };
  expect(changedMost(was, now, 5)).toEqual([
    { id: "c", before: 90, after: 70 },
    { id: "a", before: 50, after: 55 },
  ]);
  expect(changedMost(was, now, 1)).toHaveLength(1);
});

describe("holes", () => {
  const map = {
    situations: [
      { id: "dead" },
      { id: "half", rest: "half" },
      { id: "open" },
      { id: "two" },
      { id: "mute" },
      { id: "ok" },
    ],
    reactions: [
      reaction("r1", "open", "t", ["ok", undefined]),
      reaction("r2", "two", "t", [undefined, undefined]),
      reaction("r3", "mute", "t", []),
      reaction("r4", "ok", "t", ["half"]),
    ],
  } as unknown as Schemas["Map"];
  const at = (usable: boolean) => ({ usable });
  const odds = {
    situations: {
      dead: at(false),
      half: at(false),
      open: at(true),
      two: at(true),
      mute: at(true),
      ok: at(true),
    },
  } as unknown as Overview;

  it("are told in words, and a place to rest without a way on is none", () => {
    expect(Object.fromEntries(holesOf(map, odds))).toEqual({
      dead: "Nothing is taught from here.",
      open: "No answer yet when they do 1.",
      two: "2 of their answers have no answer yet.",
      mute: "A reaction without any response of theirs.",
    });
  });
});
