import { useCallback, useEffect, useRef, useState } from "react";
import { dropKept, readKept, writeKept } from "./kept";

const PREFIX = "draft:";

/** Text that was typed and not saved, kept on this device until it is saved or thrown away. */
export interface Draft<T> {
  /** The revision on screen when typing began. */
  base: number;
  value: T;
}

/** What was kept: a draft of today's shape, or a text that cannot be put back into the form. */
type Found<T> = { draft: Draft<T> } | { unreadable: string } | undefined;

function read<T>(key: string, fits: (value: unknown) => value is T): Found<T> {
  const kept = readKept(PREFIX + key);
  if (kept === null) return undefined;
  try {
    const { base, value } = JSON.parse(kept) as Partial<Draft<unknown>>;
    if (typeof base === "number" && Number.isInteger(base) && fits(value)) return { draft: { base, value } };
  } catch {
    // Not even a form's; offered as it is.
  }
  return { unreadable: kept };
}

/** True when something unsaved is kept under the key. */
export function hasDraft(key: string): boolean {
  return readKept(PREFIX + key) !== null;
}

/** What is kept under the key, as text. */
export function textOfDraft(key: string): string | null {
  return readKept(PREFIX + key);
}

export function dropDraft(key: string): void {
  dropKept(PREFIX + key);
}

/**
 * What is being typed under a key. It survives a reload, an ended session and a lost connection; `drop` forgets it.
 */
export function useDraft<T>(
  key: string,
  base: number,
  initial: T,
  fits: (value: unknown) => value is T,
): {
  draft: Draft<T>;
  /** True when it was found from before. */
  kept: boolean;
  /** What was found from before and cannot be put back, as text; the form may have changed since. */
  unreadable: string | undefined;
  change: (update: (now: T) => T) => void;
  rebase: (base: number) => void;
  drop: () => void;
} {
  const [found] = useState(() => read(key, fits));
  const back = found && "draft" in found ? found.draft : undefined;
  const [draft, setDraft] = useState<Draft<T>>(back ?? { base, value: initial });
  const touched = useRef(false);
  useEffect(() => {
    if (touched.current) writeKept(PREFIX + key, JSON.stringify(draft));
  }, [key, draft]);
  const set = useCallback((update: (now: Draft<T>) => Draft<T>) => {
    touched.current = true;
    setDraft(update);
  }, []);
  return {
    draft,
    kept: back !== undefined,
    unreadable: found && "unreadable" in found ? found.unreadable : undefined,
    change: useCallback((update) => set((now) => ({ ...now, value: update(now.value) })), [set]),
    rebase: useCallback((next) => set((now) => ({ ...now, base: next })), [set]),
    drop: useCallback(() => {
      touched.current = false;
      dropDraft(key);
    }, [key]),
  };
}
