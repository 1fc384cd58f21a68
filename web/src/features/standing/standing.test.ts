import { expect, it } from "vitest";
import { problemsOf } from "./counting";
import {
  agoInWords,
  costInWords,
  evidenceInWords,
  inOrder,
  saysInWords,
  timesInWords,
  weakerInWords,
} from "./standing";
import type { Gate, Line } from "./standing";

const gate = (some: Partial<Gate>): Gate => ({
  place: "mount-low",
  title: "Settled, chest down",
  side: "left",
  live: { of: 0, well: 0 },
  clean: { of: 0, well: 0 },
  says: "too-little",
  missing: 3,
  ...some,
});

it("says how long ago a day was", () => {
  expect(agoInWords("2026-11-28", "2026-11-28")).toBe("today");
  expect(agoInWords("2026-11-27", "2026-11-28")).toBe("yesterday");
  expect(agoInWords("2026-11-08", "2026-11-28")).toBe("20 days ago");
  expect(agoInWords("2026-10-31", "2026-11-28")).toBe("4 weeks ago");
  expect(agoInWords("2026-05-28", "2026-11-28")).toBe("6 months ago");
});

it("says what is lost to a tenth where it is little", () => {
  expect(costInWords(0.0104)).toBe("1.0");
  expect(costInWords(0.124)).toBe("12");
});

it("says about where some of it is only reckoned", () => {
  expect(timesInWords(115.4, 0)).toBe("about 115");
  expect(timesInWords(40, 40)).toBe("40");
});

it("says what was seen of a gate, and what is missing", () => {
  expect(evidenceInWords(gate({}))).toBe("no round yet");
  expect(evidenceInWords(gate({ live: { of: 3, well: 2 }, clean: { of: 16, well: 11 } }))).toBe(
    "out in 2 of 3 rounds; 11 of 16 repetitions clean",
  );
  expect(saysInWords(gate({ missing: 1 }))).toBe("1 more round that ends out");
  expect(saysInWords(gate({ says: "enough", missing: 0 }))).toBe("enough was seen");
});

it("calls a side weaker only where that is sure", () => {
  const sides = { left: { of: 12, well: 3 }, right: { of: 12, well: 9 }, leftIsWeaker: 0.99 };
  expect(weakerInWords({ ...sides, weaker: "left" }, "live round")).toBe(
    "left 3 of 12, right 9 of 12: the left side is weaker, 99 to 1.",
  );
  expect(weakerInWords(sides, "live round")).toContain("no difference that can be told");
  expect(
    weakerInWords({ left: { of: 0, well: 0 }, right: { of: 0, well: 0 }, leftIsWeaker: 0.5 }, "live round"),
  ).toBe("No live round with a side yet.");
});

it("puts those first whom forgetting costs most", () => {
  const line = (name: string, cost?: number) =>
    ({ name, first: cost === undefined ? undefined : { cost } }) as unknown as Line;
  expect(
    inOrder([line("Wren"), line("Ivo", 0.01), line("Bram"), line("Joss", 0.02)]).map((one) => one.name),
  ).toEqual(["Joss", "Ivo", "Bram", "Wren"]);
});

it("says what is wrong with what was counted", () => {
  expect(problemsOf({ many: "20", clean: "" }, true)).toEqual({});
  expect(problemsOf({ many: "20", clean: "21" }, true).clean).toContain("At most as many");
  expect(problemsOf({ many: "2.5", clean: "" }, true).many).toContain("from 1 to 10,000");
  expect(problemsOf({ many: "", clean: "" }, false).what).toBe("Choose what was repeated.");
});
