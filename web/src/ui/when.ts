const DAY = 24 * 60 * 60 * 1000;

function midnight(at: Date): number {
  return new Date(at.getFullYear(), at.getMonth(), at.getDate()).getTime();
}

/** A moment as one says it: today and yesterday by their names, with the time of day; `now` is when it is said. */
export function whenInWords(at: string, now: Date = new Date()): string {
  const then = new Date(at);
  const time = then.toLocaleTimeString(undefined, { hour: "2-digit", minute: "2-digit" });
  const days = Math.round((midnight(now) - midnight(then)) / DAY);
  if (days === 0) return `today ${time}`;
  if (days === 1) return `yesterday ${time}`;
  return `${dayInWords(at)} ${time}`;
}

/** A day by its own figures, which is the same day everywhere; a moment otherwise. */
function local(at: string): Date {
  const day = /^(\d{4})-(\d{2})-(\d{2})$/.exec(at);
  return day ? new Date(Number(day[1]), Number(day[2]) - 1, Number(day[3])) : new Date(at);
}

/** A day, or the day of a moment. */
export function dayInWords(at: string): string {
  return local(at).toLocaleDateString(undefined, { day: "numeric", month: "short", year: "numeric" });
}
