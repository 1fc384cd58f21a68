import { describe, expect, it } from "vitest";
import { aMap } from "../../test/aMap";
import { entriesOf } from "./entries";
import { Search } from "./search";

const map = aMap({
  id: "house",
  families: [{ id: "mount", title: "Mount" }],
  situations: [
    {
      id: "low",
      title: "Low mount",
      family: "mount",
      stage: "joined",
      alsoCalled: ["flat mount"],
      held: {},
      feeder: { weight: "" },
    },
  ],
  outcomes: [{ id: "on-top", title: "On top", kind: "reversal" }],
  techniques: [
    {
      id: "trap",
      title: "Trap and bridge",
      movements: ["bridge"],
      alsoCalled: ["upa"],
      checkpoints: ["Feet close to the seat"],
      faults: [{ sign: "They post", cause: "The arm was free", fix: "Trap the wrist" }],
      questions: [{ ask: "they grip the collar", answer: "Peel it first" }],
      cautions: ["Keep weight off the neck"],
    },
    {
      id: "idle",
      title: "Not used",
      alsoCalled: [],
      movements: [],
      checkpoints: ["Never shown"],
      faults: [],
      questions: [],
      cautions: [],
    },
  ],
  reactions: [
    {
      id: "low-trap",
      from: "low",
      technique: "trap",
      when: "A palm is near your ribs",
      responses: [
        { id: "fall", cue: "They fall over", leads: "on-top" },
        { id: "sit", cue: "They sit back" },
      ],
    },
  ],
  movements: [{ id: "bridge", title: "Bridging", alsoCalled: ["buck"] }],
  principles: [{ id: "turtle", title: "Turtle", stances: [{ title: "A base" }, { title: "A way through" }] }],
  holds: [{ id: "pin", title: "Seat pin", kind: "pin", at: ["low"] }],
  matchups: [{ id: "heavy", title: "Heavier by far" }],
  aims: [{ id: "points", title: "Sport points" }],
  rules: [],
  facts: [{ id: "shoulders", title: "Shoulders in front of the hips" }],
});

const search = new Search(entriesOf(map, "?late=1"));
const first = (typed: string) => {
  const entry = search.find(typed, 1)[0]?.entry;
  return entry && `${entry.kind}: ${entry.title} → ${entry.to}`;
};

describe("everything on a map", () => {
  it.each([
    ["low mo", "Situation: Low mount → /map/house/at/low?late=1"],
    ["trap br", "You: Trap and bridge → /map/house/at/low?late=1#low-trap"],
    ["flat", "Situation: Low mount → /map/house/at/low?late=1"],
    ["upa", "You: Trap and bridge → /map/house/at/low?late=1#low-trap"],
    ["palm ribs", "You: Trap and bridge → /map/house/at/low?late=1#low-trap"],
    ["buck", "Movement: Bridging → /map/house?late=1&only-movement=bridge"],
    ["fall over", "They: They fall over → /map/house/at/low?late=1#low-trap"],
    ["they post", "Fault: They post → /map/house/at/low?late=1#low-trap"],
    ["wrist", "Fault: They post → /map/house/at/low?late=1#low-trap"],
    ["grip collar", "Asked: they grip the collar → /map/house/at/low?late=1#low-trap"],
    ["peel", "Asked: they grip the collar → /map/house/at/low?late=1#low-trap"],
    ["feet seat", "Check: Feet close to the seat → /map/house/at/low?late=1#low-trap"],
    ["weight neck", "Caution: Keep weight off the neck → /map/house/at/low?late=1#low-trap"],
    ["turtle", "Principle: Turtle → /map/house/stances?late=1#turtle"],
    ["seat pin", "Pin: Seat pin → /map/house/at/low?late=1"],
    ["heavier", "Matchup: Heavier by far → /map/house?late=1&matchup=heavy"],
    ["sport", "Aim: Sport points → /map/house?late=1&aim=points"],
    ["shoulders", "Fact: Shoulders in front of the hips → /map/house/workshop/facts?late=1&edit=shoulders"],
    ["on top", "Outcome: On top → /map/house/workshop/outcomes?late=1&edit=on-top"],
    ["edit low mo", "Edit: Low mount → /map/house/workshop/situations?late=1&edit=low"],
    ["edit trap reaction", "Edit: Trap and bridge → /map/house/workshop/reactions?late=1&edit=low-trap"],
    ["edit seat", "Edit: Seat pin → /map/house/workshop/holds?late=1&edit=pin"],
    ["new pin", "New: New pin or finish → /map/house/workshop/holds?late=1&new="],
    ["add matchup", "New: New matchup → /map/house/workshop/matchups?late=1&new="],
  ])("is found by “%s”", (typed, found) => {
    expect(first(typed)).toBe(found);
  });

  it("says where a response lands, and when nobody has answered it", () => {
    const detail = (typed: string) => search.find(typed, 1)[0]?.entry.detail;
    expect(detail("fall over")).toBe("Trap and bridge → On top");
    expect(detail("sit back")).toBe("Trap and bridge → no answer yet");
  });

  it("leads nowhere for what is taught nowhere", () => {
    expect(search.find("never shown", 5).map(({ entry }) => entry.title)).not.toContain("Never shown");
  });
});
