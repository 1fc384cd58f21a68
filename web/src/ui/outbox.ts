import { useEffect, useSyncExternalStore } from "react";
import { dropKept, onOwner, readKept, writeKept } from "./kept";

const AGAIN_AFTER = 15_000;

/** What waits on this device to be sent, of whoever is signed in; it survives a reload and an ended session. */
export interface Outbox<T> {
  waiting: () => readonly T[];
  keep: (next: readonly T[]) => void;
  subscribe: (listener: () => void) => () => void;
}

/** The one outbox of a kind of thing, kept under a name. */
export function outbox<T>(name: string): Outbox<T> {
  const load = (): readonly T[] => {
    try {
      return JSON.parse(readKept(name) ?? "[]") as T[];
    } catch {
      return [];
    }
  };
  const listeners = new Set<() => void>();
  let waiting = load();
  const changed = (next: readonly T[]) => {
    waiting = next;
    listeners.forEach((listener) => listener());
  };
  onOwner(() => changed(load()));
  return {
    waiting: () => waiting,
    keep: (next) => {
      if (next.length === 0) dropKept(name);
      else writeKept(name, JSON.stringify(next));
      changed(next);
    },
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

/** What waits in an outbox now. */
export function useWaiting<T>(box: Outbox<T>): readonly T[] {
  return useSyncExternalStore(box.subscribe, box.waiting);
}

/** Tries again when the connection is back, and now and then while something waits. */
export function useAgain(some: boolean, send: () => Promise<unknown>): void {
  useEffect(() => {
    if (!some) return;
    const again = () => void send();
    const timer = setInterval(again, AGAIN_AFTER);
    window.addEventListener("online", again);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", again);
    };
  }, [send, some]);
}
