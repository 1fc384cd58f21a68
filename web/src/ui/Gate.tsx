import type { CSSProperties } from "react";
import { hundred } from "../labels";

/** Share of the lane that each of the two posts closes, in percent. */
export function postWidth(worth: number): number {
  return (1 - Math.min(1, Math.max(0, worth))) * 50;
}

/**
 * The mark of the product: a lane closed from both sides by two posts, as wide open as the odds. The number belongs
 * beside it, so the mark itself is decoration to a screen reader.
 */
export function Gate({
  worth,
  late = false,
  height = 6,
  className = "",
}: {
  worth: number;
  late?: boolean;
  /** In pixels, or as much as there is. */
  height?: number | "100%";
  className?: string;
}) {
  const post = `${postWidth(worth)}%`;
  return (
    <span
      aria-hidden="true"
      className={`gate relative block print:border print:border-edge ${late ? "bg-rust" : "bg-green"} ${className}`}
      style={{ height }}
    >
      <span className="gate-gap absolute inset-y-0 bg-lane" style={{ left: post, right: post }} />
    </span>
  );
}

/** The number beside a gate, 0 to 100, with what it was for a moment after it changed. */
export function Odds({ worth, was, className = "" }: { worth: number; was?: number; className?: string }) {
  const now = hundred(worth);
  const before = was === undefined ? now : hundred(was);
  return (
    <span className={`whitespace-nowrap ${className}`}>
      {before !== now && <span className="mr-1 text-[13.5px] font-normal text-quiet">was {before}</span>}
      <span className="font-semibold" data-odds>
        {now}
      </span>
      <span className="sr-only"> of 100</span>
    </span>
  );
}

/** Widths of the face between which titles step; each is a cut of its own that has to be drawn afresh. */
const STEP = 4;

/** A title whose width follows the odds a little: a bad place reads narrower. */
export function narrowness(worth: number): CSSProperties {
  return { fontStretch: `${80 + STEP * Math.round((24 / STEP) * Math.min(1, Math.max(0, worth)))}%` };
}
