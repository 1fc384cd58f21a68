import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Schemas } from "../../api/client";
import { letGo } from "./moving";
import { useOverview, useWas } from "./odds";
import { useSetting } from "./setting";

/** Questions that the stand-in for the server has got, each with the way to answer it. */
let questions: { late: string | null; answer: () => void }[];

beforeEach(() => {
  questions = [];
  vi.stubGlobal("fetch", (request: Request) => {
    const late = new URL(request.url).searchParams.get("late");
    return new Promise<Response>((resolve) => {
      questions.push({ late, answer: () => resolve(Response.json({ start: Number(late), situations: {} })) });
    });
  });
});
afterEach(() => {
  letGo();
  vi.unstubAllGlobals();
});

const map = (id: string) => ({ id, revision: 1, reactions: [] as unknown[] }) as Schemas["Map"];

function onTheMap() {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return renderHook(
    ({ id }) => {
      const [, , drag] = useSetting();
      return { odds: useOverview(map(id)), drag };
    },
    {
      initialProps: { id: "one" },
      wrapper: ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={queries}>
          <MemoryRouter initialEntries={["/?late=1"]}>{children}</MemoryRouter>
        </QueryClientProvider>
      ),
    },
  );
}

const answer = (at: number) =>
  act(() => {
    questions[at]!.answer();
    return Promise.resolve();
  });

test("while an answer is on its way no other is asked for, and then the newest is", async () => {
  const { result } = onTheMap();
  await waitFor(() => expect(questions.map((q) => q.late)).toEqual(["1"]));
  act(() => result.current.drag("late", 2));
  act(() => result.current.drag("late", 3));
  expect(questions).toHaveLength(1);
  await answer(0);
  await waitFor(() => expect(questions.map((q) => q.late)).toEqual(["1", "3"]));
  expect(result.current.odds.data?.start).toBe(1);
  await answer(1);
  await waitFor(() => expect(result.current.odds.data?.start).toBe(3));
});

test("what was solved once is not asked for again", async () => {
  const { result } = onTheMap();
  await waitFor(() => expect(questions).toHaveLength(1));
  await answer(0);
  act(() => result.current.drag("late", 2));
  await waitFor(() => expect(questions).toHaveLength(2));
  await answer(1);
  await waitFor(() => expect(result.current.odds.data?.start).toBe(2));
  act(() => result.current.drag("late", 1));
  await waitFor(() => expect(result.current.odds.data?.start).toBe(1));
  expect(questions).toHaveLength(2);
});

test("where everything is asked for again and the odds are the same, nothing has changed", async () => {
  const { result } = onTheMap();
  await waitFor(() => expect(questions).toHaveLength(1));
  await answer(0);
  await waitFor(() => expect(result.current.odds.isSuccess).toBe(true));
  const before = result.current.odds.data;
  act(() => void result.current.odds.refetch());
  await waitFor(() => expect(questions).toHaveLength(2));
  await answer(1);
  await waitFor(() => expect(result.current.odds.isFetching).toBe(false));
  expect(result.current.odds.data).toBe(before);
});

test("another map is asked for at once, whatever is on its way", async () => {
  const { rerender } = onTheMap();
  await waitFor(() => expect(questions).toHaveLength(1));
  rerender({ id: "two" });
  await waitFor(() => expect(questions).toHaveLength(2));
});

test("what it was is what stood before the changes, until it is cleared", () => {
  const odds = [{ start: 1 }, { start: 2 }, { start: 3 }];
  const { result, rerender } = renderHook(({ now }) => useWas(now), { initialProps: { now: odds[0] } });
  expect(result.current.was).toBeUndefined();
  rerender({ now: odds[1] });
  rerender({ now: odds[2] });
  expect(result.current.was).toBe(odds[0]);
  act(() => result.current.clear());
  expect(result.current.was).toBeUndefined();
  rerender({ now: odds[0] });
  expect(result.current.was).toBe(odds[2]);
});
