import { describe, expect, it } from "vitest";
import { drawnOf, faultsInWords, frameIn, grown, jointInWords, withShape, type Drawn } from "./postures";

function drawn(middle: [number, number], size: [number, number]): Drawn {
  return {
    drawing: { width: size[0], height: size[1], ground: "", pieces: [] },
    middle: { x: middle[0], y: middle[1] },
    handles: [],
    faults: { overlap: 0, degrees: 0 },
    let: [],
    whole: false,
  };
}

describe("a posture under the hand", () => {
  it("takes the shape that came back and keeps what is typed", () => {
    expect(
      withShape(
        { title: "High", says: "Typed.", base: "low", move: { you: {} }, near: "left" },
        { title: "Posture", says: "The base’s.", you: {}, they: {}, mat: ["you.head"] },
      ),
    ).toEqual({ title: "High", says: "Typed.", near: "left", you: {}, they: {}, mat: ["you.head"] });
    expect(withShape({ title: "High" }, { title: "Posture", says: "The base’s." }).says).toBe("The base’s.");
  });

  it("is drawn the same whatever it is called", () => {
    const parts = (title: string) => [{ list: "postures" as const, id: "a", part: { title, says: title } }];
    expect(JSON.stringify(drawnOf(parts("One"), "a"))).toBe(JSON.stringify(drawnOf(parts("Two"), "a")));
  });

  it("stays where it is while the picture grows on one side", () => {
    const first = drawn([100, 200], [400, 300]);
    const room = grown(undefined, first);
    // A hand reaches 50 further to the left: everything is 50 further from the left edge, and the room grows by that.
    const wider = drawn([150, 200], [450, 300]);
    const next = grown(room, wider);
    expect(frameIn(next, wider).width).toBe(frameIn(room, first).width + 50);
    expect(grown(next, first)).toBe(next);
    // The middle of the mat lies at the same place of the frame in both pictures.
    expect(100 - frameIn(next, first).x).toBe(150 - frameIn(next, wider).x);
  });

  it("names joints and faults in words", () => {
    expect(jointInWords("they.hand-left")).toBe("their left hand");
    expect(jointInWords("you.upper-arm-right")).toBe("your right upper arm");
    expect(jointInWords("you.head")).toBe("your head");
    expect(faultsInWords({ overlap: 0.4, degrees: 3, joint: "you.knee-left" })).toEqual([]);
    expect(
      faultsInWords({
        overlap: 2.4,
        overlapping: "you.head and they.hand-right",
        degrees: 17,
        joint: "you.knee-left",
      }),
    ).toEqual(["your head and their right hand go 2 cm into each other", "your left knee turns 17° too far"]);
  });
});
