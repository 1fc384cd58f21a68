import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { draw, stopsOf } from "./flow";
import { aMap } from "../../test/aMap";

const map = aMap({
  outcomes: [
    { id: "top", title: "Top side", kind: "reversal" },
    { id: "tap", title: "Tap", kind: "tap" },
  ],
  families: [
    { id: "side", title: "Side pin" },
    { id: "mount", title: "Mount" },
  ],
  situations: [
    { id: "pin", title: "Pin", family: "side" },
    { id: "late", title: "Late", family: "mount" },
    { id: "half", title: "Half guard", family: "side", rest: "half" },
  ],
});

const flow: Schemas["Flow"] = {
  exchanges: [
    { places: { pin: 100 } },
    { places: { top: 30, half: 20, late: 49, pin: 1 } },
    { places: { top: 42, half: 20, tap: 37, pin: 1 } },
  ],
  links: [
    { exchange: 1, from: "pin", to: "top", count: 30 },
    { exchange: 1, from: "pin", to: "half", count: 20 },
    { exchange: 1, from: "pin", to: "late", count: 49 },
    { exchange: 1, from: "pin", to: "pin", count: 1 },
    { exchange: 2, from: "late", to: "top", count: 12 },
    { exchange: 2, from: "late", to: "tap", count: 37 },
    { exchange: 2, from: "pin", to: "pin", count: 1 },
  ],
};

describe("a flow", () => {
  const told = stopsOf(map, flow);
  const count = (exchange: number, title: string) =>
    told.stops.find((s) => s.exchange === exchange && s.title === title)?.count;

  it("keeps what has ended, by kind", () => {
    expect(count(1, "reversal")).toBe(30);
    expect(count(2, "reversal")).toBe(42);
    const carried = told.bands.find((b) => b.from.kind === "reversal" && b.to.kind === "reversal");
    expect(carried?.count).toBe(30);
  });

  it("tells a little together and loses nothing", () => {
    expect(count(1, "elsewhere")).toBe(1);
    for (const exchange of [0, 1, 2]) {
      const sum = told.stops.filter((s) => s.exchange === exchange).reduce((n, s) => n + s.count, 0);
      expect(sum).toBeCloseTo(100);
    }
  });

  it("tells what is left of a family together", () => {
    const grouped = stopsOf(map, {
      exchanges: [{ places: { pin: 3, late: 97 } }, { places: { top: 100 } }],
      links: [
        { exchange: 1, from: "pin", to: "top", count: 3 },
        { exchange: 1, from: "late", to: "top", count: 97 },
      ],
    });
    expect(grouped.stops.filter((s) => s.exchange === 0).map((s) => s.title)).toEqual(["Side pin", "Late"]);
    expect(grouped.stops[0]?.situation).toBe("pin");
  });

  it("opens a situation only where the round goes on", () => {
    expect(told.stops.find((s) => s.title === "Late")?.situation).toBe("late");
    expect(told.stops.find((s) => s.title === "half guard")?.situation).toBeUndefined();
  });

  it("is drawn with the good ends above and the taps below", () => {
    const drawn = draw(told, 600, 400, 10);
    const y = (title: string) => drawn.stops.find((s) => s.exchange === 2 && s.title === title)!.y;
    expect(y("reversal")).toBeLessThan(y("half guard"));
    expect(y("half guard")).toBeLessThan(y("tap"));
    expect(drawn.bands.every((b) => b.width > 0 && !b.path.includes("NaN"))).toBe(true);
  });

  it("of nothing draws nothing", () => {
    expect(draw({ stops: [], bands: [] }, 600, 400, 10)).toEqual({ stops: [], bands: [] });
  });
});
