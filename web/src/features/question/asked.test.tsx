import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

const kept = { id: "x", words: "hop" };
const answer = (status: number, body: unknown = {}) =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } });

/** A fresh copy of the module, as after a reload. */
async function loaded(who = "tamsin") {
  vi.resetModules();
  const { setOwner } = await import("../../ui/kept");
  setOwner(who);
  const { useAsk } = await import("./asked");
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
  );
  return renderHook(() => useAsk(), { wrapper }).result;
}

const sentIds = () =>
  Promise.all(
    vi.mocked(fetch).mock.calls.map(async ([request]) => {
      const body = (await (request as Request).clone().json()) as { id: string };
      return body.id;
    }),
  );

beforeEach(() => {
  localStorage.clear();
  vi.stubGlobal("fetch", vi.fn());
});
afterEach(() => vi.unstubAllGlobals());

describe("a question", () => {
  it("is sent at once and then waits no more", async () => {
    vi.mocked(fetch).mockResolvedValue(answer(201, kept));
    const ask = await loaded();
    const result = await act(() => ask.current.ask({ mapId: "m", words: "hop" }));
    expect(result.sent).toHaveLength(1);
    expect(ask.current.waiting).toEqual([]);
  });

  it("waits without a connection, over a reload, and is sent with the same id", async () => {
    vi.mocked(fetch).mockRejectedValue(new TypeError("gone"));
    const ask = await loaded();
    await act(() => ask.current.ask({ mapId: "m", words: "hop" }));
    expect(ask.current.waiting).toHaveLength(1);
    const again = await loaded();
    vi.mocked(fetch).mockResolvedValue(answer(201, kept));
    await act(() => again.current.flush());
    expect(again.current.waiting).toEqual([]);
    expect(new Set(await sentIds()).size).toBe(1);
  });

  it.each([401, 403, 429, 503])("waits when the server answers %i", async (status) => {
    vi.mocked(fetch).mockResolvedValue(answer(status, { title: "Not allowed", detail: "No token." }));
    const ask = await loaded();
    const result = await act(() => ask.current.ask({ mapId: "m", words: "hop" }));
    expect(result.refused).toBeUndefined();
    expect(ask.current.waiting).toHaveLength(1);
  });

  it("that is refused is given back and holds up no other", async () => {
    vi.mocked(fetch).mockResolvedValueOnce(answer(422, { detail: "Plain words." }));
    const ask = await loaded();
    const result = await act(() => ask.current.ask({ mapId: "m", words: "<b>" }));
    expect(result.refused?.asked.words).toBe("<b>");
    expect(result.refused?.error.problem.detail).toBe("Plain words.");
    expect(ask.current.waiting.map((a) => a.refused)).toEqual(["Plain words."]);
  });

  it("that was refused is not sent again, and stays until it is thrown away", async () => {
    vi.mocked(fetch).mockResolvedValueOnce(answer(422, { detail: "Plain words." }));
    const ask = await loaded();
    await act(() => ask.current.ask({ mapId: "m", words: "<b>" }));
    vi.mocked(fetch).mockClear();
    const again = await loaded();
    await act(() => again.current.flush());
    expect(fetch).not.toHaveBeenCalled();
    expect(again.current.waiting).toHaveLength(1);
    act(() => again.current.drop(again.current.waiting[0]!.id));
    expect(again.current.waiting).toEqual([]);
  });

  it("of one person is neither shown to the next nor sent under their name", async () => {
    vi.mocked(fetch).mockRejectedValue(new TypeError("gone"));
    const first = await loaded("tamsin");
    await act(() => first.current.ask({ mapId: "m", words: "hop" }));
    const other = await loaded("bram");
    expect(other.current.waiting).toEqual([]);
    vi.mocked(fetch).mockClear();
    // The first page is still open in another tab.
    await act(() => first.current.flush());
    expect(fetch).not.toHaveBeenCalled();
    const back = await loaded("tamsin");
    expect(back.current.waiting.map((a) => a.words)).toEqual(["hop"]);
  });
});
