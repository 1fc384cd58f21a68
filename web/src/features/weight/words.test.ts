import { describe, expect, it } from "vitest";
import type { Figures, Weight } from "./weight";
import {
  adviceInWords,
  degrees,
  heldInWords,
  mapInWords,
  postsInWords,
  priceInWords,
  verdict,
} from "./words";

const figures = (deg: number | undefined, way = "head-right", kg?: number): Figures => ({
  height: 30,
  load: kg === undefined ? undefined : { likely: kg, least: 0, most: 80, spots: [] },
  noLoad: kg === undefined ? "standing" : undefined,
  weakest: deg === undefined ? undefined : { degrees: deg, way, work: 10 },
  noBase: deg === undefined ? "standing" : undefined,
});
const weight = (now: Figures, first: Figures, best?: Weight["best"]) => ({ now, first, best }) as Weight;

describe("weight and base in words", () => {
  it("names traps as things that are held", () => {
    expect(heldInWords([])).toBe("");
    expect(heldInWords(["seat-up"])).toBe("");
    expect(heldInWords(["trap-hand-left"])).toBe("their left hand");
    expect(heldInWords(["trap-hand-left", "seat-up", "trap-foot-left"])).toBe(
      "their left hand and left foot",
    );
  });

  it("says where to bridge, and what it was", () => {
    expect(
      verdict(weight(figures(35.6, "head-right", 47), figures(59.2, "right", 39)), ["trap-hand-left"]),
    ).toBe("Hold their left hand, bridge over your right shoulder: they go at 36°, was 59°.");
    expect(verdict(weight(figures(59.2, "right", 39), figures(59.2, "right", 39)), [])).toBe(
      "They tip first to your right, once they are leant by 59°.",
    );
  });

  it("says it when they lean on you already, and when nothing is reckoned", () => {
    expect(verdict(weight(figures(-59, "left", 59), figures(-59, "left", 59)), [])).toContain(
      "They lean on you already, to your left: −59°.",
    );
    expect(verdict(weight(figures(undefined), figures(undefined)), [])).toContain("You are on your feet");
  });

  it("says what a trap costs, where it costs anything", () => {
    const dearer = weight(figures(35, "head-right", 47), figures(59, "right", 39));
    expect(priceInWords(dearer, ["trap-hand-left"])).toContain("39 → 47 kg");
    expect(priceInWords(dearer, ["seat-up"])).toBe("");
    expect(
      priceInWords(weight(figures(35, "right", 39.5), figures(59, "right", 39)), ["trap-hand-left"]),
    ).toBe("");
    expect(priceInWords(weight(figures(-8, "head"), figures(59, "right", 39)), ["trap-hand-left"])).toBe("");
  });

  it("offers what tips them soonest, not where they lean already", () => {
    const best = { changes: ["trap-hand-left"], then: figures(35) };
    expect(adviceInWords(weight(figures(59), figures(59), best))).toBe(
      "Soonest: hold their left hand, then 35° over your right shoulder.",
    );
    expect(adviceInWords(weight(figures(-9), figures(-9), best))).toBe("");
    expect(adviceInWords(weight(figures(59), figures(59)))).toBe("");
  });

  it("says what the map says of the place", () => {
    const titles: Record<string, string> = {
      forward: "Their shoulders are ahead of their hips",
      caught: "A foot is caught",
    };
    const said = [
      { fact: "forward", so: true, seen: true },
      { fact: "caught", so: false, seen: true },
    ];
    expect(
      mapInWords({ forward: true, caught: false, gone: true, far: true }, said, (fact) => titles[fact]),
    ).toEqual({
      agreed: "their shoulders are ahead of their hips",
      otherwise: "not “a foot is caught”",
      told: "gone, far",
    });
    expect(mapInWords({}, [], () => undefined)).toEqual({ agreed: "", otherwise: "", told: "" });
  });

  it("rounds degrees and has a true minus", () => {
    expect(degrees(35.5)).toBe("36°");
    expect(degrees(-12.4)).toBe("−12°");
    expect(degrees(-0.3)).toBe("0°");
  });

  it("tells the posts to who does not see them", () => {
    const post = (joint: string, taken = false) => ({ joint, taken, at: { x: 0, y: 0 } });
    expect(postsInWords([post("knee-left"), post("hip-left"), post("hip"), post("toe-right", true)])).toBe(
      "On the mat: their left knee, seat. Taken away: their right foot.",
    );
    expect(postsInWords([])).toBe("Nothing of theirs is on the mat.");
  });
});
