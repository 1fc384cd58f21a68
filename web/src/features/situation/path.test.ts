import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import type { OddsData } from "../odds";
import { nextOnPath, previousOnPath } from "./path";
import { aMap } from "../../test/aMap";

const map = aMap({
  situations: [
    { id: "early", entry: 3, clock: { seconds: 4, becomes: "late" } },
    { id: "pin", entry: 0 },
    { id: "late", entry: 0 },
    { id: "guard", entry: 0 },
  ],
});

function at(best: string, lands: Record<string, number>, stop = false) {
  const responses = Object.entries(lands).map(([place, chance]) => ({ lands: place, chance }));
  return { best, stop, reactions: [{ reaction: best, responses }] } as unknown as Schemas["SituationOdds"];
}

const odds = {
  situations: {
    early: at("frame", { pin: 0.6, guard: 0.4 }),
    pin: at("bridge", { pin: 0.5, guard: 0.3, top: 0.2 }),
    late: at("fight", { tap: 1 }),
    guard: at("sweep", { pin: 1 }, true),
  },
} as unknown as OddsData;

describe("the best path", () => {
  it("goes on where the best reaction leads most often, but not in circles or off the map", () => {
    expect(nextOnPath(map, odds.situations.early!, "early")).toBe("pin");
    expect(nextOnPath(map, odds.situations.pin!, "pin")).toBe("guard");
    expect(nextOnPath(map, odds.situations.late!, "late")).toBeUndefined();
    expect(nextOnPath(map, odds.situations.guard!, "guard")).toBeUndefined();
  });

  it("comes from where the best reactions lead here, or from a clock that ran down", () => {
    expect(previousOnPath(map, odds, "pin")).toBe("early");
    expect(previousOnPath(map, odds, "late")).toBe("early");
    expect(previousOnPath(map, odds, "early")).toBeUndefined();
  });
});
