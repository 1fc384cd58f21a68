import { expect, it } from "vitest";
import description from "../../api/openapi.json";
import { RIGHTS } from "./rights";

it("knows every right that an address of the server needs", () => {
  const asked = Object.values(description.paths)
    .flatMap((path) => Object.values(path as Record<string, { "x-right"?: string }>))
    .map((operation) => operation["x-right"])
    .filter((right) => right !== undefined);
  expect(asked.length).toBeGreaterThan(80);
  expect(RIGHTS).toEqual(expect.arrayContaining([...new Set(asked)]));
});
