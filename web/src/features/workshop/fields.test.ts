import { describe, expect, it } from "vitest";
import { BLANK, FIELDS, inWordsOfTheForm, REACTION_FIELDS } from "./fields";
import { PART_LISTS } from "../../model/partKinds";

describe("the fields", () => {
  it("are there for every kind of part, each name once", () => {
    for (const list of PART_LISTS) {
      const names = FIELDS[list].map((f) => f.name);
      expect(new Set(names).size).toBe(names.length);
      for (const name of Object.keys(BLANK[list])) expect(names).toContain(name);
    }
  });
});

describe("what the server says", () => {
  it("is said in the words of the form", () => {
    expect(inWordsOfTheForm("“entry” is -4; it must lie between 0 and 1000.")).toBe(
      "“Rounds start here” is -4; it must lie between 0 and 1000.",
    );
    expect(inWordsOfTheForm("“technique” is missing.", REACTION_FIELDS)).toBe("“What you do” is missing.");
    expect(inWordsOfTheForm("“ask” is empty.")).toBe("“What if they” is empty.");
    expect(inWordsOfTheForm("“from” is -4.", FIELDS.facts)).toBe("“and holds from” is -4.");
    expect(inWordsOfTheForm("“from” is missing.", FIELDS.reactions)).toBe("“In” is missing.");
  });

  it("stays as it is where the form has no such name", () => {
    expect(inWordsOfTheForm("No situation is called “moon”.")).toBe("No situation is called “moon”.");
  });
});
