import { describe, expect, it } from "vitest";
import { shapeOf, stretched } from "./shapes";

const LIVE = { section: "live", least: 10, most: 25 } as const;
const TALK = { section: "talk", least: 3, most: 5 } as const;

describe("a shape of the gym", () => {
  it("is known again in a class that has it, and not where a part differs", () => {
    const kept = [
      { id: "k", title: "Live", spans: [LIVE, TALK, { section: "new", least: 0, most: 0 } as const] },
    ];
    expect(shapeOf({ usual: null, shape: [TALK, LIVE] }, kept)?.id).toBe("k");
    expect(shapeOf({ usual: null, shape: [LIVE] }, kept)).toBeUndefined();
    expect(shapeOf({ usual: "mostly-live", shape: null }, kept)).toBeUndefined();
  });

  it("grows with the class, and stays where no length is given", () => {
    expect(stretched([LIVE, TALK], 1.25)).toEqual([
      { section: "live", least: 12, most: 32 },
      { section: "talk", least: 3, most: 7 },
    ]);
    expect(stretched([LIVE], Number.NaN)).toEqual([LIVE]);
    expect(stretched([LIVE], 100)[0]!.most).toBe(180);
  });
});
