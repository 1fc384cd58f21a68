import type { Segment } from "../../labels";

export interface Point {
  x: number;
  y: number;
}

/** A limb part: two round ends of their own width, joined by straight sides. */
export function capsule(a: Point, ra: number, b: Point, rb: number): string {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const length = Math.hypot(dx, dy);
  if (length <= Math.abs(ra - rb))
    throw new Error("Impossible state: one end of the limb swallows the other");
  const along = Math.atan2(dy, dx);
  const lean = Math.acos((ra - rb) / length);
  const at = (c: Point, r: number, angle: number) =>
    `${(c.x + r * Math.cos(angle)).toFixed(2)} ${(c.y + r * Math.sin(angle)).toFixed(2)}`;
  const wideA = lean < Math.PI / 2 ? 1 : 0;
  return [
    `M ${at(a, ra, along + lean)}`,
    `A ${ra} ${ra} 0 ${wideA} 1 ${at(a, ra, along - lean)}`,
    `L ${at(b, rb, along - lean)}`,
    `A ${rb} ${rb} 0 ${1 - wideA} 1 ${at(b, rb, along + lean)}`,
    "Z",
  ].join(" ");
}

const MIDDLE = 110;
const mirror = (p: Point): Point => ({ x: 2 * MIDDLE - p.x, y: p.y });

/** Two parts of an arm and of a leg on the near side; the far side is their mirror image. */
const ARM: [Point, number, Point, number][] = [
  [{ x: 66, y: 92 }, 13, { x: 40, y: 138 }, 10.5],
  [{ x: 38, y: 148 }, 10, { x: 60, y: 192 }, 7],
];
const LEG: [Point, number, Point, number][] = [
  [{ x: 92, y: 212 }, 18, { x: 76, y: 276 }, 13],
  [{ x: 75, y: 289 }, 12.5, { x: 84, y: 346 }, 8],
];

function limb(parts: [Point, number, Point, number][], far: boolean): string[] {
  return parts.map(([a, ra, b, rb]) => (far ? capsule(mirror(a), ra, mirror(b), rb) : capsule(a, ra, b, rb)));
}

/** Limbs lie under the trunk, so they are drawn first. */
export const DRAWING_ORDER: Segment[] = [
  "near-leg",
  "far-leg",
  "near-arm",
  "far-arm",
  "hips",
  "trunk",
  "head",
];

/** The outline of every segment of a player on the back, seen from above, in a box of 220 by 360. */
export const OUTLINE: Record<Segment, string[]> = {
  head: ["M 110 14 C 125 14 132 26 132 40 C 132 56 122 68 110 68 C 98 68 88 56 88 40 C 88 26 95 14 110 14 Z"],
  "near-arm": limb(ARM, false),
  "far-arm": limb(ARM, true),
  trunk: [
    "M 84 76 C 96 72 124 72 136 76 C 146 79 149 86 148 96 L 142 152 C 141 162 138 166 130 166 L 90 166 C 82 166 79 162 78 152 L 72 96 C 71 86 74 79 84 76 Z",
  ],
  hips: [
    "M 84 172 L 136 172 C 142 172 144 176 145 182 L 147 196 C 147 203 143 206 136 204 L 118 198 C 112 196 108 196 102 198 L 84 204 C 77 206 73 203 73 196 L 75 182 C 76 176 78 172 84 172 Z",
  ],
  "near-leg": limb(LEG, false),
  "far-leg": limb(LEG, true),
};
