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
  height?: number;
  className?: string;
}) {
  const post: CSSProperties = { width: `${postWidth(worth)}%` };
  const colour = late ? "bg-rust" : "bg-green";
  return (
    <span
      aria-hidden="true"
      className={`print:border-edge relative block bg-lane print:border ${className}`}
      style={{ height }}
    >
      <span className={`gate-post absolute inset-y-0 left-0 ${colour}`} style={post} />
      <span className={`gate-post absolute inset-y-0 right-0 ${colour}`} style={post} />
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
      <span className="font-semibold">{now}</span>
      <span className="sr-only"> of 100</span>
    </span>
  );
}

/** A title whose width follows the odds a little: a bad place reads narrower. */
export function narrowness(worth: number): CSSProperties {
  return { fontStretch: `${Math.round(80 + 24 * Math.min(1, Math.max(0, worth)))}%` };
}
