import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { SEGMENT_LABEL, SEGMENTS, type Segment } from "../../labels";
import { partOf, type DrawnPicture } from "./parts";

type Piece = Schemas["PicturePiece"];

/** How wide the mark is under what lies near the mat; a stature is 1000. */
const MARK = 90;
/** Below this width a nose and a thumb are specks. */
const SMALL = 90;
/** From this width on, a part that is held and hidden has its name. */
const NAMED = 200;
/** Of a part that is held and less seen than this, the outline is drawn over all in broken lines. */
const HIDDEN = 0.2;

/** A piece of the drawing plane, in units of the picture. */
export interface Frame {
  x: number;
  y: number;
  width: number;
  height: number;
}

/**
 * Two bodies at a place: the bottom player light with what is held green, the top player grey. The paths come drawn and
 * ordered; here they are only painted, in the colours of the room.
 */
export function TwoBodies({
  picture,
  held = {},
  says,
  width,
  free = [],
  onPick,
  under,
  over,
  box = picture,
  frame = framed(picture, box),
  named = width >= NAMED,
  className = "",
}: {
  picture: DrawnPicture;
  /** What is held, by segment. */
  held?: Record<string, string>;
  /** What stands in the place of the picture for whoever does not see it; empty where words stand beside it. */
  says: string;
  /** About how wide it is shown, in pixels: lines keep their strength. */
  width: number;
  /** What is known to be free, where parts can be marked. */
  free?: readonly Segment[];
  /** Called when a part of the bottom player is pressed. Whoever cannot press it needs another way beside it. */
  onPick?: (segment: Segment) => void;
  /** Drawn on the mat under the bodies, in units of the picture. */
  under?: ReactNode;
  /** Drawn over everything, in units of the picture; takes the place of the outlines of what is held and hidden. */
  over?: ReactNode;
  /** The room in which it stands, where several stand beside each other in one measure; as wide as it is unless said. */
  box?: { width: number; height: number };
  /** The same told by its corner, in units of the picture. */
  frame?: Frame;
  /** Whether what is held and hidden has its name on it. */
  named?: boolean;
  className?: string;
}) {
  const parts = new Set(SEGMENTS.filter((s) => s in held).map((s) => partOf(s, picture.near)));
  const segmentOf = new Map(SEGMENTS.map((s) => [partOf(s, picture.near), s]));
  const known = new Set([...parts, ...free.map((s) => partOf(s, picture.near))]);
  const isUnsaid = (piece: Piece) => onPick !== undefined && piece.who === "you" && !known.has(piece.part);
  const isHeld = (piece: Piece) => piece.who === "you" && parts.has(piece.part);
  const ink = Math.max(1.3, width / 300);
  const gap = ink + (4 * width) / 260;
  const small = width < SMALL;
  const hidden = new Set([...parts].filter((part) => seenOf(picture, part) < HIDDEN));
  const pieces = small ? picture.pieces.filter((piece) => !isSpeck(piece)) : picture.pieces;
  const fill = (piece: Piece) =>
    piece.who === "they" ? "var(--body-they)" : isHeld(piece) ? "var(--green)" : "var(--body-you)";
  return (
    <svg
      viewBox={`${frame.x} ${frame.y} ${frame.width} ${frame.height}`}
      className={className}
      fill="none"
      strokeLinejoin="round"
      {...(says ? { role: "img", "aria-label": says } : { "aria-hidden": true })}
    >
      <path d={picture.ground} stroke="var(--body-shade)" strokeWidth={MARK} strokeLinecap="round" />
      {under}
      {/* A limb may come in two halves of one name. */}
      {pieces.map((piece, place) => (
        <g
          key={place}
          data-segment={piece.who === "you" ? segmentOf.get(piece.part) : undefined}
          data-held={isHeld(piece)}
          onClick={onPick && piece.who === "you" ? () => onPick(segmentOf.get(piece.part)!) : undefined}
          className={onPick && (piece.who === "you" ? "cursor-pointer" : "pointer-events-none")}
        >
          {piece.line && !small && (
            <path
              d={piece.line}
              stroke="var(--body-ground, var(--ground))"
              strokeWidth={gap}
              vectorEffect="non-scaling-stroke"
            />
          )}
          <path d={piece.fill} fill={fill(piece)} />
          {piece.hair && <path d={piece.hair} fill={`var(--hair-${piece.who})`} />}
          {piece.line && (
            <path
              d={piece.line}
              stroke="var(--body-line)"
              strokeWidth={ink}
              strokeDasharray={isUnsaid(piece) ? "4 4" : undefined}
              vectorEffect="non-scaling-stroke"
            />
          )}
          {piece.seam && isHeld(piece) && (
            <path
              d={piece.seam}
              stroke="var(--body-line)"
              strokeWidth={ink}
              vectorEffect="non-scaling-stroke"
            />
          )}
        </g>
      ))}
      {!small &&
        !over &&
        pieces
          .filter((piece) => isHeld(piece) && hidden.has(piece.part) && isMain(piece))
          .map((piece, place) => (
            <path
              key={`hidden-${place}`}
              d={piece.fill}
              stroke="var(--ink)"
              strokeWidth={ink}
              strokeDasharray="5 4"
              vectorEffect="non-scaling-stroke"
            />
          ))}
      {named &&
        !over &&
        [...hidden].map((part) => {
          const at = placeOf(picture, part);
          return (
            at && (
              <text
                key={`name-${part}`}
                x={at.x}
                y={at.y}
                fontSize={(13 * picture.width) / width}
                textAnchor="middle"
                fill="var(--ink)"
                stroke="var(--body-ground, var(--ground))"
                strokeWidth="3"
                paintOrder="stroke"
                vectorEffect="non-scaling-stroke"
                aria-hidden="true"
              >
                {SEGMENT_LABEL[segmentOf.get(part)!]}
              </text>
            )
          );
        })}
      {over}
    </svg>
  );
}

