import { expect, it } from "vitest";
import { rewritten } from "./address";

it("writes some names and leaves the others", () => {
  const now = new URLSearchParams("read=0.25&stance=a&stance=b&late=1");
  expect(rewritten(now, { late: undefined, stance: ["c", "d"], from: "low", most: 3 }).toString()).toBe(
    "read=0.25&stance=c&stance=d&from=low&most=3",
  );
  expect(rewritten(now, { stance: [] }).has("stance")).toBe(false);
  expect(rewritten(now, { new: "" }).toString()).toContain("new=");
  expect(now.toString(), "what is written is a new one").toBe("read=0.25&stance=a&stance=b&late=1");
});
