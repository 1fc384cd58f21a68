import { describe, expect, it } from "vitest";
import { aMap } from "../test/aMap";
import { freeId, retiredResponses, takenIds } from "./ids";

const map = aMap({
  retired: ["facts/wet", "outcomes/mat-edge", "reactions/bridge", "reactions/bridge/they-post"],
});

describe("ids that are never handed out twice", () => {
  it("are those of what is gone, too", () => {
    expect(freeId("Wet", takenIds(map, "facts"))).toBe("wet-2");
    expect(freeId("Bridge", takenIds(map, "reactions"))).toBe("bridge-2");
    expect(freeId("They post", takenIds(map, "reactions"))).toBe("they-post");
  });

  it("count for situations and outcomes alike, as landings name both", () => {
    expect(freeId("Mat edge", takenIds(map, "situations"))).toBe("mat-edge-2");
  });

  it("count for the responses of a reaction that once had them", () => {
    expect(retiredResponses(map, "bridge")).toEqual(["they-post"]);
    expect(retiredResponses(map, "wet")).toEqual([]);
  });
});