/** A picture in a room: in the middle, on the lower edge. */
function framed(picture: DrawnPicture, box: { width: number; height: number }): Frame {
  return {
    x: (picture.width - box.width) / 2,
    y: picture.height - box.height,
    width: box.width,
    height: box.height,
  };
}

/** About where a part of the bottom player is: the middle of where the outlines of its pieces begin. */
function placeOf(picture: DrawnPicture, part: Piece["part"]): { x: number; y: number } | undefined {
  const begins = picture.pieces
    .filter((piece) => piece.who === "you" && piece.part === part && isMain(piece))
    .flatMap((piece) => {
      const [, x, y] = /^M(-?\d+)[ ]?(-?\d+)/.exec(piece.fill) ?? [];
      return x === undefined || y === undefined ? [] : [{ x: Number(x), y: Number(y) }];
    });
  if (begins.length === 0) return undefined;
  const mean = (values: number[]) => values.reduce((a, b) => a + b, 0) / values.length;
  return { x: mean(begins.map((p) => p.x)), y: mean(begins.map((p) => p.y)) };
}

/** How much of a part of the bottom player is seen, from 0 to 1. */
function seenOf(picture: DrawnPicture, part: Piece["part"]): number {
  const main = picture.pieces.filter((piece) => piece.who === "you" && piece.part === part && isMain(piece));
  return main.reduce((sum, piece) => sum + piece.seen, 0) / Math.max(1, main.length);
}

/** What of a part tells where it is: neither its small pieces nor what joins it to others. */
function isMain(piece: Piece): boolean {
  return !isSpeck(piece) && !/^(neck|hand|foot)/.test(piece.name);
}

/** What cannot be made out where a picture is small, and what needs no outline of its own where it is hidden. */
function isSpeck(piece: Piece): boolean {
  return piece.name === "nose" || piece.name.startsWith("thumb");
}

/** What is held and what is free, in a sentence. */
export function heldInWords(held: Record<string, string>): string {
  const names = (keep: (segment: Segment) => boolean) =>
    SEGMENTS.filter(keep)
      .map((s) => SEGMENT_LABEL[s])
      .join(", ") || "nothing";
  return `Held: ${names((s) => s in held)}. Free: ${names((s) => !(s in held))}.`;
}
