import { useEffect, useRef, useSyncExternalStore } from "react";

/** Something that can be done here and now: from the command list by its name, or at once by its key. */
export interface Command {
  title: string;
  /** A single key, as the keyboard event names it. */
  key?: string;
  run: () => void;
}

const KEPT = "narrowgate-keys";
let commands: readonly Command[] = [];
let keysOn = localStorage.getItem(KEPT) !== "off";
const listeners = new Set<() => void>();

function changed(): void {
  listeners.forEach((listener) => listener());
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Offers a command while the component is there; nothing is offered while it is undefined. */
export function useCommand(command: Command | undefined): void {
  const latest = useRef(command);
  useEffect(() => {
    latest.current = command;
  });
  const title = command?.title;
  const key = command?.key;
  useEffect(() => {
    if (title === undefined) return;
    const offered: Command = { title, key, run: () => latest.current?.run() };
    commands = [...commands, offered];
    changed();
    return () => {
      commands = commands.filter((c) => c !== offered);
      changed();
    };
  }, [title, key]);
}

/** Everything that is offered now, the newest last. */
export function useCommands(): readonly Command[] {
  return useSyncExternalStore(subscribe, () => commands);
}

/** Whether single keys do something; some people's speech input presses keys they do not mean. */
export function useKeysOn(): [boolean, (on: boolean) => void] {
  const on = useSyncExternalStore(subscribe, () => keysOn);
  return [
    on,
    (next) => {
      keysOn = next;
      localStorage.setItem(KEPT, next ? "on" : "off");
      changed();
    },
  ];
}

export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Keys that a focused part of the page uses itself. */
function isTaken(event: KeyboardEvent): boolean {
  const target = event.target;
  if (!(target instanceof HTMLElement)) return false;
  if (target.closest("[role=dialog], [role=menu], [role=listbox]")) return true;
  return event.key.startsWith("Arrow") && target.closest("[role=slider], [data-gate]") !== null;
}

/** Runs the command whose key is pressed; once, at the top of the application. */
export function useCommandKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!keysOn || event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
      if (isTyping(event.target) || isTaken(event)) return;
      const command = commands.findLast((c) => c.key === event.key);
      if (!command) return;
      event.preventDefault();
      command.run();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
}
