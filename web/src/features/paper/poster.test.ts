import { expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { aMap } from "../../test/aMap";
import { corner, lateAs, posterOf, ROOM, routes, type Point, type Poster } from "./poster";

type Odds = Record<string, Schemas["SituationOdds"]>;

/** A family of so many places, each with a clock and an answer that lead somewhere within it, always the same. */
function family(count: number, seed: number): { map: Schemas["Map"]; odds: Odds } {
  let state = seed;
  const draw = (below: number) => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return Math.floor((state / 2147483648) * below);
  };
  const stages = ["early", "joined", "settled", "last-chance", undefined];
  const situations = Array.from({ length: count }, (_, i) => ({
    id: `p${i}`,
    title: `Place ${i}`,
    family: "f",
    stage: stages[draw(5)],
    clock: { seconds: 5, becomes: `p${draw(count)}` },
  }));
  const reactions = situations.map((s) => ({
    id: `r-${s.id}`,
    from: s.id,
    technique: "t",
    doNot: "",
    responses: [],
  }));
  const odds = Object.fromEntries(
    situations.map((s) => [
      s.id,
      {
        worth: 0.5,
        reactions: [
          {
            reaction: `r-${s.id}`,
            usable: true,
            responses: [{ answered: true, lands: `p${draw(count)}`, chance: 1 }],
          },
        ],
      },
    ]),
  );
  return { map: aMap({ situations, reactions }), odds: odds as unknown as Odds };
}

/** True where a straight line along one of the axes runs through the inside of a tile. */
function crosses(poster: Poster, [ax, ay]: Point, [bx, by]: Point): boolean {
  return poster.tiles.some((tile) => {
    const [left, top] = corner(poster, tile);
    const hair = 0.01;
    return (
      Math.max(ax, bx) > left + hair &&
      Math.min(ax, bx) < left + poster.width - hair &&
      Math.max(ay, by) > top + hair &&
      Math.min(ay, by) < top + poster.height - hair
    );
  });
}

it.each(Array.from({ length: 24 }, (_, i) => i + 1))(
  "draws %i places in the room, lines beside them",
  (count) => {
    const { map, odds } = family(count, count * 7919);
    const poster = posterOf(map, "f", odds);
    expect(poster.tiles).toHaveLength(count);
    for (const tile of poster.tiles) {
      const [left, top] = corner(poster, tile);
      expect(left + poster.width).toBeLessThanOrEqual(ROOM.width + 1e-9);
      expect(top + poster.height).toBeLessThanOrEqual(ROOM.height + 1e-9);
    }
    const late = poster.tiles.map((tile) => lateAs(tile.situation));
    expect(late).toEqual([...late].sort((a, b) => a - b));
    for (const route of routes(poster)) {
      for (const [x, y] of route) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(ROOM.width);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(ROOM.height);
      }
      route.slice(1).forEach((to, i) => {
        const from = route[i]!;
        expect(from[0] === to[0] || from[1] === to[1], "along an axis").toBe(true);
        expect(crosses(poster, from, to)).toBe(false);
      });
    }
  },
);

it("leads from the first answer to where it leads most often, and nowhere out of the family", () => {
  const { map, odds } = family(3, 5);
  const at = odds.p0!;
  at.reactions[0]!.responses = [
    { answered: true, lands: "p1", chance: 0.2, response: "a", worth: 0 },
    { answered: false, lands: "p0", chance: 0.5, response: "b", worth: 0 },
    { answered: true, lands: "p2", chance: 0.3, response: "c", worth: 0 },
  ];
  const links = () => posterOf(map, "f", odds).links.filter((l) => l.from === "p0" && l.kind === "answer");
  expect(links()).toEqual([{ from: "p0", to: "p2", kind: "answer" }]);
  at.reactions[0]!.responses[2]!.lands = "elsewhere";
  expect(links()).toEqual([]);
});
