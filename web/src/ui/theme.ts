import { useEffect, useSyncExternalStore } from "react";

export type Theme = "light" | "dark";
const KEY = "narrowgate-theme";

function initial(): Theme {
  const kept = localStorage.getItem(KEY);
  if (kept === "light" || kept === "dark") return kept;
  return window.matchMedia?.("(prefers-color-scheme: dark)").matches ? "dark" : "light";
}

/** One room for the whole page, whoever changes it; looked up when somebody first asks. */
let current: Theme | undefined;
const listeners = new Set<() => void>();

function theme(): Theme {
  current ??= initial();
  return current;
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function toggle(): void {
  current = theme() === "dark" ? "light" : "dark";
  localStorage.setItem(KEY, current);
  listeners.forEach((listener) => listener());
}

/** The room: a bright hall or a dark one, remembered on this device. */
export function useTheme(): [Theme, () => void] {
  const now = useSyncExternalStore(subscribe, theme);
  useEffect(() => {
    document.documentElement.dataset.theme = now;
  }, [now]);
  return [now, toggle];
}
