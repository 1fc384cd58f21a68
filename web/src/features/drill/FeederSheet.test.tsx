import { render, screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Drill, Plan, PlannedLink } from "./design";
import { FeederSheet } from "./FeederSheet";

function link(start: string, reaction: string, number: number, word: string): PlannedLink {
  return {
    reaction,
    response: `${reaction}-${number}`,
    start,
    startTitle: `Place ${start}`,
    word,
    part: "call",
    trigger: `Trigger of ${reaction}`,
    answer: `Answer ${reaction}`,
    cue: `They do ${word.toLowerCase()}.`,
    landing: "guard",
    landingTitle: "Guard",
    next: { kind: "reset" },
  } as PlannedLink;
}

const feeder = (care: string) => ({ gives: "Sit heavy.", weight: "", care });

const plan = {
  minutes: 8,
  cautions: ["Neck: no weight on it."],
  kind: { feeder: "Choose.", counts: "Readings.", stop: "At the end." },
  links: [
    link("mount", "bridge", 1, "Over"),
    link("side", "shrimp", 1, "Drive"),
    link("mount", "elbow", 1, "Knee"),
    link("mount", "bridge", 2, "Post"),
  ],
  feeding: [
    { place: "mount", feeder: feeder("Hands off the face.") },
    { place: "side", feeder: feeder("No knee on the ribs.") },
  ],
  stretches: [],
  rounds: [],
  threes: [
    { bottom: 1, feeder: 2, rests: 3 },
    { bottom: 2, feeder: 3, rests: 1 },
  ],
  mistakes: [],
  solo: null,
  unreached: [],
} as unknown as Plan;

const drill = { title: "Low mount", kind: "called", sides: ["left"], note: "" } as unknown as Drill;

describe("the feeder's sheet", () => {
  it("says once what to give and to stop in a place, and once each answer, whatever the drill's order", () => {
    render(<FeederSheet drill={drill} plan={plan} />);
    const sheet = within(screen.getByRole("article"));
    expect(sheet.getAllByText("Hands off the face.")).toHaveLength(1);
    expect(sheet.getAllByText("No knee on the ribs.")).toHaveLength(1);
    expect(sheet.getAllByText("answer bridge")).toHaveLength(1);
    const words = ["Over", "Post", "Knee", "Drive"].map((word) => sheet.getByText(word, { exact: true }));
    for (const [before, after] of words.slice(1).map((word, i) => [words[i]!, word] as const)) {
      expect(before.compareDocumentPosition(after) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
    }
    expect(sheet.getAllByText("show, say nothing")).toHaveLength(2);
    expect(sheet.queryByText("shout")).toBeNull();
    expect(sheet.getByText(/1 2 3 · 2 3 1; then again/)).toBeTruthy();
  });
});
