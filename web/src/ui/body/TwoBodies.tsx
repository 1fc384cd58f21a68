import type { Schemas } from "../../api/client";
import { SEGMENT_LABEL, SEGMENTS, type Segment } from "../../labels";
import { partOf } from "./parts";

type Picture = Schemas["Picture"];
type Piece = Picture["pieces"][number];

/** Below this width a nose and a thumb are specks. */
const SMALL = 90;
/** Of a part that is held and less seen than this, the hidden outline is drawn in broken lines. */
const HIDDEN = 0.3;

/**
 * Two bodies at a place: the bottom player light with what is held green, the top player grey. The paths come drawn and
 * ordered; here they are only painted, in the colours of the room.
 */
export function TwoBodies({
  picture,
  held = {},
  says,
  width,
  className = "",
}: {
  picture: Picture;
  /** What is held, by segment. */
  held?: Record<string, string>;
  /** What stands in the place of the picture for whoever does not see it; empty where words stand beside it. */
  says: string;
  /** About how wide it is shown, in pixels: lines keep their strength. */
  width: number;
  className?: string;
}) {
  const parts = new Set(SEGMENTS.filter((s) => s in held).map((s) => partOf(s, picture.near)));
  const isHeld = (piece: Piece) => piece.who === "you" && parts.has(piece.part);
  const ink = Math.max(1.3, width / 300);
  const gap = ink + (4 * width) / 260;
  const small = width < SMALL;
  const pieces = small
    ? picture.pieces.filter((p) => p.name !== "nose" && !p.name.startsWith("thumb"))
    : picture.pieces;
  const fill = (piece: Piece) =>
    piece.who === "they" ? "var(--body-they)" : isHeld(piece) ? "var(--green)" : "var(--body-you)";
  return (
    <svg
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      className={className}
      fill="none"
      strokeLinejoin="round"
      {...(says ? { role: "img", "aria-label": says } : { "aria-hidden": true })}
    >
      <path d={picture.ground} fill="var(--body-shade)" />
      {pieces.map((piece) => (
        <g
          key={piece.who + piece.name}
          data-part={piece.who === "you" ? piece.part : undefined}
          data-held={isHeld(piece)}
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
        pieces
          .filter(
            (piece) =>
              isHeld(piece) &&
              piece.seen < HIDDEN &&
              piece.name !== "nose" &&
              !piece.name.startsWith("thumb"),
          )
          .map((piece) => (
            <path
              key={`hidden-${piece.name}`}
              d={piece.fill}
              stroke="var(--green)"
              strokeWidth={ink}
              strokeDasharray="4 3"
              vectorEffect="non-scaling-stroke"
            />
          ))}
    </svg>
  );
}

/** What is held and what is free, in a sentence. */
export function heldInWords(held: Record<string, string>): string {
  const names = (keep: (segment: Segment) => boolean) =>
    SEGMENTS.filter(keep)
      .map((s) => SEGMENT_LABEL[s])
      .join(", ") || "nothing";
  return `Held: ${names((s) => s in held)}. Free: ${names((s) => !(s in held))}.`;
}
