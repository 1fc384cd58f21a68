import { hundred, seconds } from "../../labels";

/** The time a reaction takes against the clock: filled is what it takes, the mark is when they usually move on. */
export function Window({ takes, mean, inTime }: { takes: number; mean: number; inTime: number }) {
  const whole = Math.max(takes, mean) * 1.15;
  return (
    <span
      className="flex items-center gap-2"
      title={`Under way after ${seconds(takes)}; they move on after ${seconds(mean)} on average`}
    >
      <span aria-hidden="true" className="relative inline-block h-2 w-20 bg-lane">
        <span className="absolute inset-y-0 left-0 bg-ink" style={{ width: `${(takes / whole) * 100}%` }} />
        <span className="absolute -inset-y-1 w-0.5 bg-rust" style={{ left: `${(mean / whole) * 100}%` }} />
      </span>
      in time {hundred(inTime)} of 100
    </span>
  );
}
