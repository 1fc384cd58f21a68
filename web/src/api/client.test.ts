import { expect, it } from "vitest";
import { ApiError, isForLater, isLost, unwrap } from "./client";

const problem = (status: number, title: string) => new ApiError({ status, title, detail: "" });

it.each([
  [problem(0, "No connection"), true],
  [problem(401, "Not signed in"), true],
  [problem(403, "Not allowed"), true],
  [problem(403, "Not yours to do"), false],
  [problem(404, "Not found"), false],
  [problem(422, "Refused"), false],
  [problem(429, "Too much"), true],
  [problem(503, "Busy"), true],
  [new TypeError("the network went"), true],
])("keeps for later what a later try can mend", (error, later) => {
  expect(isForLater(error)).toBe(later);
});

const answered = (status: number, error: unknown) =>
  unwrap(Promise.resolve({ error, response: new Response(null, { status }) })).catch((e: unknown) => e);

it.each([502, 503, 504])("a proxy's %i is a line that was cut", async (status) => {
  expect(isLost(await answered(status, "<html><body>Bad gateway</body></html>"))).toBe(true);
});

it("the server's own words are passed on", async () => {
  const busy = await answered(503, { status: 503, title: "The disk is full", detail: "There is no room." });
  expect(isLost(busy)).toBe(false);
  expect(busy).toMatchObject({ problem: { title: "The disk is full" } });
});

it.each([null, "", undefined, 5])("what gives no reason is refused all the same (%s)", async (error) => {
  expect(await answered(500, error)).toMatchObject({ problem: { status: 500, title: "Refused" } });
});
