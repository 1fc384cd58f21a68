import type { Schemas } from "../../api/client";
import { STAGES } from "../../labels";

/** The room of a poster in millimetres, without its margins and the line at its top. */
export const ROOM = { width: 400, height: 248 };
/** What lies between tiles, and takes the lines: beside them and under them. */
const GAP = { x: 9, y: 9 };
/** Above the first row lines run as well. */
const HEAD = 6;
/** Left of the first column and right of the last, too. */
const SIDE = 8;
/** A tile is about so much wider than high. */
const SHAPE = 1.2;
/** Lines that run in the same gap lie so far from each other, in millimetres; so many find room beside each other. */
const APART = 1.4;
const LINES = 5;

export interface Tile {
  situation: Schemas["Situation"];
  column: number;
  row: number;
}

export interface Link {
  from: string;
  to: string;
  /** What comes of doing nothing, or where the best answer leads most often. */
  kind: "clock" | "answer";
}

export interface Poster {
  columns: number;
  rows: number;
  tiles: Tile[];
  links: Link[];
  /** Of one tile, in millimetres. */
  width: number;
  height: number;
}

function sized(columns: number, rows: number) {
  return {
    columns,
    rows,
    width: (ROOM.width - 2 * SIDE - (columns - 1) * GAP.x) / columns,
    height: (ROOM.height - HEAD - (rows - 1) * GAP.y) / rows,
  };
}

/** The lateness as a number; places to rest in come last. */
export function lateAs(situation: Schemas["Situation"]): number {
  return situation.stage ? STAGES.indexOf(situation.stage) : STAGES.length;
}

/**
 * The places of a family as tiles, column by column from early to late and to rest, in as many rows as make the tiles
 * largest; with the links that stay within the family.
 */
export function posterOf(
  map: Schemas["Map"],
  family: string,
  odds: Partial<Record<string, Schemas["SituationOdds"]>>,
): Poster {
  const places = map.situations
    .filter((s) => s.family === family && odds[s.id])
    .sort((a, b) => lateAs(a) - lateAs(b));
  const room = ({ width, height }: { width: number; height: number }) => Math.min(width, height * SHAPE);
  const layout = Array.from({ length: Math.max(1, places.length) }, (_, i) =>
    sized(Math.max(1, Math.ceil(places.length / (i + 1))), i + 1),
  ).reduce((best, next) => (room(next) > room(best) ? next : best));
  const tiles = places.map((situation, i) => ({
    situation,
    column: Math.floor(i / layout.rows),
    row: i % layout.rows,
  }));
  return { ...layout, tiles, links: linksOf(tiles, odds) };
}

function linksOf(tiles: Tile[], odds: Partial<Record<string, Schemas["SituationOdds"]>>): Link[] {
  const here = new Set(tiles.map((t) => t.situation.id));
  return tiles.flatMap(({ situation }) => {
    const links: Link[] = [];
    const runsTo = situation.clock?.becomes;
    if (runsTo && here.has(runsTo) && runsTo !== situation.id) {
      links.push({ from: situation.id, to: runsTo, kind: "clock" });
    }
    const to = mostOften(odds[situation.id]?.reactions.find((r) => r.usable));
    if (to && here.has(to) && to !== situation.id) links.push({ from: situation.id, to, kind: "answer" });
    return links;
  });
}

/** Where an answer leads most often. */
export function mostOften(odds: Schemas["ReactionOdds"] | undefined): string | undefined {
  const answered = odds?.responses.filter((r) => r.answered) ?? [];
  return answered.length === 0
    ? undefined
    : answered.reduce((best, next) => (next.chance > best.chance ? next : best)).lands;
}

/** A point in millimetres from the upper left corner of the room. */
export type Point = [x: number, y: number];

/** The upper left corner of a tile. */
export function corner(poster: Poster, { column, row }: Pick<Tile, "column" | "row">): Point {
  return [SIDE + column * (poster.width + GAP.x), HEAD + row * (poster.height + GAP.y)];
}

/**
 * The way of each link through the gaps between tiles, so that no line crosses a tile: out at the right edge of the one, along
 * the gaps, in at the left edge of the other. What leads to the same place runs together; other lines that share a gap lie
 * beside each other. Cost linear in the links.
 */
export function routes(poster: Poster): Point[][] {
  const at = new Map(poster.tiles.map((t) => [t.situation.id, t]));
  const taken = new Map<string, string[]>();
  /** The line of a gap for what leads to one place: the next free one, alternately on both sides of its middle. */
  const lane = (gap: string, leads: string): number => {
    const lines = taken.get(gap) ?? [];
    taken.set(gap, lines);
    if (!lines.includes(leads)) lines.push(leads);
    const n = lines.indexOf(leads) % LINES;
    return (n % 2 === 0 ? 1 : -1) * Math.ceil(n / 2) * APART;
  };
  return poster.links.map(({ from, to, kind }) => {
    const a = at.get(from)!;
    const b = at.get(to)!;
    // Both kinds leave and arrive at heights of their own.
    const height = (tile: Tile) => corner(poster, tile)[1] + poster.height * (kind === "clock" ? 0.62 : 0.38);
    const out = corner(poster, a)[0] + poster.width;
    const into = corner(poster, b)[0];
    const leads = `${kind} ${to}`;
    const outGap = out + GAP.x / 2 + lane(`x${a.column}`, leads);
    if (b.column === a.column + 1) {
      return [
        [out, height(a)],
        [outGap, height(a)],
        [outGap, height(b)],
        [into, height(b)],
      ];
    }
    // Along the gap under the upper of the two rows, or under its own where they share one.
    const row = Math.min(a.row, b.row, poster.rows - 2);
    const across =
      row < 0
        ? HEAD / 2
        : corner(poster, { column: 0, row: row + 1 })[1] - GAP.y / 2 + lane(`y${row}`, leads);
    const inGap = into - GAP.x / 2 + lane(`x${b.column - 1}`, leads);
    return [
      [out, height(a)],
      [outGap, height(a)],
      [outGap, across],
      [inGap, across],
      [inGap, height(b)],
      [into, height(b)],
    ];
  });
}
