import { expect, it } from "vitest";
import { sizesInWords } from "./people";

it("leaves out what is not known", () => {
  expect(sizesInWords({ weight: 62.04, height: undefined })).toBe("62 kg");
  expect(sizesInWords({ weight: undefined, height: undefined })).toBe("");
});
