import { useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { api, isForLater, unwrap, type Schemas } from "../api/client";
import { isOwnersBrowser } from "../ui/kept";
import { outbox, useAgain, useWaiting } from "./outbox";

/** A reading on its way to the server. Its id is made here, so that sending it twice keeps it once. */
export interface Waiting {
  mapId: string;
  reading: Schemas["Reading"];
}

const AT_ONCE = 200;
const box = outbox<Waiting>("readings", ({ reading }) => ({
  id: reading.id,
  words: "What you read in the trainer",
  at: reading.at,
}));

/**
 * Sends what waits, map by map. What cannot be sent yet goes on waiting; what the server will never take, as when its map is
 * gone, is let go.
 */
async function send(): Promise<{ mapId: string; summary: Schemas["ReadingSummary"] } | undefined> {
  let last;
  while (box.waiting().length > 0 && isOwnersBrowser()) {
    const mapId = box.waiting()[0]!.mapId;
    const some = box
      .waiting()
      .filter((w) => w.mapId === mapId)
      .slice(0, AT_ONCE);
    const gone = new Set(some.map((w) => w.reading.id));
    try {
      const summary = await unwrap(
        api.POST("/api/maps/{mapId}/readings", {
          params: { path: { mapId } },
          body: some.map((w) => w.reading),
        }),
      );
      last = { mapId, summary };
    } catch (error) {
      if (isForLater(error)) return last;
    }
    box.keep(box.waiting().filter((w) => !gone.has(w.reading.id)));
  }
  return last;
}

/** Keeping what was read, and what still waits for a connection. */
export function useReadings() {
  const queries = useQueryClient();
  const left = useWaiting(box);
  const flush = useCallback(async () => {
    const sent = await send();
    if (sent) queries.setQueryData(["readings", sent.mapId], sent.summary);
  }, [queries]);
  const add = useCallback(
    (mapId: string, reading: Omit<Schemas["Reading"], "id">) => {
      box.keep([...box.waiting(), { mapId, reading: { ...reading, id: crypto.randomUUID() } }]);
      void flush();
    },
    [flush],
  );
  return { add, flush, waiting: left.length };
}

/** Sends what was read from whatever page is open. */
export function useSendingReadings(): void {
  const { flush, waiting } = useReadings();
  useAgain(waiting > 0, flush);
}
