import { render, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { BodyFigure } from "./BodyFigure";
import { capsule } from "./figure";

describe("the body figure", () => {
  it("says what is held and what is free", () => {
    render(<BodyFigure held={{ head: "their forearm", hips: "their elbow" }} />);
    expect(screen.getByRole("img")).toHaveAccessibleName(
      "Held: head, hips. Free: near arm, far arm, trunk, near leg, far leg.",
    );
  });

  it("fills every part of a held limb and only those", () => {
    const { container } = render(<BodyFigure held={{ "near-arm": "their hand" }} />);
    const held = [...container.querySelectorAll('[data-held="true"]')].map((e) =>
      e.getAttribute("data-segment"),
    );
    expect(held).toEqual(["near-arm"]);
    expect(container.querySelectorAll('[data-segment="near-arm"] path.fill-green')).toHaveLength(3);
    expect(container.querySelectorAll("path.fill-green")).toHaveLength(3);
  });

  it("draws a limb part as wide as its ends", () => {
    expect(capsule({ x: 0, y: 0 }, 5, { x: 20, y: 0 }, 5)).toBe(
      "M 0.00 5.00 A 5 5 0 0 1 0.00 -5.00 L 20.00 -5.00 A 5 5 0 1 1 20.00 5.00 Z",
    );
    expect(() => capsule({ x: 0, y: 0 }, 9, { x: 2, y: 0 }, 1)).toThrow("Impossible state");
  });
});
