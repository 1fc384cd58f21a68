import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { pictureAt } from "./pictures";

const pictures = {
  places: { low: "mount-low", over: "top" },
  pictures: {
    "mount-low": { title: "Low", says: "They sit low.", drawing: "mount-low", swapped: false },
    top: { title: "Top", says: "You sit low.", drawing: "mount-low", swapped: true },
  },
  drawings: {
    "mount-low": {
      width: 9,
      height: 7,
      ground: "",
      pieces: [
        { who: "you", name: "head" },
        { who: "they", name: "nose" },
      ],
    },
  },
} as unknown as Schemas["Pictures"];

describe("the picture of a place", () => {
  it("is its posture's, with what is to be painted", () => {
    expect(pictureAt(pictures, "low")).toMatchObject({ title: "Low", width: 9 });
    expect(pictureAt(pictures, "low")?.pieces.map((p) => p.who)).toEqual(["you", "they"]);
  });

  it("shares a drawing in which the two are in each other’s place", () => {
    expect(pictureAt(pictures, "over")?.pieces.map((p) => p.who)).toEqual(["they", "you"]);
    expect(pictureAt(pictures, "over")?.says).toBe("You sit low.");
  });

  it("is nothing where nobody has drawn it", () => {
    expect(pictureAt(pictures, "nowhere")).toBeUndefined();
    expect(pictureAt(undefined, "low")).toBeUndefined();
  });
});
