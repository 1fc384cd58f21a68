import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { Stand } from "../test/standInWorker";

type Hand = typeof import("./hand");

let hand: Hand;

beforeEach(async () => {
  vi.resetModules();
  vi.stubGlobal("Worker", Stand);
  hand = await import("./hand");
});
afterEach(() => vi.unstubAllGlobals());

const LIES = { id: "mount" };
const MOVE = { joint: "they.hand-left", right: -80, up: 30, towards: 0 };
const NOTHING = { figures: new Float64Array(), marks: new Int32Array(), texts: [] };

async function quick() {
  hand.expectHand(LIES);
  Stand.last!.say({ value: NOTHING });
  await Promise.resolve();
}

test("until the worker is quick the server is asked", async () => {
  expect(await hand.underTheHand(LIES, MOVE)).toBeUndefined();
  hand.expectHand(LIES);
  hand.expectHand(LIES);
  expect(Stand.last!.asked).toEqual([{ number: 1, call: "warm", with: [LIES] }]);
  expect(await hand.underTheHand(LIES, MOVE)).toBeUndefined();
});

test("then the worker is, in statures, and what it says is as the server would say it", async () => {
  await quick();
  const seen = hand.underTheHand(LIES, MOVE);
  expect(Stand.last!.asked.at(-1)).toEqual({
    ...{ number: 2, call: "moved" },
    with: [LIES, "they.hand-left", -0.08, 0.03, 0],
  });
  Stand.last!.say({
    value: {
      figures: Float64Array.of(0.55, 1.25, 0),
      marks: Int32Array.of(900, 700, 1, 1, 3, 450, 600, 1, 120, 80, 1),
      texts: [
        ...["M1 2l3 4", "hand-left", "M0 0l9 9z", "M0 0l9 9", "", ""],
        ...["they.hand-left", "you.head and they.head", "", "they.hand-left mat"],
      ],
    },
  });
  expect(await seen).toEqual({
    drawing: {
      ...{ width: 900, height: 700, ground: "M1 2l3 4" },
      pieces: [
        {
          ...{ who: "they", name: "hand-left", part: "left-arm" },
          ...{ fill: "M0 0l9 9z", line: "M0 0l9 9", seen: 0.55 },
        },
      ],
    },
    middle: { x: 450, y: 600 },
    handles: [{ joint: "they.hand-left", x: 120, y: 80 }],
    faults: { overlap: 1.25, overlapping: "you.head and they.head", degrees: 0 },
    let: ["they.hand-left mat"],
    whole: false,
  });
});

test("what it refuses is said, and what it cannot do is asked of the server", async () => {
  await quick();
  const refused = hand.underTheHand(LIES, MOVE);
  Stand.last!.say({ problems: [{ place: "", message: "A waist cannot be taken hold of." }] });
  await expect(refused).rejects.toThrow("A waist cannot be taken hold of.");
  const failed = hand.underTheHand(LIES, MOVE);
  Stand.last!.say({ failed: "TypeError" });
  expect(await failed).toBeUndefined();
});

test("a worker that ended is started anew for the next posture", async () => {
  await quick();
  Stand.last!.fail();
  expect(await hand.underTheHand(LIES, MOVE)).toBeUndefined();
  const ended = Stand.last!;
  hand.expectHand(LIES);
  expect(Stand.last).not.toBe(ended);
  expect(ended.isEnded).toBe(true);
});
