import { describe, expect, it } from "vitest";
import { givenAs, KINDS, needsPlace, nextInWords, spottingCall } from "./words";

describe("words of a drill", () => {
  it("never end a line with a loss", () => {
    for (const kind of ["go-on", "feed", "swap", "let-go", "reset"] as const) {
      expect(nextInWords({ kind, place: "Half guard", answer: "Knee shield" })).not.toBe("");
    }
    expect(nextInWords({ kind: "swap", place: "Half guard", answer: null })).toBe(
      "swap: now they are in half guard",
    );
  });
  it("say how a call is given: what has to be read is shown", () => {
    expect(givenAs("call", "called")).toBe("show, say nothing");
    expect(givenAs("finish", "round-pattern")).toBe("show, say nothing");
    expect(givenAs("call", "round-pattern")).toBe("shout");
    expect(givenAs("call", "until-out")).toBe("as the list says, do");
    expect(givenAs("opening", "called")).toBe("always, in this order");
    expect(givenAs(undefined, "called")).toBe("show, say nothing");
  });
  it("number links and letter mistakes", () => {
    expect([0, 1, 2, 3].map((call) => spottingCall(call, 2))).toEqual(["1", "2", "A", "B"]);
  });
  it("know each kind once", () => {
    expect(new Set(KINDS.map((k) => k.kind)).size).toBe(12);
    expect(KINDS.filter((k) => needsPlace(k.kind))).toHaveLength(5);
  });
});
