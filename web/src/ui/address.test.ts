import { expect, it } from "vitest";
import { numberOf, rewritten } from "./address";

it("writes some names and leaves the others", () => {
  const now = new URLSearchParams("read=0.25&stance=a&stance=b&late=1");
  expect(rewritten(now, { late: undefined, stance: ["c", "d"], from: "low", most: 3 }).toString()).toBe(
    "read=0.25&stance=c&stance=d&from=low&most=3",
  );
  expect(rewritten(now, { stance: [] }).has("stance")).toBe(false);
  expect(rewritten(now, { new: "" }).toString()).toContain("new=");
  expect(now.toString(), "what is written is a new one").toBe("read=0.25&stance=a&stance=b&late=1");
});

it("takes a number within its range, and what is usual for any other", () => {
  const params = new URLSearchParams("read=0.4&late=99&arm=abc&none=&low=-1&no=NaN");
  const range = { min: 0, max: 1, usual: 0.25 };
  expect(numberOf(params, "read", range)).toBe(0.4);
  for (const name of ["late", "arm", "none", "low", "no", "missing"])
    expect(numberOf(params, name, range), name).toBe(0.25);
});
