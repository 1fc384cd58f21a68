import { describe, expect, it } from "vitest";
import { aMap } from "../../test/aMap";
import { placeToTouch } from "./TouchPicture";

const map = aMap({
  situations: [
    { id: "undrawn", where: "astride", entry: 9 },
    { id: "high", where: "astride", entry: 1 },
    { id: "low", where: "astride", entry: 5 },
    { id: "side", where: "across", entry: 0 },
  ],
});
const drawn = { high: "a", low: "b", side: "c" };

describe("the picture to press on", () => {
  it("is the drawn place where rounds start most of those where they are there", () => {
    expect(placeToTouch(map, "astride", drawn)).toBe("low");
  });

  it("is one across the trunk while nobody has said where they are, or where none is drawn there", () => {
    expect(placeToTouch(map, "", drawn)).toBe("side");
    expect(placeToTouch(map, "behind", drawn)).toBe("side");
  });

  it("is any that there is, and none where nothing is drawn", () => {
    expect(placeToTouch(map, "", { high: "a" })).toBe("high");
    expect(placeToTouch(map, "", {})).toBeUndefined();
  });
});
