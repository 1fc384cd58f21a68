import type { CSSProperties } from "react";
import { hundred } from "../labels";

/** Share of the lane that each of the two posts closes, in percent. */
export function postWidth(worth: number): number {
  return (1 - Math.min(1, Math.max(0, worth))) * 50;
}

/** So far from the opening its slit stands in a post of the last chance, in pixels. */
const SLIT = 5;

/**
 * The mark of the product: a lane closed from both sides by two posts, as wide open as the odds. The number belongs
 * beside it, so the mark itself is decoration to a screen reader. A last chance is rust and has a slit in each post.
 */
export function Gate({
  worth,
  late = false,
  height = 8,
  beside,
  doubt,
  className = "",
}: {
  worth: number;
  late?: boolean;
  /** In pixels, or as much as there is. */
  height?: number | "100%";
  /** Odds that it is compared with; ticks stand where their opening ends. */
  beside?: number;
  /** Between what the odds lie: the posts are solid as far as they surely close the lane, and hatched as far as they may. */
  doubt?: { low: number; high: number };
  className?: string;
}) {
  const width = `${postWidth(doubt ? doubt.high : worth)}%`;
  const soft = doubt && { width: `${postWidth(doubt.low) - postWidth(doubt.high)}%` };
  const post = `gate-post absolute inset-y-0 min-w-[3px] print:border print:border-edge ${late ? "bg-rust" : "bg-green"}`;
  const hatched = late ? "gate-doubt gate-doubt-late" : "gate-doubt";
  const slit = "absolute inset-y-0 w-[2px] bg-ground";
  const tick = "absolute -inset-y-px w-[2px] bg-ink";
  return (
    <span aria-hidden="true" className={`gate relative block ${className}`} style={{ height }}>
      <span className="absolute inset-x-0 inset-y-[2px] bg-lane print:border-y print:border-edge" />
      <span className={`${post} left-0`} style={{ width }}>
        {late && <span className={slit} style={{ right: SLIT }} />}
      </span>
      <span className={`${post} right-0`} style={{ width }}>
        {late && <span className={slit} style={{ left: SLIT }} />}
      </span>
      {soft && (
        <>
          <span className={`${hatched} absolute inset-y-0`} style={{ ...soft, left: width }} />
          <span className={`${hatched} absolute inset-y-0`} style={{ ...soft, right: width }} />
        </>
      )}
      {beside !== undefined && (
        <>
          <span className={tick} style={{ left: `${postWidth(beside)}%` }} />
          <span className={tick} style={{ right: `${postWidth(beside)}%` }} />
        </>
      )}
    </span>
  );
}

/** A difference of shown numbers with its sign, nothing where they are the same. */
export function difference(from: number, to: number): string {
  const by = hundred(to) - hundred(from);
  return by === 0 ? "" : `${by > 0 ? "+" : "−"}${Math.abs(by)}`;
}

/** The number beside a gate, 0 to 100, and by how much it differs from what it is compared with. */
export function Odds({ worth, by = "", className = "" }: { worth: number; by?: string; className?: string }) {
  return (
    <span className={`whitespace-nowrap ${className}`}>
      {by && <span className="mr-1 text-[13.5px] font-normal text-quiet">({by})</span>}
      <span className="font-semibold" data-odds>
        {hundred(worth)}
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
