import { beforeEach, expect, it, vi } from "vitest";
import { heardAsOf, isAway, onAsOf, shownAsOf } from "./asOf";

const hear = (headers: Record<string, string>) =>
  heardAsOf.onResponse!({ response: new Response("", { headers }) } as never);
const fail = (error: unknown) => heardAsOf.onError!({ error } as never);

beforeEach(() => void hear({}));

it("tells from when the oldest of what is shown is, until the network is back", () => {
  const heard = vi.fn();
  const end = onAsOf(heard);
  void hear({ "kept-at": "2026-02-02T18:42:00.000Z" });
  void hear({ "kept-at": "2026-02-02T18:40:00.000Z" });
  void hear({ "kept-at": "2026-02-02T18:41:00.000Z" });
  expect(shownAsOf()).toBe("2026-02-02T18:40:00.000Z");
  expect(heard).toHaveBeenCalledTimes(2);
  void hear({});
  expect(shownAsOf()).toBeUndefined();
  end();
});

it("tells from now on where an answer does not come and nothing was kept, and nothing of a page that was left", () => {
  void fail(new DOMException("left", "AbortError"));
  expect(shownAsOf()).toBeUndefined();
  const before = new Date().toISOString();
  void fail(new TypeError("Failed to fetch"));
  expect(shownAsOf()! >= before).toBe(true);
});

it("takes the network for away once nothing has got through for a while", () => {
  vi.useFakeTimers();
  void fail(new TypeError("Failed to fetch"));
  expect(isAway()).toBe(false);
  vi.advanceTimersByTime(5_000);
  void fail(new TypeError("Failed to fetch"));
  expect(isAway()).toBe(true);
  void hear({});
  expect(isAway()).toBe(false);
  vi.useRealTimers();
});
