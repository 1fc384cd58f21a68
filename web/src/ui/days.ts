/** A day as a date is written: 2026-11-27, by the clock on the wall. */
export function isoDay(at: Date): string {
  const two = (value: number) => String(value).padStart(2, "0");
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** So many days later. */
export function later(day: string, days: number): string {
  const [year, month, date] = day.split("-").map(Number) as [number, number, number];
  return isoDay(new Date(year, month - 1, date + days));
}

/** A day with its weekday, as one says it. */
export function weekday(day: string): string {
  const [year, month, date] = day.split("-").map(Number) as [number, number, number];
  return new Date(year, month - 1, date).toLocaleDateString(undefined, {
    weekday: "short",
    day: "numeric",
    month: "short",
  });
}

/** So many minutes after a time of day, both as 19:30; past midnight it begins anew. */
export function clockAfter(starts: string, minutes: number): string {
  const [hours, rest] = starts.split(":").map(Number) as [number, number];
  const all = (hours * 60 + rest + minutes) % (24 * 60);
  return `${String(Math.floor(all / 60)).padStart(2, "0")}:${String(all % 60).padStart(2, "0")}`;
}
