import { useEffect, useSyncExternalStore } from "react";
import { onAsOf, shownAsOf } from "../api/asOf";
import { dropKept, keyOfKept, onOwner, readKept, writeKept } from "../ui/kept";

const AGAIN_AFTER = 15_000;

/** Under what the queue of whoever is signed in is kept; it survives a reload and an ended session. */
export const QUEUE = "queue";

/** What waits, of whatever kind, in the order in which it was done. */
interface Entry {
  box: string;
  item: unknown;
}

/** Something that waits, as it is told to the person. */
export interface Told {
  id: string;
  words: string;
  /** When it was done, as an instant. */
  at?: string;
  /** Why the server did not take it; it waits for the person, not for a connection. */
  refused?: string;
  /** Where the person can look after it. */
  to?: string;
}

/** What waits of one kind. */
export interface Outbox<T> {
  waiting: () => readonly T[];
  keep: (next: readonly T[]) => void;
  subscribe: (listener: () => void) => () => void;
}

/** Before there was one queue each kind had a place of its own; what waits there is taken over. */
const BEFORE = ["asked", "record", "readings", "presses"];

/** How what waits is told, by its kind. */
const kinds = new Map<string, (item: never) => Told>();
const listeners = new Set<() => void>();
/** False while the device's store is full or forbidden: then what waits is with this page alone. */
let isStored = true;
let entries: readonly Entry[] = load();
/** Per kind what waits of it, always the same list until it changes. */
const ofKind = new Map<string, readonly unknown[]>();
let told: readonly Told[] | undefined;

function parsed<T>(text: string | null): T[] {
  try {
    const list = JSON.parse(text ?? "[]") as unknown;
    return Array.isArray(list) ? (list as T[]) : [];
  } catch {
    return [];
  }
}

function load(): readonly Entry[] {
  const all = parsed<Entry>(readKept(QUEUE));
  const before = BEFORE.filter((name) => readKept(name) !== null);
  if (before.length === 0) return all;
  const taken = before.flatMap((box) => parsed<unknown>(readKept(box)).map((item) => ({ box, item })));
  write([...taken, ...all]);
  before.forEach(dropKept);
  return [...taken, ...all];
}

function write(next: readonly Entry[]): void {
  const text = JSON.stringify(next);
  if (next.length === 0) dropKept(QUEUE);
  else writeKept(QUEUE, text);
  isStored = (readKept(QUEUE) ?? "[]") === text;
}

/** What waits now, with what another tab has just added; only what this page knows of where the device stores nothing. */
function present(): readonly Entry[] {
  return isStored ? load() : entries;
}

function change(next: readonly Entry[]): void {
  write(next);
  show(next);
}

function show(next: readonly Entry[]): void {
  entries = next;
  ofKind.clear();
  told = undefined;
  listeners.forEach((listener) => listener());
}

onOwner(() => show(load()));
// What another tab of the same person adds or sends is no other queue.
if (typeof window !== "undefined")
  window.addEventListener("storage", ({ key }) => {
    if (key !== null && key === keyOfKept(QUEUE)) show(load());
  });

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * The part of the queue that is of one kind.
 *
 * @param tell what is told of one of them while it waits
 */
export function outbox<T>(name: string, tell: (item: T) => Told): Outbox<T> {
  kinds.set(name, tell);
  return {
    waiting: () => {
      const known = ofKind.get(name) ?? entries.filter(({ box }) => box === name).map(({ item }) => item);
      ofKind.set(name, known);
      return known as readonly T[];
    },
    keep: (next) => {
      const others = present().filter(({ box }) => box !== name);
      change([...others, ...next.map((item) => ({ box: name, item }))]);
    },
    subscribe,
  };
}

/** What waits in an outbox now. */
export function useWaiting<T>(box: Outbox<T>): readonly T[] {
  return useSyncExternalStore(box.subscribe, box.waiting);
}

/** Everything that waits, the oldest first. */
export function queued(): readonly Told[] {
  told ??= entries
    .flatMap(({ box, item }) => kinds.get(box)?.(item as never) ?? [])
    .sort((a, b) => (a.at ?? "").localeCompare(b.at ?? ""));
  return told;
}

/** The same, on a page. */
export function useQueued(): readonly Told[] {
  return useSyncExternalStore(subscribe, queued);
}

/** Takes something out of the queue that the person does not want sent any more. */
export function letGo(id: string): void {
  change(present().filter(({ box, item }) => kinds.get(box)?.(item as never).id !== id));
}

/** Tries again when the connection is back, and now and then while something waits. */
export function useAgain(some: boolean, send: () => Promise<unknown>): void {
  useEffect(() => {
    if (!some) return;
    const again = () => void send();
    const timer = setInterval(again, AGAIN_AFTER);
    const end = onAsOf(() => {
      if (shownAsOf() === undefined) again();
    });
    window.addEventListener("online", again);
    return () => {
      end();
      clearInterval(timer);
      window.removeEventListener("online", again);
    };
  }, [send, some]);
}
