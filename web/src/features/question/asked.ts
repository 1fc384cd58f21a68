import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useSyncExternalStore } from "react";
import { askAgain } from "../../api/askAgain";
import { api, ApiError, problemOf, unwrap } from "../../api/client";
import { dropKept, isOwnersBrowser, onOwner, readKept, writeKept } from "../../ui/kept";

/** A question on its way to the server. Its id is made here, so that sending it twice keeps it once. */
export interface Asked {
  id: string;
  mapId: string;
  words: string;
  situation?: string;
  /** Why the server did not take it while nobody was looking; it waits for the person, not for a connection. */
  refused?: string;
}

const KEY = "asked";
const AGAIN_AFTER = 15_000;
const listeners = new Set<() => void>();
let waiting: readonly Asked[] = load();
onOwner(() => {
  waiting = load();
  listeners.forEach((listener) => listener());
});

function load(): readonly Asked[] {
  try {
    return JSON.parse(readKept(KEY) ?? "[]") as Asked[];
  } catch {
    return [];
  }
}

function keep(next: readonly Asked[]): void {
  waiting = next;
  if (next.length === 0) dropKept(KEY);
  else writeKept(KEY, JSON.stringify(next));
  listeners.forEach((listener) => listener());
}

/**
 * Sends what waits, one after the other. What cannot be sent yet goes on waiting; what is refused is kept with the reason
 * until the person has seen it. A missing token or session is no refusal.
 */
async function send(): Promise<{ sent: Asked[]; refused?: { asked: Asked; error: ApiError } }> {
  const sent: Asked[] = [];
  for (const asked of waiting.filter((a) => a.refused === undefined)) {
    if (!isOwnersBrowser()) return { sent };
    try {
      const { id, words, situation } = asked;
      await unwrap(
        api.POST("/api/maps/{mapId}/questions", {
          params: { path: { mapId: asked.mapId } },
          body: { id, words, situation },
        }),
      );
    } catch (error) {
      const status = error instanceof ApiError ? error.problem.status : 0;
      if (status === 0 || status === 401 || status === 403 || status === 429 || status >= 500)
        return { sent };
      const { detail } = problemOf(error);
      keep(waiting.map((a) => (a.id === asked.id ? { ...a, refused: detail } : a)));
      return { sent, refused: { asked, error: error as ApiError } };
    }
    sent.push(asked);
    keep(waiting.filter((a) => a.id !== asked.id));
  }
  return { sent };
}

/** Asking, and what still waits for a connection. */
export function useAsk() {
  const queries = useQueryClient();
  const left = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => waiting,
  );
  const flush = useCallback(async () => {
    const result = await send();
    for (const mapId of new Set(result.sent.map((a) => a.mapId))) {
      await askAgain(queries, { queryKey: ["questions", mapId] });
    }
    return result;
  }, [queries]);
  const ask = useCallback(
    (asked: Omit<Asked, "id">) => {
      keep([...waiting, { ...asked, id: crypto.randomUUID() }]);
      return flush();
    },
    [flush],
  );
  /** Takes one out of those that wait: thrown away, or on its way back into the box. */
  const drop = useCallback((id: string) => keep(waiting.filter((a) => a.id !== id)), []);
  return { ask, flush, drop, waiting: left };
}

/** Tries again when the connection is back, and now and then while something waits. */
export function useSendingAgain(): void {
  const { flush, waiting: left } = useAsk();
  const some = left.some((a) => a.refused === undefined);
  useEffect(() => {
    if (!some) return;
    const again = () => void flush();
    const timer = setInterval(again, AGAIN_AFTER);
    window.addEventListener("online", again);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", again);
    };
  }, [flush, some]);
}
