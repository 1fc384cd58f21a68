import { useState } from "react";

interface Names {
  keys: number[];
  next: number;
  /** As they were before the last row was taken out. */
  before?: number[];
}

/** Rows in front keep their names, new ones get names that no row has had. */
function fitted({ keys, next, before }: Names, rows: number): Names {
  const kept = keys.slice(0, rows);
  const added = Array.from({ length: rows - kept.length }, (_, i) => next + i);
  return { keys: [...kept, ...added], next: next + added.length, before };
}

/**
 * Names for the rows of a list that have none of their own: a row keeps its name when another one is taken out, so that what
 * was typed, picked or opened in it stays with it; and when that one is put back.
 */
export function useRowKeys(rows: number): { keys: number[]; taken: (at: number) => void; back: () => void } {
  const [names, setNames] = useState(() => fitted({ keys: [], next: 0 }, rows));
  const now = names.keys.length === rows ? names : fitted(names, rows);
  if (now !== names) setNames(now);
  return {
    keys: now.keys,
    taken: (at) => setNames({ keys: now.keys.filter((_, i) => i !== at), next: now.next, before: now.keys }),
    back: () => setNames({ keys: now.before ?? now.keys, next: now.next }),
  };
}
