import { describe, expect, it } from "vitest";
import { cleaned } from "./cleaned";
import { needsIn, rooted } from "./needs";

const arm = { id: "arm", title: "The arm is under", work: 1, denied: ["hand-fight"] };

describe("what a pin or a finish needs", () => {
  it("is edited as a group, a single need as a group of one", () => {
    expect(rooted(undefined)).toEqual({ all: [] });
    expect(rooted(arm)).toEqual({ all: [arm] });
    expect(rooted({ any: [arm] })).toEqual({ any: [arm] });
  });

  it("is counted through every group", () => {
    const title = (need: Record<string, unknown>) => need.title;
    const tree = { all: [arm, { any: [{ title: "Left" }, { all: [{ title: "Right" }] }] }] };
    expect(needsIn(tree).map(title)).toEqual(["The arm is under", "Left", "Right"]);
  });

  it("goes out without what was left empty, each need with an id of its own", () => {
    const typed = {
      title: "Choke",
      needs: {
        all: [
          arm,
          { work: 2 },
          {
            any: [
              { title: "Arm ", work: 2, denied: [] },
              { work: 3, title: "" },
            ],
          },
          { any: [{ work: 2 }, { all: [{}] }] },
        ],
      },
    };
    expect(cleaned(typed)).toEqual({
      title: "Choke",
      needs: { all: [arm, { any: [{ id: "arm-2", title: "Arm", work: 2 }] }] },
    });
  });

  it("is missing when nothing was written at all", () => {
    expect(cleaned({ title: "Choke", needs: { all: [{ work: 2 }] } })).toEqual({ title: "Choke" });
  });

  it("keeps a need without words that something denies, so that it is asked for", () => {
    expect(cleaned({ needs: { all: [{ denied: ["bridge"], work: 2 }] } })).toEqual({
      needs: { all: [{ id: "part", denied: ["bridge"], work: 2 }] },
    });
  });
});
