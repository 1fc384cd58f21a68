import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { Stand } from "../test/standInWorker";

type Practising = typeof import("./practice");

let practising: Practising;

beforeEach(async () => {
  vi.resetModules();
  vi.stubGlobal("Worker", Stand);
  practising = await import("./practice");
});
afterEach(() => vi.unstubAllGlobals());

const MAP = { id: "house", revision: 4 };
const brought = (number: number, revision: number) => Stand.last!.say({ value: { revision } }, number - 1);

test("the map is brought once, and cues come in the map's ids", async () => {
  const first = practising.practiceOf(MAP);
  brought(1, 4);
  await first;
  const practice = await practising.practiceOf(MAP);
  const deck = practice.deck({ read: 0.25, aim: undefined }, 7);
  expect(Stand.last!.asked.at(-1)).toEqual({ number: 2, call: "deck", with: [{ read: 0.25 }, 20, 7] });
  Stand.last!.say({
    value: {
      figures: Float64Array.of(0.1, 0.6, 0.2),
      marks: Int32Array.of(2, 1, 0),
      texts: ["low", "low-bridge", "bridge", "scoop"],
    },
  });
  expect(await deck).toEqual([
    {
      ...{ situation: "low", reaction: "low-bridge", price: 0.1 },
      choices: [
        { technique: "bridge", worth: 0.6, right: true },
        { technique: "scoop", worth: 0.2, right: false },
      ],
    },
  ]);
});

test("another revision than the one on screen is not practised on", async () => {
  const practice = practising.practiceOf(MAP);
  brought(1, 5);
  await expect(practice).rejects.toThrow("Another map or revision came.");
});

test("a map that another one overtook is not practised on", async () => {
  const first = practising.practiceOf(MAP);
  const second = practising.practiceOf({ id: "other", revision: 4 });
  brought(1, 4);
  brought(2, 4);
  await expect(first).rejects.toThrow("Another map or revision came.");
  await expect(second).resolves.toBeDefined();
});

test("a map that could not be had is asked for again", async () => {
  const first = practising.practiceOf(MAP);
  Stand.last!.say({ failed: "No map was handed over: 503" });
  await expect(first).rejects.toThrow("503");
  const again = practising.practiceOf(MAP);
  await vi.waitFor(() => expect(Stand.last!.asked).toHaveLength(2));
  brought(2, 4);
  await expect(again).resolves.toBeDefined();
});
