import { afterEach, expect, it, vi } from "vitest";
import { eventsIn, follow } from "./stream";

afterEach(() => vi.unstubAllGlobals());

it("takes whole events from pieces that are cut anywhere", () => {
  const first = eventsIn('event:mat\ndata:{"a":1}\n\nevent:ma');
  expect(first.events).toEqual([{ event: "mat", data: '{"a":1}' }]);
  const second = eventsIn(`${first.rest}t\ndata:{}\n\n`);
  expect(second).toEqual({ events: [{ event: "mat", data: "{}" }], rest: "" });
});

function streamOf(text: string): Response {
  return new Response(
    new ReadableStream({
      start(controller) {
        controller.enqueue(new TextEncoder().encode(text));
        controller.close();
      },
    }),
    { headers: { "Content-Type": "text/event-stream" } },
  );
}

it("takes a line up again that was cut, and lets go where it is refused for good", async () => {
  vi.useFakeTimers();
  const answers = [
    streamOf("event:mat\ndata:1\n\n"),
    new Response("", { status: 503 }),
    streamOf("event:mat\ndata:2\n\n"),
    new Response("", { status: 404 }),
  ];
  const asked = vi.fn(() => Promise.resolve(answers.shift()!));
  vi.stubGlobal("fetch", asked);
  const heard: string[] = [];
  const stands: boolean[] = [];
  const done = follow(
    "/events",
    { token: "t" },
    (one) => heard.push(one.data),
    (is) => stands.push(is),
    new AbortController().signal,
  );
  await vi.runAllTimersAsync();
  await done;
  vi.useRealTimers();
  expect(heard).toEqual(["1", "2"]);
  expect(stands).toEqual([true, false, false, true, false]);
  expect(asked).toHaveBeenCalledTimes(4);
});
