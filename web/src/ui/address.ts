import { useCallback } from "react";
import { useSearchParams } from "react-router";

/** What a name in the address is to stand for from now on; nothing, or an empty list, takes the name out. */
export type Written = Record<string, string | number | readonly string[] | undefined>;

/** The address with some of its names written anew, the others as they are. */
export function rewritten(now: URLSearchParams, names: Written): URLSearchParams {
  const next = new URLSearchParams(now);
  for (const [name, value] of Object.entries(names)) {
    next.delete(name);
    if (Array.isArray(value)) value.forEach((one: string) => next.append(name, one));
    else if (value !== undefined) next.set(name, String(value));
  }
  return next;
}

/** A number that the address gives within a range; as usual where it gives none, or one outside. */
export function numberOf(
  params: URLSearchParams,
  name: string,
  { min, max, usual }: { min: number; max: number; usual: number },
): number {
  const text = params.get(name);
  const value = text === null || text === "" ? NaN : Number(text);
  return value >= min && value <= max ? value : usual;
}

/**
 * The part of the address behind the path, in which a view keeps what it shows, so that a link reopens it. Writing it is no
 * step of the way: going back leaves the page.
 */
export function useAddress(): [URLSearchParams, (names: Written) => void] {
  const [params, setParams] = useSearchParams();
  const write = useCallback(
    (names: Written) => setParams((now) => rewritten(now, names), { replace: true }),
    [setParams],
  );
  return [params, write];
}
