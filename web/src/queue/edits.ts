import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { askAgain } from "../api/askAgain";
import { api, isForLater, problemOf, unwrap, type Schemas } from "../api/client";
import { dropDraft, textOfDraft } from "../ui/draft";
import { isOwnersBrowser } from "../ui/kept";
import { outbox, useAgain, useWaiting } from "./outbox";

/**
 * A change of a map on its way to the server, made on a revision. What others changed meanwhile is brought together with it
 * there; where that cannot be, it is refused, and what was typed is still in its form.
 */
interface Edit {
  id: string;
  mapId: string;
  edit: Schemas["PartsEdit"];
  /** Under what its form keeps what was typed. */
  draft: string;
  /** What its form kept when this was saved; whatever was typed after that is not in it. */
  typed: string | null;
  /** Where its form is. */
  to: string;
  at: string;
  refused?: string;
}

const box = outbox<Edit>("edits", ({ id, edit, at, refused, to }) => ({
  id,
  words: `A change of the map: ${edit.summary}`,
  at,
  refused,
  to,
}));

/** Keeps a change until there is a network; one that was typed anew takes the place of what its form sent before. */
export function keepEdit(edit: Omit<Edit, "id" | "at" | "typed" | "refused">): void {
  dropEdit(edit.draft);
  const [id, at, typed] = [crypto.randomUUID(), new Date().toISOString(), textOfDraft(edit.draft)];
  box.keep([...box.waiting(), { ...edit, id, at, typed }]);
}

/** Takes what a form has sent out of the queue: it got through after all, or was thrown away. */
export function dropEdit(draft: string): void {
  const others = box.waiting().filter((edit) => edit.draft !== draft);
  if (others.length < box.waiting().length) box.keep(others);
}

function next(): Edit | undefined {
  return box.waiting().find((edit) => edit.refused === undefined);
}

let sending = false;

/**
 * One after the other, in the order in which they were made. One that got through without its answer is sent again: brought
 * together with itself it changes nothing.
 */
async function send(queries: QueryClient): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (let one = next(); one && isOwnersBrowser(); one = next()) {
      const { id, mapId, edit, draft, typed } = one;
      try {
        await unwrap(api.POST("/api/maps/{mapId}/parts", { params: { path: { mapId } }, body: edit }));
        box.keep(box.waiting().filter((other) => other.id !== id));
        if (textOfDraft(draft) === typed) dropDraft(draft);
        await askAgain(queries, { queryKey: ["map", mapId] });
      } catch (error) {
        if (isForLater(error)) return;
        const { detail } = problemOf(error);
        box.keep(box.waiting().map((other) => (other.id === id ? { ...other, refused: detail } : other)));
      }
    }
  } finally {
    sending = false;
  }
}

/** Sends changes of maps from whatever page is open. */
export function useSendingEdits(): void {
  const queries = useQueryClient();
  const waiting = useWaiting(box);
  const flush = useCallback(() => send(queries), [queries]);
  useAgain(
    waiting.some(({ refused }) => refused === undefined),
    flush,
  );
}
