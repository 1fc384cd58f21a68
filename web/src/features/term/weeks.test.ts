import { describe, expect, it } from "vitest";
import {
  askedBy,
  daysBetween,
  daysOf,
  mondayOf,
  toRepeat,
  unitsIn,
  weeksOf,
  type PlannedTerm,
} from "./weeks";

const LESSON = {
  version: 1,
  title: "Mount",
  starts: "19:30",
  minutes: 60,
  ran: false,
  here: [],
  units: [],
  dropped: [],
};

const term: PlannedTerm = {
  id: "t",
  version: 1,
  title: "Autumn",
  first: "2026-10-29",
  last: "2026-11-22",
  people: [],
  later: 0,
  classes: [
    {
      ...LESSON,
      id: "a",
      day: "2026-10-29",
      over: true,
      ran: true,
      fixed: [],
      asked: ["new:forgotten"],
      units: [
        { unit: "new:bridge", section: "new", minutes: 9 },
        { unit: "live:mount-low", section: "live", minutes: 20 },
      ],
    },
    { ...LESSON, id: "b", day: "2026-11-03", over: false, fixed: ["new:own"], asked: ["recall:bridge"] },
    { ...LESSON, id: "c", day: "2026-11-08", over: false, fixed: [], asked: [] },
  ],
  plan: {
    now: 0.4,
    without: 0.45,
    end: 0.5,
    leftOut: [],
    pairs: [],
    missed: [],
    taught: [
      { reaction: "bridge", classes: ["b"], fresh: false, remembered: 0.9, otherwise: 0.7, gain: 0.01 },
      { reaction: "turn", classes: ["b", "c"], fresh: true, remembered: 0.6, otherwise: 0, gain: 0.01 },
      { reaction: "own", classes: ["b"], fresh: true, remembered: 0.5, otherwise: 0, gain: 0 },
    ],
  },
};

describe("a term by weeks", () => {
  it("begins its weeks on Mondays, the empty ones too", () => {
    expect(mondayOf("2026-11-01")).toBe("2026-10-26");
    expect(mondayOf("2026-11-02")).toBe("2026-11-02");
    expect(weeksOf(term).map((week) => [week.monday, week.classes.map((one) => one.id).join("")])).toEqual([
      ["2026-10-26", "a"],
      ["2026-11-02", "bc"],
      ["2026-11-09", ""],
      ["2026-11-16", ""],
    ]);
  });

  it("counts days across the change of the clocks", () => {
    expect(daysBetween("2026-10-24", "2026-10-26")).toBe(2);
    expect(daysBetween("2026-11-05", "2026-11-03")).toBe(-2);
  });

  it("tells what came in a class that is over, and what is asked of the others", () => {
    expect(term.classes.map(unitsIn)).toEqual([["new:bridge"], ["new:own", "recall:bridge"], []]);
  });

  it("asks what is new before what is recalled, and nothing that is fixed already", () => {
    expect([...askedBy(term)]).toEqual([
      ["b", ["new:turn", "recall:bridge"]],
      ["c", ["recall:turn"]],
    ]);
  });

  it("plans the first sixty classes of very many, and asks nothing of the others", () => {
    const many = Array.from({ length: 70 }, (_, i) => ({ ...term.classes[2]!, id: `c${i}` }));
    expect([...askedBy({ ...term, classes: many }).keys()]).toEqual(many.slice(0, 60).map((one) => one.id));
  });

  it("tells the days of an answer", () => {
    expect(daysOf(term, term.plan!.taught[0]!)).toEqual({ were: ["2026-10-29"], come: ["2026-11-03"] });
  });

  it("repeats the last week that has classes in the empty ones after it", () => {
    const { from, mondays } = toRepeat(term);
    expect(from.map((one) => one.id)).toEqual(["b", "c"]);
    expect(mondays).toEqual(["2026-11-09", "2026-11-16"]);
    expect(toRepeat({ ...term, classes: [] })).toEqual({ from: [], mondays: [] });
  });
});
