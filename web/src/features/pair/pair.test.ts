import { expect, it } from "vitest";
import { gapsInWords, pairInWords, roomInWords, thirdOf } from "./pair";

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

it("says oneself and a third of the room as one says it", () => {
  const room = {
    thirds: [{ third: "heavier" as const, weightGap: 25, heightGap: undefined }],
    injuries: ["neck"],
  };
  expect(roomInWords(room, "heavier")).toBe("You under the heavier third, 25 kg heavier, mind the neck");
  expect(roomInWords(room, "lighter")).toBe("You under the lighter third, mind the neck");
});

it("says of two in nobody’s name only what is between them", () => {
  expect(gapsInWords(PAIR)).toBe("29 kg heavier and 17 cm taller");
  expect(gapsInWords({})).toBe("");
});

it("reads no third from an address that names none", () => {
  expect(["lighter", "strongest", "", null].map(thirdOf)).toEqual([
    "lighter",
    undefined,
    undefined,
    undefined,
  ]);
});
