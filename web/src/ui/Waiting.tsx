import { isForLater, problemOf } from "../api/client";
import { Failed, Loading } from "./Notice";

interface Asked<T = unknown> {
  data: T | undefined;
  isError: boolean;
  error: unknown;
  refetch: () => unknown;
  progress?: { done: number; of: number };
}

/**
 * Whether there is nothing to show: it never came, or the server refuses now what it gave before. Where only the connection
 * or the session is lost, what came before stays, for the page must not go with what is being typed on it.
 */
export function isOut(asked: { data: unknown; isError: boolean; error: unknown }): boolean {
  return asked.isError && (asked.data === undefined || !isForLater(asked.error));
}

type DataOf<T extends Record<string, Asked>> = { [K in keyof T]: NonNullable<T[K]["data"]> };

/** Everything a page needs: its data once all of it is there, and until then what it waits for. */
export function together<T extends Record<string, Asked>>(
  asked: T,
): { data: DataOf<T> | undefined; waitsFor: Asked[] } {
  const all = Object.values(asked);
  const ready = all.every((one) => !isOut(one) && one.data !== undefined);
  return {
    data: ready
      ? (Object.fromEntries(Object.entries(asked).map(([name, one]) => [name, one.data])) as DataOf<T>)
      : undefined,
    waitsFor: all,
  };
}

/** Stands in for a page until everything it needs is there; says what failed, and tries again. */
export function Waiting({ what, on }: { what: string; on: { waitsFor: Asked[] } }) {
  const failed = on.waitsFor.find(isOut);
  if (failed) return <Failed problem={problemOf(failed.error)} retry={() => void failed.refetch()} />;
  return <Loading what={what} progress={on.waitsFor.find((one) => one.progress)?.progress} />;
}
