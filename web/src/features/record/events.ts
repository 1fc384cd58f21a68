import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useCallback, useSyncExternalStore } from "react";
import { askAgain } from "../../api/askAgain";
import { api, isForLater, problemOf, unwrapNothing, type Schemas } from "../../api/client";
import { isOwnersBrowser } from "../../ui/kept";
import { outbox, useAgain, useWaiting } from "../../queue";

export type Event = Schemas["RecordEvent"];
export type Learned = Schemas["Learned"];

/** An event on its way to the server. Its id is made here, so that sending it twice keeps it once. */
export interface Waiting {
  mapId: string;
  event: Event;
  /** Why the server did not take it; it waits for the person, not for a connection. */
  refused?: string;
}

const AT_ONCE = 200;
const KINDS: Record<Event["kind"], string> = {
  round: "A round",
  repetitions: "Repetitions",
  void: "Something taken out of the record",
};
const box = outbox<Waiting>("record", ({ event, refused }) => ({
  id: event.id,
  words: KINDS[event.kind],
  at: event.at,
  refused,
}));

/** Since when nothing gets through, as an instant; nothing while it does. */
let stuckSince: string | undefined;
const listeners = new Set<() => void>();

function setStuck(stuck: boolean): void {
  const next = stuck ? (stuckSince ?? new Date().toISOString()) : undefined;
  if (next === stuckSince) return;
  stuckSince = next;
  listeners.forEach((listener) => listener());
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

let sending: Promise<Set<string>> | undefined;

/** One sending at a time; what is added meanwhile is sent after it. */
function send(): Promise<Set<string>> {
  if (sending) return sending.then((sent) => (stuckSince === undefined && open().length > 0 ? send() : sent));
  sending = sendAll().finally(() => {
    sending = undefined;
  });
  return sending;
}

/**
 * Sends what waits, map by map, in the order in which it happened, and tells for which maps something was. What cannot be sent yet goes on waiting. Where some of it is refused each is
 * sent by itself, and what is refused then is kept with the reason until the person has seen it.
 */
async function sendAll(): Promise<Set<string>> {
  const sent = new Set<string>();
  let atOnce = AT_ONCE;
  for (let left = open(); left.length > 0 && isOwnersBrowser(); left = open()) {
    const mapId = left[0]!.mapId;
    const some = left.filter((one) => one.mapId === mapId).slice(0, atOnce);
    const ids = new Set(some.map((one) => one.event.id));
    try {
      await unwrapNothing(
        api.POST("/api/maps/{mapId}/record/events", {
          params: { path: { mapId } },
          body: { events: some.map((one) => one.event) },
        }),
      );
      sent.add(mapId);
      box.keep(box.waiting().filter((one) => !ids.has(one.event.id)));
    } catch (error) {
      if (isForLater(error)) {
        setStuck(true);
        return sent;
      }
      if (some.length > 1) {
        atOnce = 1;
        continue;
      }
      const { detail } = problemOf(error);
      box.keep(box.waiting().map((one) => (ids.has(one.event.id) ? { ...one, refused: detail } : one)));
    }
  }
  setStuck(false);
  return sent;
}

function open(): Waiting[] {
  return box.waiting().filter((one) => one.refused === undefined);
}

/** What was logged, and what it says by now, is asked for anew. */
async function tell(queries: QueryClient, sent: Set<string>): Promise<void> {
  for (const mapId of sent) await askAgain(queries, { queryKey: ["record", mapId] });
}

/** Keeping what happened, and what still waits for a connection. */
export function useRecord() {
  const queries = useQueryClient();
  const waiting = useWaiting(box);
  const stuck = useSyncExternalStore(subscribe, () => stuckSince);
  const flush = useCallback(() => send().then((sent) => tell(queries, sent)), [queries]);
  const log = useCallback(
    (mapId: string, event: Event) => {
      box.keep([...box.waiting(), { mapId, event }]);
      void flush();
    },
    [flush],
  );
  /** Takes an event out by another one: the first may be on its way already. */
  const takeOut = useCallback(
    (mapId: string, voids: string) =>
      log(mapId, { id: crypto.randomUUID(), kind: "void", at: new Date().toISOString(), voids }),
    [log],
  );
  const letGo = useCallback((id: string) => box.keep(box.waiting().filter((one) => one.event.id !== id)), []);
  return { log, takeOut, letGo, flush, waiting, stuckSince: stuck };
}

/** Tries again when the connection is back, and now and then while something waits. */
export function useSendingRecord(): void {
  const { flush, waiting } = useRecord();
  useAgain(
    waiting.some((one) => one.refused === undefined),
    flush,
  );
}
