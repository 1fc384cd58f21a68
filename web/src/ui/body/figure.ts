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

type Part = [Point, number, Point, number];

/** Upper arm, forearm and hand; thigh, shin and foot of the near side. The far side is their mirror image. */
const ARM: Part[] = [
  [{ x: 65, y: 98 }, 13.5, { x: 41, y: 142 }, 10],
  [{ x: 40, y: 155 }, 9.5, { x: 55, y: 189 }, 6.5],
  [{ x: 60, y: 201 }, 6.5, { x: 65, y: 210 }, 5],
];
const LEG: Part[] = [
  [{ x: 93, y: 210 }, 18.5, { x: 79, y: 271 }, 12.5],
  [{ x: 78, y: 287 }, 12, { x: 84, y: 335 }, 7.5],
  [{ x: 83, y: 348 }, 6.5, { x: 72, y: 357 }, 5.5],
];

function limb(parts: Part[], far: boolean): string[] {
  return parts.map(([a, ra, b, rb]) => (far ? capsule(mirror(a), ra, mirror(b), rb) : capsule(a, ra, b, rb)));
}

/** Limbs and the neck lie under the trunk, so they are drawn first. */
export const DRAWING_ORDER: Segment[] = [
  "near-leg",
  "far-leg",
  "near-arm",
  "far-arm",
  "head",
  "hips",
  "trunk",
];

/** The outline of every segment of a player on the back, seen from above, in a box of 220 by 366. */
export const OUTLINE: Record<Segment, string[]> = {
  head: [
    "M 100 82 L 101 64 C 92 58 88 49 88 40 C 88 24 97 13 110 13 C 123 13 132 24 132 40 C 132 49 128 58 119 64 L 120 82 Z",
  ],
  "near-arm": limb(ARM, false),
  "far-arm": limb(ARM, true),
  trunk: [
    "M 99 75 C 90 79 78 79 71 85 C 65 90 66 99 69 108 L 79 150 C 81 160 83 167 91 167 L 129 167 C 137 167 139 160 141 150 L 151 108 C 154 99 155 90 149 85 C 142 79 130 79 121 75 C 114 80 106 80 99 75 Z",
  ],
  hips: [
    "M 86 173 L 134 173 C 141 173 143 177 144 183 L 147 198 C 148 205 143 208 136 205 L 118 199 C 112 197 108 197 102 199 L 84 205 C 77 208 72 205 73 198 L 76 183 C 77 177 79 173 86 173 Z",
  ],
  "near-leg": limb(LEG, false),
  "far-leg": limb(LEG, true),
};
