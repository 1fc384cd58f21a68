import { describe, expect, it } from "vitest";
import { draftOf, readDraft } from "./Fields";

describe("a likelihood as it is typed", () => {
  it("is a word or a number", () => {
    expect(readDraft({ word: "often", number: "3" }, false)).toEqual({ word: "often" });
    expect(readDraft({ word: "", number: "2,5" }, false)).toEqual({ number: 2.5 });
  });

  it.each(["", " ", "-1", "1.2", "NaN", "much", "1e9"])("refuses %j as a chance", (number) => {
    expect(readDraft({ word: "", number }, true)).toBe("Write a number from 0 to 1.");
  });

  it.each(["", "0", "-1", "NaN", "1e9"])("refuses %j as a weight", (number) => {
    expect(readDraft({ word: "", number }, false)).toBe("Write a number above 0.");
  });

  it("comes back from the map as it was given", () => {
    expect(draftOf({ number: 0.35 })).toEqual({ word: "", number: "0.35" });
    expect(draftOf({ word: "rarely" })).toEqual({ word: "rarely", number: "" });
    expect(draftOf(undefined).word).toBe("sometimes");
  });
});
