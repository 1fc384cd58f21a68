// @vitest-environment jsdom
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import type { Schemas } from "./client";
import { runToEnd } from "./run";

const answers = vi.fn<(method: string, path: string) => unknown>();

function run(state: string, more: Partial<Schemas["Run"]> = {}) {
  return { id: "r1", kind: "review", state, done: 0, of: 0, ...more };
}

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("fetch", (request: Request) =>
    Promise.resolve(
      new Response(JSON.stringify(answers(request.method, new URL(request.url).pathname)), {
        headers: { "Content-Type": "application/json" },
      }),
    ),
  );
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  answers.mockReset();
});

const body = { kind: "review", question: {} } as Schemas["RunRequest"];

it("gives at once what is over at once", async () => {
  answers.mockReturnValueOnce(run("done", { findings: [] }));
  const over = await runToEnd("m", body, new AbortController().signal, () => {});
  expect(over.findings).toEqual([]);
  expect(answers).toHaveBeenCalledTimes(1);
});

it("tells how far it is, until it is over", async () => {
  answers
    .mockReturnValueOnce(run("running", { done: 3, of: 9 }))
    .mockReturnValueOnce(run("running", { done: 6, of: 9 }))
    .mockReturnValueOnce(run("done", { findings: [] }));
  const heard: number[] = [];
  const over = runToEnd("m", body, new AbortController().signal, ({ done }) => heard.push(done));
  await vi.runAllTimersAsync();
  expect((await over).state).toBe("done");
  expect(heard).toEqual([3, 6]);
});

it("stops it when nobody waits any more", async () => {
  answers.mockReturnValue(run("running"));
  const waiting = new AbortController();
  const over = runToEnd("m", body, waiting.signal, () => {});
  await vi.advanceTimersByTimeAsync(1);
  const refused = expect(over).rejects.toThrow();
  waiting.abort();
  await refused;
  await vi.runAllTimersAsync();
  expect(answers).toHaveBeenLastCalledWith("DELETE", "/api/maps/m/runs/r1");
});

it("says why it failed", async () => {
  answers.mockReturnValueOnce(run("failed", { failure: "The map goes round too slowly." }));
  await expect(runToEnd("m", body, new AbortController().signal, () => {})).rejects.toThrow("too slowly");
});
