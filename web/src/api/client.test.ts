import { expect, it } from "vitest";
import { ApiError, isForLater } from "./client";

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
