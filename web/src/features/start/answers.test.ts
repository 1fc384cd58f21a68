import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { partsToSend, rowsOf } from "./answers";
import { aMap } from "../../test/aMap";

const reaction = {
  id: "bridge",
  from: "low",
  technique: "trap",
  needs: { forward: true },
  seconds: 1.5,
  works: { word: "often" },
  responses: [
    { id: "over", cue: "They go over", often: { word: "often" }, leads: "top" },
    { id: "post", cue: "They post", often: { number: 2 } },
    { id: "rest", cue: "They wait", often: { word: "rarely" } },
  ],
} as unknown as Schemas["Reaction"];
const map = aMap({
  families: [{ id: "mount", title: "Mount" }],
  situations: [{ id: "low" }],
  outcomes: [{ id: "top" }],
  techniques: [{ id: "trap" }],
  reactions: [reaction],
});

describe("the three questions", () => {
  it("ask about two known answers and one more", () => {
    expect(rowsOf(reaction).map((r) => r.cue)).toEqual(["They go over", "They post", ""]);
    expect(rowsOf(undefined)).toHaveLength(3);
  });

  it("change how often, drop what never happens, and add what is new", () => {
    const { situation, parts } = partsToSend(map, { id: "low", title: "Low" }, reaction, "Trap", [
      { response: "over", cue: "They go over", often: "usually" },
      { response: "post", cue: "They post", often: "never" },
      { cue: "hug the head", often: "often" },
    ]);
    expect(situation).toBe("low");
    expect(parts).toEqual([
      {
        list: "reactions",
        id: "bridge",
        part: {
          from: "low",
          technique: "trap",
          needs: { forward: true },
          seconds: 1.5,
          works: "often",
          stuffed: undefined,
          responses: [
            { id: "over", cue: "They go over", often: "usually", leads: "top" },
            { id: "rest", cue: "They wait", often: "rarely", leads: undefined },
            { id: "they-hug-the-head", cue: "They hug the head", often: "often", leads: undefined },
          ],
        },
      },
    ]);
  });

  it("make the place and the reaction where there are none", () => {
    const { situation, parts } = partsToSend(
      aMap({}),
      { title: "Knee on neck" },
      undefined,
      "Push the knee",
      [{ cue: "They switch", often: "often", leads: "tap" }],
    );
    expect(situation).toBe("knee-on-neck");
    expect(parts.map((p) => p.list)).toEqual(["families", "situations", "techniques", "reactions"]);
    expect(parts[3]!.part).toMatchObject({ from: "knee-on-neck", technique: "push-the-knee" });
  });
});
