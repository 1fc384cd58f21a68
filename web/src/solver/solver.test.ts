import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { Stand } from "../test/standInWorker";

type Solving = typeof import("./solver");

let solving: Solving;
const MAP = { id: "house", revision: 4 };

beforeEach(async () => {
  vi.resetModules();
  vi.stubGlobal("Worker", Stand);
  solving = await import("./solver");
});
afterEach(() => vi.unstubAllGlobals());

const packed = (figures: number[], marks: number[], texts: string[]) => ({
  figures: Float64Array.from(figures),
  marks: Int32Array.from(marks),
  texts,
});

async function brought(revision = 4): Promise<Stand> {
  const ready = solving.bring(MAP);
  Stand.last!.say({ value: { revision } });
  expect(await ready).toBe(revision);
  return Stand.last!;
}

test("a map that was brought is solved here, in the server's words and to its decimals", async () => {
  expect(solving.solverOf(MAP)).toBeUndefined();
  const worker = await brought();
  const odds = solving.solverOf(MAP)!.overview({ read: 0.25, late: 0, aim: undefined });
  expect(worker.asked.at(-1)).toMatchObject({ call: "overview", with: [{ read: 0.25, late: 0 }] });
  expect(Object.keys((worker.asked.at(-1) as { with: object[] }).with[0]!)).toEqual(["read", "late"]);
  worker.say({
    value: packed([0.5, 0.1234567891234, 0.2, 0.3, 0.4], [1, 0, 1], ["mount", "bridge", ""]),
  });
  expect(await odds).toEqual({
    ...{ revision: 4, start: 0.5, converged: true },
    situations: {
      mount: {
        ...{ worth: 0.123456789, guardOrBetter: 0.2, reversal: 0.3, tap: 0.4 },
        ...{ best: "bridge", stop: false, usable: true },
      },
    },
  });
});

test("what is there or on its way is not brought again", async () => {
  const first = solving.bring(MAP);
  expect(solving.bring(MAP)).toBe(first);
  Stand.last!.say({ value: { revision: 4 } });
  await first;
  await solving.bring(MAP);
  expect(Stand.last!.asked).toHaveLength(1);
});

test("another revision than the one on screen is the server's to solve", async () => {
  await brought(5);
  expect(solving.solverOf(MAP)).toBeUndefined();
  expect(solving.solverOf({ id: "house", revision: 5 })).toBeDefined();
  expect(solving.solverOf({ id: "other", revision: 5 })).toBeUndefined();
});

test("a map that another one overtook is not taken for it", async () => {
  const first = solving.bring(MAP);
  const second = solving.bring({ id: "other", revision: 1 });
  Stand.last!.say({ value: { revision: 4 } }, 0);
  await first;
  expect(solving.solverOf(MAP)).toBeUndefined();
  Stand.last!.say({ value: { revision: 1 } }, 1);
  await second;
  expect(solving.solverOf({ id: "other", revision: 1 })).toBeDefined();
});

test("a map that cannot be had leaves the server to answer, and may be brought later", async () => {
  const ready = solving.bring(MAP);
  Stand.last!.say({ failed: "No map was handed over: 403" });
  expect(await ready).toBeUndefined();
  expect(solving.solverOf(MAP)).toBeUndefined();
  await brought();
  expect(solving.solverOf(MAP)).toBeDefined();
});

test("a worker that stops leaves nobody waiting, and is begun anew", async () => {
  const worker = await brought();
  const told = vi.fn();
  solving.onBrought(told);
  const odds = solving.solverOf(MAP)!.odds({});
  worker.fail();
  await expect(odds).rejects.toThrow("The worker has stopped.");
  expect(worker.isEnded).toBe(true);
  expect(told).toHaveBeenCalled();
  expect(solving.solverOf(MAP)).toBeUndefined();
  await brought();
  expect(Stand.last).not.toBe(worker);
});

test("what is wrong with a question is told as the server tells it", async () => {
  const worker = await brought();
  const preview = solving.solverOf(MAP)!.preview([], {});
  worker.say({ problems: [{ place: "/seconds", message: "It must lie between 0 and 30." }] });
  await expect(preview).rejects.toMatchObject({
    problem: { status: 400, detail: "It must lie between 0 and 30." },
  });
});
