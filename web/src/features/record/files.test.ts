import { describe, expect, it } from "vitest";
import { addsInWords, leftInWords, opened, type Preview } from "./files";

const NOTHING: Preview = {
  rounds: 0,
  repetitions: 0,
  attendances: 0,
  readings: 0,
  gates: 0,
  keeps: 0,
  voids: 0,
  known: 0,
  others: 0,
  loose: 0,
  strangers: [],
};

describe("a file of the record", () => {
  it("is lines or a table by its ending", async () => {
    expect(await opened(new File(["a"], "Term.JSONL"))).toEqual({
      name: "Term.JSONL",
      format: "lines",
      text: "a",
    });
    expect((await opened(new File(["a"], "term.csv"))).format).toBe("table");
    expect((await opened(new File(["a"], "x".repeat(200) + ".csv"))).name).toHaveLength(90);
  });

  it("says what it would add, and what not", () => {
    expect(addsInWords(NOTHING)).toBe("");
    expect(addsInWords({ ...NOTHING, rounds: 1200 })).toBe("1,200 rounds");
    expect(addsInWords({ ...NOTHING, rounds: 1, attendances: 2, gates: 1 })).toBe(
      "1 round, 2 attendances and 1 decision on a gate",
    );
    expect(leftInWords(NOTHING)).toEqual([]);
    expect(leftInWords({ ...NOTHING, known: 1, loose: 2 })).toEqual([
      "1 event is in the record already.",
      "2 events take out others that are nowhere.",
    ]);
  });
});
