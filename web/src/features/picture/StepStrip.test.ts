import { describe, expect, it } from "vitest";
import { shared } from "./StepStrip";

describe("steps under pictures", () => {
  it("fall to the pictures in order, none lost and none twice", () => {
    for (let n = 0; n <= 9; n++) {
      const steps = Array.from({ length: n }, (_, i) => i);
      const parts = shared(steps, 4);
      expect(parts).toHaveLength(4);
      expect(parts.flat()).toEqual(steps);
      expect(Math.max(...parts.map((p) => p.length)) - Math.min(...parts.map((p) => p.length))).toBeLessThan(
        2,
      );
    }
  });
});
