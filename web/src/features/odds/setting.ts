import { useCallback, useMemo } from "react";
import { useSearchParams } from "react-router";

/** What the odds are asked for; it lives in the address, so that a link opens the same view. */
export interface Setting {
  aim?: string;
  matchup?: string;
  read: number;
  late: number;
}

const USUAL = { read: 0.25, late: 0.5 };

function number(text: string | null, otherwise: number, max: number): number {
  const value = text === null || text === "" ? NaN : Number(text);
  return value >= 0 && value <= max ? value : otherwise;
}

export function useSetting(): [Setting, (change: Partial<Setting>) => void] {
  const [params, setParams] = useSearchParams();
  const aim = params.get("aim") ?? undefined;
  const matchup = params.get("matchup") ?? undefined;
  const read = number(params.get("read"), USUAL.read, 1);
  const late = number(params.get("late"), USUAL.late, 30);
  const setting = useMemo(() => ({ aim, matchup, read, late }), [aim, matchup, read, late]);
  const change = useCallback(
    (part: Partial<Setting>) =>
      setParams(
        (now) => {
          const next = new URLSearchParams(now);
          for (const [name, value] of Object.entries(part)) {
            next.set(name, typeof value === "number" ? String(Math.round(value * 100) / 100) : value);
          }
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  return [setting, change];
}

/** The part of the address that keeps the setting when moving on. */
export function settingQuery(params: URLSearchParams): string {
  const kept = new URLSearchParams();
  for (const name of ["aim", "matchup", "read", "late"]) {
    const value = params.get(name);
    if (value !== null) kept.set(name, value);
  }
  const text = kept.toString();
  return text ? `?${text}` : "";
}
