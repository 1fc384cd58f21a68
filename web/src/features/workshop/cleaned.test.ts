import { describe, expect, it } from "vitest";
import { cleaned } from "./cleaned";
import { freeId } from "../../model/ids";

describe("a part ready to be sent", () => {
  it("leaves out what was left empty, and trims", () => {
    expect(
      cleaned({ title: " Low ", held: {}, rest: undefined, clock: null, entry: 0, jacket: false }),
    ).toEqual({
      title: "Low",
      entry: 0,
      jacket: false,
    });
  });

  it("gives new responses an id from their words and the usual frequency", () => {
    const { responses } = cleaned({
      responses: [{ id: "they-sit", cue: "They sit", often: 2 }, { cue: "They sit" }, {}, { often: "" }],
    }) as { responses: Record<string, unknown>[] };
    expect(responses).toEqual([
      { id: "they-sit", cue: "They sit", often: 2 },
      { id: "they-sit-2", cue: "They sit", often: "sometimes" },
    ]);
  });

  it("leaves lists of words and rows without ids alone", () => {
    expect(cleaned({ checkpoints: ["Feet in"], faults: [{ sign: "It slips", cause: "" }] })).toEqual({
      checkpoints: ["Feet in"],
      faults: [{ sign: "It slips" }],
    });
  });
});

describe("a free id", () => {
  it("is close to the words and not taken", () => {
    expect(freeId("Wrestler’s ride", [])).toBe("wrestler-s-ride");
    expect(freeId("Été!", ["ete"])).toBe("ete-2");
    expect(freeId("…", [])).toBe("part");
    expect(freeId("a".repeat(60), [])).toHaveLength(48);
  });
});
