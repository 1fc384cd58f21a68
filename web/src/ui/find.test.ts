import { describe, expect, it } from "vitest";
import { find, prepare } from "./find";

const entries = prepare([
  { kind: "Reaction", title: "Frame across the hips, scoop the foot" },
  { kind: "Situation", title: "Hips in, both stand", detail: "Standing headlock" },
  { kind: "Situation", title: "Low, arms round your head", detail: "Mount, joined" },
  { kind: "Response", title: "They smash the knee", detail: "Bridge, short hip escape" },
  { kind: "Movement", title: "Granby roll", also: "inversion" },
]);
const titles = (typed: string, most = 10) => find(entries, typed, most).map((e) => e.title);

describe("finding by a few letters", () => {
  it("puts what begins so first, then what has a word that begins so", () => {
    expect(titles("hip")).toEqual([
      "Hips in, both stand",
      "Frame across the hips, scoop the foot",
      "They smash the knee",
    ]);
  });

  it("wants every word, in any order, in title or detail", () => {
    expect(titles("mo low")).toEqual(["Low, arms round your head"]);
    expect(titles("low granby")).toEqual([]);
  });

  it("finds by other names, without accents or case", () => {
    expect(titles("INVÉRS")).toEqual(["Granby roll"]);
  });

  it("offers the first ones before anything is typed, and never too many", () => {
    expect(titles(" ", 2)).toHaveLength(2);
    expect(titles("h", 1)).toHaveLength(1);
  });
});
