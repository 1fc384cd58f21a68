import type { Schemas } from "../../api/client";
import { describe, expect, it } from "vitest";
import type { Event, Waiting } from "./events";
import { loggedOf, nextPair, today, twinOf, type Logged, type Pair } from "./log";

const PAIRS: Pair[] = [
  { bottom: "a", top: "b" },
  { bottom: "c", top: "d" },
  { bottom: "e", top: "f" },
];

function round(id: string, bottom: string, top: string, at = "2026-11-28T19:00:00Z"): Logged {
  return { id, at, bottom, top, start: "mount-low", ending: "guard" };
}

function waiting(event: Partial<Event>): Waiting {
  return { mapId: "m", event: { id: "w", kind: "round", at: "2026-11-28T19:05:00Z", ...event } };
}

const NOW = new Date("2026-11-28T20:00:00Z");

const LOGGED = [
  {
    id: "1",
    at: "2026-11-28T19:00:00Z",
    person: "a",
    partner: "b",
    kind: "round",
    place: "mount-low",
    ending: "guard",
    nothing: false,
  },
] as Schemas["LoggedEvent"][];

describe("the rounds of today", () => {
  it("are what the server knows and what waits here, each once, the newest first", () => {
    const more = waiting({ person: "c", partner: "d", start: "mount-low", ending: "tap" });
    const sentAlready = waiting({
      id: "1",
      at: "2026-11-28T19:00:00Z",
      person: "a",
      partner: "b",
      start: "mount-low",
      ending: "guard",
    });
    expect(today(LOGGED, [sentAlready, more], "m", NOW).map((one) => one.id)).toEqual(["w", "1"]);
    expect(today(LOGGED, [more], "another map", NOW).map((one) => one.id)).toEqual(["1"]);
    expect(today(LOGGED, [{ ...more, refused: "no such place" }], "m", NOW).map((one) => one.id)).toEqual([
      "1",
    ]);
  });

  it("are neither repetitions nor rounds of somebody who is forgotten", () => {
    const others = [
      { ...LOGGED[0]!, id: "2", kind: "repetitions" as const },
      { ...LOGGED[0]!, id: "3", person: undefined },
    ];
    expect(today([...LOGGED, ...others], [], "m", NOW).map((one) => one.id)).toEqual(["1"]);
  });

  it("are none of another day", () => {
    expect(today(LOGGED, [], "m", new Date("2026-11-30T20:00:00Z"))).toEqual([]);
  });

  it("are without what is being taken out", () => {
    expect(today(LOGGED, [waiting({ kind: "void", voids: "1" })], "m", NOW)).toEqual([]);
  });
});

describe("the next pair", () => {
  it("is the one behind, and nobody is passed over", () => {
    expect(nextPair(PAIRS, PAIRS[0]!, "mount-low", [])).toBe(PAIRS[1]);
    expect(nextPair(PAIRS, PAIRS[0]!, "mount-low", [round("1", "d", "c")])).toBe(PAIRS[2]);
    const all = [round("1", "a", "b"), round("2", "c", "d"), round("3", "e", "f")];
    expect(nextPair(PAIRS, PAIRS[2]!, "mount-low", all)).toBe(PAIRS[0]);
  });

  it("is nobody where there is one pair, and the first where the pair is none of them", () => {
    expect(nextPair(PAIRS.slice(0, 1), PAIRS[0]!, "mount-low", [])).toBeUndefined();
    expect(nextPair(PAIRS, { bottom: "x", top: "y" }, "mount-low", [])).toBe(PAIRS[0]);
  });

  it("counts rounds of the same two whoever is below, from the same place", () => {
    expect(loggedOf(PAIRS[0]!, "mount-low", [round("1", "b", "a"), round("2", "a", "c")])).toBe(1);
    expect(loggedOf(PAIRS[0]!, "knee-ride", [round("1", "b", "a")])).toBe(0);
  });
});

describe("a round that two devices logged", () => {
  const logged = { id: "1", at: "2026-11-28T19:00:00Z", pair: PAIRS[0]!, start: "mount-low" };

  it("is told by who, where and when", () => {
    expect(twinOf(logged, [round("1", "a", "b"), round("2", "a", "b", "2026-11-28T19:01:00Z")])?.id).toBe(
      "2",
    );
    expect(twinOf(logged, [round("2", "b", "a", "2026-11-28T19:01:00Z")])).toBeUndefined();
    expect(twinOf(logged, [round("2", "a", "b", "2026-11-28T19:04:00Z")])).toBeUndefined();
  });
});
