import type { Figures } from "./weight";

/** A load with its range: grey what is possible, the stroke what is likely, broken what it was before. */
export function RangeBar({
  load,
  of,
  before,
}: {
  load: NonNullable<Figures["load"]>;
  /** What the whole of the bar stands for, kilograms. */
  of: number;
  before?: number;
}) {
  const share = (kilograms: number) => `${Math.max(0, Math.min(100, (100 * kilograms) / of))}%`;
  return (
    <span className="relative block h-[9px] min-w-0 grow bg-lane" aria-hidden="true">
      <span
        className="absolute inset-y-0 bg-[var(--body-they)]"
        style={{ left: share(load.least), right: `calc(100% - ${share(load.most)})` }}
      />
      {before !== undefined && Math.abs(before - load.likely) >= 0.5 && (
        <span
          className="absolute -inset-y-[3px] -translate-x-1/2 border-l-2 border-dotted border-ink"
          style={{ left: share(before) }}
        />
      )}
      <span
        className="absolute -inset-y-[3px] w-[4px] -translate-x-1/2 bg-ink"
        style={{ left: share(load.likely) }}
      />
    </span>
  );
}
