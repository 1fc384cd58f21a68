import { useEffect, useState } from "react";

export type Theme = "light" | "dark";
const KEY = "narrowgate-theme";

function initial(): Theme {
  const kept = localStorage.getItem(KEY);
  if (kept === "light" || kept === "dark") return kept;
  return window.matchMedia?.("(prefers-color-scheme: dark)").matches ? "dark" : "light";
}

/** The room: a bright hall or a dark one, remembered on this device. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState(initial);
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  return [
    theme,
    () => {
      const next = theme === "dark" ? "light" : "dark";
      localStorage.setItem(KEY, next);
      setTheme(next);
    },
  ];
}
