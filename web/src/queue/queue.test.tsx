import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { beforeEach, expect, it, vi } from "vitest";
import { ownerOf, setOwner, writeKept } from "../ui/kept";
import { keepEdit, useSendingEdits } from "./edits";
import { letGo, outbox, queued } from "./outbox";
import { PRESSES, steers, useSendingPresses } from "./presses";

const within = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
);

/** A person of their own for every test: what others left waiting is not theirs. */
let people = 0;
beforeEach(() => {
  localStorage.clear();
  setOwner(`person ${people++}`);
  vi.unstubAllGlobals();
});

const EDIT = {
  revision: 3,
  summary: "They hook a heel",
  parts: [{ list: "reactions", id: "hook", part: {} }],
};

function edit(summary = EDIT.summary) {
  keepEdit({ mapId: "m", edit: { ...EDIT, summary } as never, draft: "at:scarf", to: "/map/m/at/scarf" });
}

/** Answers every request so, and tells what was asked. */
function server(answer: () => Response | Promise<Response>) {
  const asked: { url: string; body: unknown }[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    asked.push({ url: request.url, body: await request.json() });
    return answer();
  });
  return asked;
}

const refusal = (detail: string) =>
  new Response(JSON.stringify({ status: 409, title: "Changed meanwhile", detail }), {
    status: 409,
    headers: { "Content-Type": "application/problem+json" },
  });

const online = () => act(() => void window.dispatchEvent(new Event("online")));

it("tells everything that waits in the order in which it was done, whatever it is", () => {
  const letters = outbox<{ id: string; at: string }>("letters", ({ id, at }) => ({
    id,
    words: `Letter ${id}`,
    at,
  }));
  letters.keep([{ id: "b", at: "2026-01-01T10:01:00Z" }]);
  edit();
  letters.keep([{ id: "a", at: "2026-01-01T10:00:00Z" }, ...letters.waiting()]);
  expect(queued().map(({ words }) => words)).toEqual([
    "Letter a",
    "Letter b",
    "A change of the map: They hook a heel",
  ]);
  letGo("a");
  expect(letters.waiting().map(({ id }) => id)).toEqual(["b"]);
});

it("takes over what waited before there was one queue", () => {
  const me = ownerOf()!;
  writeKept("presses", JSON.stringify([{ lesson: "c", press: { id: "p", deed: "pause" }, at: 0 }]));
  setOwner("somebody else");
  setOwner(me);
  expect(PRESSES.waiting().map(({ press }) => press.id)).toEqual(["p"]);
  expect(localStorage.getItem(`narrowgate:${me}:presses`)).toBeNull();
  expect(localStorage.getItem(`narrowgate:${me}:queue`)).toContain('"presses"');
});

it("sends a change of a map once there is a network, and what is typed in its form is forgotten with it", async () => {
  writeKept("draft:at:scarf", "typed");
  edit();
  const asked = server(() => new Response("{}"));
  renderHook(() => useSendingEdits(), { wrapper: within });
  expect(asked).toEqual([]);
  online();
  await waitFor(() => expect(queued()).toEqual([]));
  expect(asked.map(({ body }) => body)).toEqual([EDIT]);
  expect(localStorage.getItem(`narrowgate:${ownerOf()}:draft:at:scarf`)).toBeNull();
});

it("leaves what was typed in the form after it was saved, and what waits where the device stores nothing", async () => {
  writeKept("draft:at:scarf", "typed");
  const full = vi.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
    throw new DOMException("full", "QuotaExceededError");
  });
  edit();
  PRESSES.keep([{ lesson: "c", press: { id: "p", deed: "pause" } as never, at: 0 }]);
  expect(queued()).toHaveLength(2);
  full.mockRestore();
  writeKept("draft:at:scarf", "typed, and more");
  server(() => new Response("{}"));
  renderHook(() => useSendingEdits(), { wrapper: within });
  online();
  await waitFor(() => expect(queued()).toHaveLength(1));
  expect(localStorage.getItem(`narrowgate:${ownerOf()}:draft:at:scarf`)).toBe("typed, and more");
});

it("keeps a change that cannot be brought together with what others did, with the reason, its form and what is typed", async () => {
  writeKept("draft:at:scarf", "typed");
  edit();
  const asked = server(() => refusal("Somebody changed this answer."));
  renderHook(() => useSendingEdits(), { wrapper: within });
  online();
  await waitFor(() => expect(queued()[0]?.refused).toBe("Somebody changed this answer."));
  expect(queued()[0]?.to).toBe("/map/m/at/scarf");
  expect(localStorage.getItem(`narrowgate:${ownerOf()}:draft:at:scarf`)).not.toBeNull();
  online();
  expect(asked, "it waits for the person").toHaveLength(1);
  edit("They hook a heel, again");
  expect(queued().map(({ words, refused }) => [words, refused])).toEqual([
    ["A change of the map: They hook a heel, again", undefined],
  ]);
});

it("goes on waiting while nothing gets through", async () => {
  edit();
  const asked = server(() => Promise.reject(new TypeError("Failed to fetch")));
  renderHook(() => useSendingEdits(), { wrapper: within });
  online();
  await waitFor(() => expect(asked).toHaveLength(1));
  expect(queued()[0]?.refused).toBeUndefined();
});

it("sends the presses of a class whose page was left, and leaves those of an open one to its page", async () => {
  const press = (id: string) => ({ id, deed: "pause", step: 0, ago: 0 }) as never;
  PRESSES.keep([
    { lesson: "open", mapId: "m", press: press("1"), at: 0 },
    { lesson: "left", mapId: "m", press: press("2"), at: 0 },
    { lesson: "clicked", press: press("3"), at: 0 },
  ]);
  const close = steers("open");
  const asked = server(() => new Response("{}"));
  renderHook(() => useSendingPresses(), { wrapper: within });
  online();
  await waitFor(() => expect(PRESSES.waiting().map((one) => one.lesson)).toEqual(["open", "clicked"]));
  expect(asked.map(({ url }) => new URL(url).pathname)).toEqual(["/api/maps/m/classes/left/mat/presses"]);
  close();
  online();
  await waitFor(() => expect(PRESSES.waiting().map((one) => one.lesson)).toEqual(["clicked"]));
});
