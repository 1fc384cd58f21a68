import { expect, it } from "vitest";
import { ApiError } from "../api/client";
import { isOut, together } from "./Waiting";

const error = (status: number) => new ApiError({ status, title: "No", detail: "It did not work." });
const asked = (data: string | undefined, status?: number) => ({
  data,
  isError: status !== undefined,
  error: status === undefined ? null : error(status),
  refetch: () => undefined,
});

it.each([0, 401, 429, 503])("keeps what came before where only the way to it is lost (%i)", (status) => {
  expect(isOut(asked("the map", status))).toBe(false);
  expect(together({ map: asked("the map", status) }).data).toEqual({ map: "the map" });
});

it.each([403, 404, 409])("shows no longer what is refused now (%i)", (status) => {
  expect(isOut(asked("the map", status))).toBe(true);
  expect(together({ map: asked("the map", status) }).data).toBeUndefined();
});

it.each([0, 401, 404])("has nothing to show where nothing ever came (%i)", (status) => {
  expect(isOut(asked(undefined, status))).toBe(true);
});

it("waits for everything it asked for", () => {
  expect(isOut(asked(undefined))).toBe(false);
  expect(together({ map: asked("the map"), odds: asked(undefined) }).data).toBeUndefined();
  expect(together({ map: asked("the map"), odds: asked("the odds") }).data).toEqual({
    map: "the map",
    odds: "the odds",
  });
});
