import { describe, expect, it } from "vitest";
import { callsInLines, nextInWords, spottingCall } from "./calls";

describe("calls", () => {
  it("stand in groups of one breath", () => {
    expect(callsInLines([0, 1, 2, 3, 4, 5], 5)).toEqual([[0, 1, 2, 3, 4], [5]]);
  });

  it("are numbers for what is right and letters for what is wrong", () => {
    expect([0, 1, 2, 3].map((call) => spottingCall(call, 2))).toEqual(["1", "2", "A", "B"]);
  });

  it("never end with the loss", () => {
    expect(nextInWords({ kind: "let-go" })).toContain("begin again");
    expect(nextInWords({ kind: "feed", place: "Passing outside", answer: "Square up" })).toBe(
      "they begin passing outside: square up",
    );
    expect(nextInWords({ kind: "swap", place: "Just past" })).toBe("swap: now they are in just past");
  });
});
