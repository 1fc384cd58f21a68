import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { everydayFirst, proposalKey, sourceName, sourceOf } from "./design";

const proposal = (focus: Schemas["Proposal"]["focus"], place: string, gain: number, other?: string) =>
  ({ focus, place, other: other ?? null, gain }) as Schemas["Proposal"];

const PROPOSALS = [
  proposal("narrow-gate", "mount-low", 0.02),
  proposal("look-alike", "a", 0.01, "b"),
  proposal("everyday", "open-guard", 0.001),
];

describe("what stands on the bench", () => {
  it("is the everyday drill where the address says nothing", () => {
    expect(sourceOf(new URLSearchParams(), PROPOSALS)).toEqual({
      from: "proposal",
      key: "everyday~open-guard",
    });
    expect(everydayFirst(PROPOSALS).map((p) => p.place)).toEqual(["open-guard", "mount-low", "a"]);
    expect(sourceOf(new URLSearchParams(), [])).toBeUndefined();
    const lately = proposal("answered-lately", "headlock-kneeling", 0.002);
    expect(
      everydayFirst([...PROPOSALS, lately])
        .map((p) => p.focus)
        .slice(0, 2),
    ).toEqual(["everyday", "answered-lately"]);
  });
  it("is what the address names, a kept drill before a place before a proposal", () => {
    const at = (query: string) => sourceOf(new URLSearchParams(query), PROPOSALS);
    expect(at("kept=1&place=x&worth=y")).toEqual({ from: "kept", id: "1" });
    expect(at("place=x&how=everyday")).toEqual({ from: "place", place: "x", how: "everyday" });
    expect(at("place=x&how=otherwise")).toEqual({ from: "place", place: "x", how: "called" });
    expect(at("worth=look-alike~a~b")).toEqual({ from: "proposal", key: "look-alike~a~b" });
  });
  it("has a name of its own, under which what is not kept stays", () => {
    const names = ["kept=1", "place=x", "place=x&how=everyday", "worth=w"].map((query) =>
      sourceName(sourceOf(new URLSearchParams(query), PROPOSALS)!),
    );
    expect(new Set(names).size).toBe(4);
    expect(proposalKey(PROPOSALS[1]!)).toBe("look-alike~a~b");
  });
});
