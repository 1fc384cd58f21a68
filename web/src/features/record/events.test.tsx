import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { setOwner } from "../../ui/kept";
import { useRecord, type Event } from "./events";

const event = (id: string): Event => ({
  id,
  kind: "round",
  at: "2026-11-28T19:00:00Z",
  person: "a",
  start: "mount-low",
  ending: "guard",
});

/** A server that answers each batch in turn. */
function server(...answers: (() => Response | Promise<Response>)[]) {
  const heard: string[][] = [];
  vi.stubGlobal(
    "fetch",
    vi.fn(async (request: Request) => {
      const body = (await request.clone().json()) as { events: Event[] };
      heard.push(body.events.map((one) => one.id));
      return (answers[heard.length - 1] ?? kept)();
    }),
  );
  return heard;
}

const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } });
const kept = () => new Response(null, { status: 204 });
const gone = () => Promise.reject(new TypeError("network"));
const refused = () => json(422, { status: 422, title: "Refused", detail: "The map has no such place." });

function opened() {
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
  );
  return renderHook(() => useRecord(), { wrapper }).result;
}

describe("what waits to be sent", () => {
  beforeEach(() => {
    localStorage.clear();
    setOwner(crypto.randomUUID());
  });
  afterEach(() => vi.unstubAllGlobals());

  it("waits while the network is away, and is sent in order when it is back", async () => {
    const heard = server(gone, gone);
    const record = opened();
    act(() => record.current.log("m", event("1")));
    await waitFor(() => expect(record.current.stuckSince).toBeDefined());
    act(() => record.current.log("m", event("2")));
    await waitFor(() => expect(heard).toHaveLength(2));
    expect(record.current.waiting.map((one) => one.event.id)).toEqual(["1", "2"]);
    await act(() => record.current.flush());
    await waitFor(() => expect(record.current.waiting).toEqual([]));
    expect(heard.at(-1)).toEqual(["1", "2"]);
    expect(record.current.stuckSince).toBeUndefined();
  });

  it("is sent by itself where something with it is refused, and only that is kept for the person", async () => {
    const heard = server(gone, refused, refused, kept);
    const record = opened();
    act(() => record.current.log("m", event("1")));
    await waitFor(() => expect(heard).toHaveLength(1));
    act(() => record.current.log("m", event("2")));
    await waitFor(() => expect(heard).toEqual([["1"], ["1", "2"], ["1"], ["2"]]));
    await waitFor(() => expect(record.current.waiting).toHaveLength(1));
    expect(record.current.waiting[0]).toMatchObject({ refused: "The map has no such place." });
    act(() => record.current.letGo("1"));
    expect(record.current.waiting).toEqual([]);
  });
});
