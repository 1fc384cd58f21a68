import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { middle, milliseconds, stillToCome, type Read } from "./sitting";

const card = (reaction: string) => ({ reaction }) as Schemas["ReadingCard"];
const read = (ms: number, right = true) => ({ milliseconds: ms, right }) as Read;

describe("a sitting", () => {
  it("brings a cue that was read wrong again within four", () => {
    const left = ["a", "b", "c", "d"].map(card);
    expect(stillToCome(left, card("x"), true)).toBe(left);
    expect(stillToCome(left, card("x"), false).map((c) => c.reaction)).toEqual(["a", "b", "c", "x", "d"]);
    expect(stillToCome([], card("x"), false).map((c) => c.reaction)).toEqual(["x"]);
  });
  it("measures what can be a reading", () => {
    expect([milliseconds(0, 1234.4), milliseconds(0, 3), milliseconds(0, 99_999)]).toEqual([
      1234, 50, 30_000,
    ]);
  });
  it("says the middle of the right ones", () => {
    expect(middle([read(1000), read(3000), read(9000, false), read(2000)])).toBe(2);
    expect(middle([read(1000), read(2000)])).toBe(1.5);
    expect(middle([read(1000, false)])).toBeUndefined();
  });
});
