import { describe, expect, it } from "vitest";
import { isMarked, nextMark, type Marks } from "./marks";

const none: Marks = { where: "", held: [], free: [], so: [], notSo: [] };

describe("pressing a part of the body", () => {
  it("goes from unsaid to held to free and back", () => {
    const held = nextMark(none, "hips");
    expect(held.held).toEqual(["hips"]);
    const free = nextMark(held, "hips");
    expect(free.held).toEqual([]);
    expect(free.free).toEqual(["hips"]);
    expect(nextMark(free, "hips")).toEqual(none);
  });

  it("leaves the other marks alone", () => {
    const marks = nextMark({ ...none, held: ["head"], so: ["hip-blocked"] }, "hips");
    expect(marks).toEqual({ where: "", held: ["head", "hips"], free: [], so: ["hip-blocked"], notSo: [] });
  });
});

it("a fact that is not so is a mark too", () => {
  expect(isMarked(none)).toBe(false);
  expect(isMarked({ ...none, where: "astride" })).toBe(true);
  expect(isMarked({ ...none, notSo: ["hip-blocked"] })).toBe(true);
});
