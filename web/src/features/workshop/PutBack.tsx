import { useState } from "react";

interface Taken<T> {
  before: T;
  after: T;
  words: string;
}

/** What was taken out of a field last; it can be put back until something else changes there. */
export interface PutBackOf<T> {
  /** Makes the change and remembers what was there before. */
  take: (next: T, words: string) => void;
  words: string | undefined;
  back: () => void;
}

/** Remembers what is taken out of a value that lives elsewhere. `onBack` is told before it is there again. */
export function usePutBack<T>(value: T, onChange: (value: T) => void, onBack?: () => void): PutBackOf<T> {
  const [taken, setTaken] = useState<Taken<T>>();
  const fresh = taken && JSON.stringify(taken.after) === JSON.stringify(value) ? taken : undefined;
  return {
    take: (next, words) => {
      setTaken({ before: value, after: next, words });
      onChange(next);
    },
    words: fresh?.words,
    back: () => {
      if (!fresh) return;
      onBack?.();
      setTaken(undefined);
      onChange(fresh.before);
    },
  };
}

/** Says what was taken out, in its place, with the way back. */
export function PutBack<T>({ of }: { of: PutBackOf<T> }) {
  if (of.words === undefined) return null;
  return (
    <p role="status" className="flex flex-wrap items-baseline gap-x-4 border-l-4 border-ink pl-3">
      <span>“{of.words}” is taken out.</span>
      {/* The word that was pressed is gone with what it stood at. */}
      <button type="button" className="word" autoFocus onClick={of.back}>
        Put it back
      </button>
    </p>
  );
}
