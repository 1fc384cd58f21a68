import { expect, it } from "vitest";
import { pairInWords } from "./pair";

const PAIR = { you: "Wren", they: "Bram", weightGap: 29, heightGap: 17, level: "novice", injuries: [] };

it.each([
  [PAIR, "Wren under Bram, 29 kg heavier and 17 cm taller"],
  [{ ...PAIR, weightGap: -29.4, heightGap: -17 }, "Wren under Bram, 29 kg lighter and 17 cm shorter"],
  [{ ...PAIR, weightGap: 0, heightGap: undefined }, "Wren under Bram"],
  [
    { ...PAIR, heightGap: 0, injuries: ["knee", "lower-back"] },
    "Wren under Bram, 29 kg heavier, mind the knee and the lower back",
  ],
])("says a pair as one says it", (pair, words) => {
  expect(pairInWords(pair)).toBe(words);
});
