import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { biggestLoss } from "./explanation";
import { aMap } from "../../test/aMap";

const map = aMap({
  situations: [
    { id: "low", title: "Low mount", clock: { seconds: 6, becomes: "high" } },
    { id: "high", title: "High mount" },
  ],
  outcomes: [],
  reactions: [
    {
      id: "bridge",
      responses: [
        { id: "post", cue: "They post a hand", leads: "high" },
        { id: "wait", cue: "They wait" },
      ],
    },
  ],
});

function lost(part: Partial<Schemas["ExplanationPart"]>): string {
  const parts = [{ cause: "response", lost: 0.01, ...part }] as Schemas["ExplanationPart"][];
  return biggestLoss(map, { situation: "low", reaction: "bridge", worth: 0.5, parts });
}

describe("the biggest loss in words", () => {
  it("names what they do", () => {
    expect(lost({ response: "post", lost: 0.22 })).toBe("22 are lost because they post a hand.");
  });

  it("says when nobody has answered it", () => {
    expect(lost({ response: "wait", lost: 0.1 })).toBe(
      "10 are lost because they wait, which nobody has answered.",
    );
  });

  it("names the clock and the stuffing", () => {
    expect(lost({ cause: "too-slow", lost: 0.3 })).toBe("30 are lost because they move on after 6.0 s.");
    expect(lost({ cause: "stuffed", lands: "low", lost: 0.3 })).toContain("it does not get going");
    expect(lost({ cause: "stuffed", lands: "high", lost: 0.3 })).toContain("you land in high mount");
  });

  it("is silent about next to nothing", () => {
    expect(lost({ response: "post", lost: 0.012 })).toBe("");
  });
});
