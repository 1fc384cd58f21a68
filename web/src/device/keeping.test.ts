import { expect, it } from "vitest";
import { addressAsKept, mayBeKept } from "./keeping";

const answer = (status: number, headers: Record<string, string> = {}) =>
  new Response("{}", { status, headers });

it("keeps what the server says may be kept, and nothing that it says nothing of", () => {
  expect(mayBeKept(answer(200, { Keepable: "device" }))).toBe(true);
  expect(mayBeKept(answer(200, { "Cache-Control": "no-cache, private" }))).toBe(false);
  expect(mayBeKept(answer(200))).toBe(false);
  expect(mayBeKept(answer(404, { Keepable: "device" }))).toBe(false);
});

it("keeps what is asked for anew every day under one address, and everything else under its own", () => {
  const at = "https://gym.example/api/maps/m";
  expect(addressAsKept(`${at}/classes?from=2026-01-01&until=2026-03-01`)).toBe(`${at}/classes`);
  expect(addressAsKept(`${at}/classes/c?today=2026-01-01&kept=true`)).toBe(`${at}/classes/c`);
  expect(addressAsKept("https://gym.example/api/people?kept=true")).toBe("https://gym.example/api/people");
  expect(addressAsKept(`${at}/readings/deck?read=0.3&late=1&seed=7`)).toBe(`${at}/readings/deck?seed=7`);
  expect(addressAsKept(`${at}/odds/overview?read=0.3&late=1`)).toBe(`${at}/odds/overview?read=0.3&late=1`);
  expect(addressAsKept(`${at}/classes/c/mat?today=1`)).toBe(`${at}/classes/c/mat?today=1`);
});
