/** Something that can be found by typing. */
export interface Findable {
  title: string;
  detail?: string;
  /** Words by which it is found as well, though they are not shown. */
  also?: string;
}

export interface Prepared<T> {
  entry: T;
  title: string;
  rest: string;
}

/** Lower case without accents, so that what is typed quickly is found. */
export function plain(text: string): string {
  return text.normalize("NFD").replace(/\p{M}/gu, "").replace(/[’‘]/g, "'").toLowerCase();
}

export function prepare<T extends Findable>(entries: T[]): Prepared<T>[] {
  return entries.map((entry) => ({
    entry,
    title: plain(entry.title),
    rest: plain(`${entry.detail ?? ""} ${entry.also ?? ""}`),
  }));
}

/** How well a text answers a typed word: at its beginning, at the beginning of a word, inside one, or not at all. */
function fit(text: string, word: string): number {
  const at = text.indexOf(word);
  if (at < 0) return 0;
  if (at === 0) return 4;
  return text.includes(` ${word}`) || text.includes(`-${word}`) ? 3 : 1;
}

/**
 * The entries in which every typed word is found, the best first; among equals the order in which they came. Cost linear
 * in the text searched.
 */
export function find<T extends Findable>(prepared: Prepared<T>[], typed: string, most: number): T[] {
  const words = plain(typed).split(/\s+/).filter(Boolean);
  if (words.length === 0) return prepared.slice(0, most).map((p) => p.entry);
  const found: { entry: T; score: number }[] = [];
  for (const { entry, title, rest } of prepared) {
    let score = 0;
    for (const word of words) {
      const best = fit(title, word) * 2 || fit(rest, word);
      if (best === 0) {
        score = -1;
        break;
      }
      score += best;
    }
    if (score > 0) found.push({ entry, score });
  }
  return found
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map((f) => f.entry);
}
