import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { ApiError } from "../../api/client";
import type { Mat, Press } from "./clock";
import { EVENING, part, step } from "./evening";
import { useMat } from "./useMat";

const FIRST: Mat = {
  ...EVENING,
  version: 3,
  parts: [part("talk", "talk", [step(1, "talk", 60), step(2, "talk", 60)])],
};

const NO_NETWORK = new ApiError({ status: 0, title: "No connection", detail: "" });

let line: ReadableStreamDefaultController<Uint8Array>;

beforeEach(() => {
  vi.stubGlobal("fetch", () =>
    Promise.resolve(
      new Response(
        new ReadableStream<Uint8Array>({
          start: (controller) => {
            line = controller;
          },
        }),
      ),
    ),
  );
});

afterEach(() => vi.unstubAllGlobals());

function heard(event: string, data: object) {
  line.enqueue(new TextEncoder().encode(`event:${event}\ndata:${JSON.stringify(data)}\n\n`));
}

/** A followed class, with every state that it was ever shown in. */
function mat(send: (press: Press) => Promise<Mat>) {
  const shown: Mat["state"][] = [];
  const { result } = renderHook(() => {
    const held = useMat(FIRST, { events: "/events", body: {}, send });
    shown.push(held.mat.state);
    return held;
  });
  return { held: result, shown };
}

it("shows a press at once, and says nothing of the network while it is on its way", async () => {
  let answer: (mat: Mat) => void = () => {};
  const { held } = mat(() => new Promise((done) => (answer = done)));
  act(() => held.current.steer("stop"));
  expect(held.current.mat.state).toBe("stopped");
  expect(held.current.isConnected).toBe(true);
  await act(async () => {
    answer({ ...FIRST, version: 4, state: "stopped" });
    await Promise.resolve();
  });
  expect(held.current.waiting).toBe(0);
});

it("keeps what the stream says while a press is on its way, and shows whichever is newer", async () => {
  let answer: (mat: Mat) => void = () => {};
  const { held, shown } = mat(() => new Promise((done) => (answer = done)));
  act(() => held.current.steer("stop"));
  heard("mat", { ...FIRST, version: 5, title: "With a break", state: "running" });
  await act(async () => {
    answer({ ...FIRST, version: 4, state: "stopped" });
    await Promise.resolve();
  });
  await vi.waitFor(() => expect(held.current.mat.title).toBe("With a break"));
  heard("stand", { version: 4, state: "over", step: 1, left: 0, ran: 0, here: 2, now: FIRST.now });
  heard("stand", { version: 6, state: "stopped", step: 2, left: 0, ran: 0, here: 2, now: FIRST.now });
  await vi.waitFor(() => expect(held.current.mat.step).toBe(2));
  expect(shown, "what is older than what is shown").not.toContain("over");
});

it("waits for the network with what was pressed", async () => {
  const sent = vi.fn((press: Press) =>
    Promise.resolve({ ...FIRST, version: 4, state: "stopped" as const, step: press.step }),
  );
  sent.mockRejectedValueOnce(NO_NETWORK);
  const { held } = mat(sent);
  await act(async () => {
    held.current.steer("stop");
    await Promise.resolve();
  });
  expect(held.current).toMatchObject({ isConnected: false, waiting: 1 });
  await act(async () => {
    window.dispatchEvent(new Event("online"));
    await Promise.resolve();
  });
  expect(held.current).toMatchObject({ isConnected: true, waiting: 0 });
  expect(sent.mock.calls[1]![0].id).toBe(sent.mock.calls[0]![0].id);
});

it("starts anew with a class that is laid out again", async () => {
  const { held } = mat(() => Promise.resolve(FIRST));
  await vi.waitFor(() => expect(line).toBeDefined());
  heard("away", {});
  await vi.waitFor(() => expect(held.current.gone).toBe("off"));
  heard("mat", { ...FIRST, version: 1, state: "ready" });
  await vi.waitFor(() => expect(held.current.mat.state).toBe("ready"));
  expect(held.current.gone).toBeUndefined();
});
