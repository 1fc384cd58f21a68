import { describe, expect, it } from "vitest";
import {
  agreeing,
  behindInWords,
  error,
  onesidedInWords,
  seenOf,
  signed,
  type Explanation,
  type TruthPlace,
} from "./truth";

const place: TruthPlace = {
  place: "mount-low",
  said: 0.7,
  rounds: 24,
  out: 10,
  low: 0.244,
  high: 0.611,
  agrees: false,
  onesided: [
    { sort: "beginners", many: 19 },
    { sort: "lighter", many: 24 },
  ],
};

const explains: Explanation = {
  reaction: "bridge",
  before: 0.8,
  learned: 0.51,
  low: 0.37,
  high: 0.66,
  tooLittle: false,
  tries: 23.6,
  noted: 16,
  saidThen: 0.5,
  scoreThen: 0.231,
  instead: null,
  moved: 0,
  moves: [],
};

describe("what was seen", () => {
  it("is a share with its range", () => {
    expect(seenOf(place)).toEqual({ share: 10 / 24, range: "24 to 61" });
  });

  it("says what most rounds have in common", () => {
    expect(onesidedInWords(place)).toEqual([
      "19 of the 24 rounds by beginners",
      "All 24 rounds against lighter partners",
    ]);
  });

  it("says what stands behind a figure, never more noted than tried", () => {
    expect(behindInWords(explains)).toBe("24 tries: 16 noted, 8 reckoned from how rounds began and ended");
    expect(behindInWords({ ...explains, noted: 0 })).toBe(
      "24 tries, reckoned from how rounds began and ended",
    );
    expect(behindInWords({ ...explains, noted: 25 })).toBe("24 tries, all noted");
  });

  it("counts where the map is right", () => {
    expect(
      agreeing({
        revision: 1,
        rounds: 48,
        fewer: 0,
        enough: 10,
        places: [place, { ...place, agrees: true }],
      }),
    ).toBe(1);
  });

  it("shows errors with their sign", () => {
    expect(error(0.2156)).toBe("0.216");
    expect(signed(-0.0584)).toBe("−0.058");
    expect(signed(0.0266)).toBe("+0.027");
  });
});
