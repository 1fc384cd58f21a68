import { useCallback, useEffect, useRef, useState } from "react";

const PREFIX = "narrowgate-draft:";

/** Text that was typed and not saved, kept on this device until it is saved or thrown away. */
export interface Draft<T> {
  /** The revision on screen when typing began. */
  base: number;
  value: T;
}

function read<T>(key: string): Draft<T> | undefined {
  try {
    const kept = localStorage.getItem(PREFIX + key);
    return kept === null ? undefined : (JSON.parse(kept) as Draft<T>);
  } catch {
    return undefined;
  }
}

/** True when something unsaved is kept under the key. */
export function hasDraft(key: string): boolean {
  return localStorage.getItem(PREFIX + key) !== null;
}

export function dropDraft(key: string): void {
  localStorage.removeItem(PREFIX + key);
}

/**
 * What is being typed under a key. It survives a reload, an ended session and a lost connection; `drop` forgets it.
 */
export function useDraft<T>(
  key: string,
  base: number,
  initial: T,
): {
  draft: Draft<T>;
  /** True when it was found from before. */
  kept: boolean;
  change: (update: (now: T) => T) => void;
  rebase: (base: number) => void;
  drop: () => void;
} {
  const [found] = useState(() => read<T>(key));
  const [draft, setDraft] = useState<Draft<T>>(found ?? { base, value: initial });
  const touched = useRef(false);
  useEffect(() => {
    if (!touched.current) return;
    try {
      localStorage.setItem(PREFIX + key, JSON.stringify(draft));
    } catch {
      // A full or forbidden store only loses the safety net, not what is on screen.
    }
  }, [key, draft]);
  const set = useCallback((update: (now: Draft<T>) => Draft<T>) => {
    touched.current = true;
    setDraft(update);
  }, []);
  return {
    draft,
    kept: found !== undefined,
    change: useCallback((update) => set((now) => ({ ...now, value: update(now.value) })), [set]),
    rebase: useCallback((next) => set((now) => ({ ...now, base: next })), [set]),
    drop: useCallback(() => {
      touched.current = false;
      dropDraft(key);
    }, [key]),
  };
}
