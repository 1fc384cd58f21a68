import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { askedOf, saidOn } from "./levers";
import { armInWords, frameInWords, hipInWords, kilograms, spot, times } from "./words";

const arm = (along: number) => ({
  length: 26,
  distance: 26 * along,
  needed: 15 / along,
  times: 1 / along,
  torque: 38,
  spots: [],
});

describe("levers in words", () => {
  it("say how much more it takes", () => {
    expect(armInWords(arm(0.5), 15)).toBe(
      "Here it takes twice what the wrist takes: 30 kg instead of 15 kg.",
    );
    expect(armInWords(arm(1), 15)).toBe("At the wrist: 15 kg stops it. Nowhere on the arm takes less.");
    expect(times(4)).toBe("4 times");
    expect(times(1.25)).toBe("1.3 times");
  });

  it("say where on a limb", () => {
    expect(spot(0.5, "elbow", "wrist")).toBe("half way");
    expect(spot(0.2, "elbow", "wrist")).toBe("near the elbow");
    expect(spot(0.8, "elbow", "wrist")).toBe("nearer to the wrist");
    expect(spot(1, "elbow", "wrist")).toBe("at the wrist");
  });

  it("name the joint that has most to hold", () => {
    const frame = { shoulder: 48, elbow: 20, inLine: 75, past: false, drawn: [] };
    expect(frameInWords(frame)).toBe("The shoulder has to hold 48 N·m, the elbow 20 N·m.");
    expect(frameInWords({ ...frame, shoulder: 20, elbow: 48 })).toBe(
      "The elbow has to hold 48 N·m, the shoulder 20 N·m.",
    );
    expect(frameInWords({ ...frame, shoulder: 3, elbow: 0 })).toContain("The bones stand in its line");
  });

  it("say what becomes of a push at the hip", () => {
    expect(hipInWords({ torque: 0, turn: "none" }, 0)).toContain("all of the push moves the hips");
    expect(hipInWords({ torque: 39, turn: "down-on-you" }, -10)).toBe(
      "10 cm below it: 39 N·m of the push tip their trunk down over you.",
    );
    expect(hipInWords({ torque: 39, turn: "bent-back" }, 10)).toContain("10 cm above it");
  });

  it("round kilograms as they matter", () => {
    expect(kilograms(7.5)).toBe("7.5 kg");
    expect(kilograms(8)).toBe("8 kg");
    expect(kilograms(37.4)).toBe("37 kg");
  });
});

describe("levers and the map", () => {
  const map = {
    id: "m",
    revision: 1,
    techniques: [
      { id: "two-on-one", title: "Two-on-one", checkpoints: ["Chin down", "Closed grip at the wrist"] },
    ],
    reactions: [{ id: "r", technique: "two-on-one", from: "back" }],
    situations: [],
    outcomes: [],
    families: [],
    facts: [],
    principles: [],
    movements: [],
    aims: [],
    matchups: [],
    rules: [],
    holds: [],
    postures: [],
  } as unknown as Schemas["Map"];

  it("find the checkpoint and where it is done", () => {
    const claims = [
      { technique: "two-on-one", checkpoint: 1, lever: "grip" as const },
      { technique: "gone", checkpoint: 0, lever: "grip" as const },
    ];
    expect(saidOn(map, claims, "grip")).toEqual([
      { text: "Closed grip at the wrist", technique: "Two-on-one", place: "back" },
    ]);
    expect(saidOn(map, claims, "arm")).toEqual([]);
  });

  it("take from the address what fits", () => {
    expect(askedOf(new URLSearchParams("held=0.8&pull=-4&arm=abc"))).toMatchObject({
      held: 0.8,
      pull: 15,
      arm: 75,
    });
  });
});
