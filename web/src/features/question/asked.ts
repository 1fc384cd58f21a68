import { useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { askAgain } from "../../api/askAgain";
import { api, isForLater, problemOf, unwrap, type ApiError } from "../../api/client";
import { isOwnersBrowser } from "../../ui/kept";
import { outbox, useAgain, useWaiting } from "../../queue";

/** A question on its way to the server. Its id is made here, so that sending it twice keeps it once. */
export interface Asked {
  id: string;
  mapId: string;
  words: string;
  situation?: string;
  /** When, as an instant. */
  at?: string;
  /** Why the server did not take it while nobody was looking; it waits for the person, not for a connection. */
  refused?: string;
}

const box = outbox<Asked>("asked", ({ id, words, at, refused }) => ({
  id,
  words: `The question “${words}”`,
  at,
  refused,
}));

/**
 * Sends what waits, one after the other. What cannot be sent yet goes on waiting; what is refused is kept with the reason
 * until the person has seen it. A missing token or session is no refusal.
 */
async function send(): Promise<{ sent: Asked[]; refused?: { asked: Asked; error: ApiError } }> {
  const sent: Asked[] = [];
  for (const asked of box.waiting().filter((a) => a.refused === undefined)) {
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
      if (isForLater(error)) return { sent };
      const { detail } = problemOf(error);
      box.keep(box.waiting().map((a) => (a.id === asked.id ? { ...a, refused: detail } : a)));
      return { sent, refused: { asked, error: error as ApiError } };
    }
    sent.push(asked);
    box.keep(box.waiting().filter((a) => a.id !== asked.id));
  }
  return { sent };
}

/** Asking, and what still waits for a connection. */
export function useAsk() {
  const queries = useQueryClient();
  const left = useWaiting(box);
  const flush = useCallback(async () => {
    const result = await send();
    for (const mapId of new Set(result.sent.map((a) => a.mapId))) {
      await askAgain(queries, { queryKey: ["questions", mapId] });
    }
    return result;
  }, [queries]);
  const ask = useCallback(
    (asked: Omit<Asked, "id" | "at">) => {
      const at = new Date().toISOString();
      box.keep([...box.waiting(), { ...asked, id: crypto.randomUUID(), at }]);
      return flush();
    },
    [flush],
  );
  /** Takes one out of those that wait: thrown away, or on its way back into the box. */
  const drop = useCallback((id: string) => box.keep(box.waiting().filter((a) => a.id !== id)), []);
  return { ask, flush, drop, waiting: left };
}

/** Tries again when the connection is back, and now and then while something waits. */
export function useSendingAgain(): void {
  const { flush, waiting: left } = useAsk();
  useAgain(
    left.some((a) => a.refused === undefined),
    flush,
  );
}
