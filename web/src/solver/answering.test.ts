import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { answering } from "./answering";
import type { Asked, Said } from "./messages";

let said: Said[];
let ask: (asked: Asked) => void;
/** Maps that were asked for, each with the way to hand it over. */
let asked: Map<string, (revision: number) => void>;

beforeEach(() => {
  said = [];
  asked = new Map();
  vi.stubGlobal("self", {
    addEventListener: (_: string, listener: (event: { data: Asked }) => void) => {
      ask = (data) => listener({ data });
    },
    postMessage: (one: Said) => said.push(one),
  });
  vi.stubGlobal("fetch", (address: string) => {
    const id = address.split("/")[3]!;
    return new Promise<Response>((resolve) => {
      asked.set(id, (revision) => resolve(Response.json({ revision, map: id })));
    });
  });
});
afterEach(() => vi.unstubAllGlobals());

const empty = { value: { figures: new Float64Array(), marks: new Int32Array(), texts: [] } };

test("a map that comes after a later one was asked for does not take its place", async () => {
  const load = vi.fn(() => empty);
  answering({ load, calls: {} });
  ask({ number: 1, call: "bring", mapId: "old" });
  ask({ number: 2, call: "bring", mapId: "new" });
  asked.get("new")!(7);
  await vi.waitFor(() => expect(said).toEqual([{ number: 2, value: { revision: 7 } }]));
  asked.get("old")!(3);
  await vi.waitFor(() => expect(said).toHaveLength(2));
  expect(said[1]).toMatchObject({ number: 1, failed: expect.stringContaining("Another map") as string });
  expect(load.mock.calls).toEqual([["new"]]);
});

test("what is wrong is told, and so is what fails", () => {
  const problems = [{ place: "/read", message: "It must lie between 0 and 1." }];
  const fails = () => {
    throw new Error("no map");
  };
  answering({ load: () => empty, calls: { odds: () => ({ problems }), fails } });
  ask({ number: 1, call: "odds", with: [{}] });
  ask({ number: 2, call: "fails", with: [] });
  expect(said).toEqual([
    { number: 1, problems },
    { number: 2, failed: "Error: no map" },
  ]);
});
