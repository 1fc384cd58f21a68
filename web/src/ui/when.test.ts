import { expect, it } from "vitest";
import { dayInWords, whenInWords } from "./when";

const NOW = new Date(2026, 10, 27, 8, 0);

it.each([
  [new Date(2026, 10, 27, 7, 30), /^today .*7.*30/],
  [new Date(2026, 10, 26, 23, 59), /^yesterday .*59/],
  [new Date(2026, 10, 25, 23, 59), /25.*2026.*59/],
  // A clock that is a little ahead of this one.
  [new Date(2026, 10, 27, 8, 2), /^today/],
])("tells %s by the day", (at, words) => {
  expect(whenInWords(at.toISOString(), NOW)).toMatch(words);
});

it("tells a day as it was written, west of Greenwich as well", () => {
  expect(dayInWords("2014-09-01")).toBe(dayInWords(new Date(2014, 8, 1, 12).toISOString()));
});
