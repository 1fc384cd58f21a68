import { render, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { difference, Gate, Odds, postWidth } from "./Gate";

describe("a gate", () => {
  it("is closed at 0, open at 100, and half way between", () => {
    expect(postWidth(0)).toBe(50);
    expect(postWidth(1)).toBe(0);
    expect(postWidth(0.5)).toBe(25);
  });

  it("never draws posts wider than the lane", () => {
    expect(postWidth(-0.2)).toBe(50);
    expect(postWidth(1.2)).toBe(0);
  });
});

describe("its posts", () => {
  const posts = (worth: number) => {
    const { container } = render(<Gate worth={worth} />);
    return [...container.querySelectorAll<HTMLElement>(".gate-post")].map((post) => post.style.width);
  };

  it("leave the middle open, as wide as the odds", () => {
    expect(posts(0.4)).toEqual(["30%", "30%"]);
    expect(posts(1)).toEqual(["0%", "0%"]);
    expect(posts(0)).toEqual(["50%", "50%"]);
  });

  it("says nothing to a screen reader, for the number stands beside it", () => {
    const { container } = render(<Gate worth={0.4} />);
    expect(container.firstElementChild).toHaveAttribute("aria-hidden", "true");
  });
});

describe("the number beside it", () => {
  it("is always of 100", () => {
    render(<Odds worth={0.523} />);
    expect(screen.getByText("52")).toBeInTheDocument();
    expect(screen.queryByText(/was/)).toBeNull();
  });

  it("shows by how much it differs only where the shown number does", () => {
    const { rerender } = render(<Odds worth={0.523} by={difference(0.441, 0.523)} />);
    expect(screen.getByText("(+8)")).toBeInTheDocument();
    rerender(<Odds worth={0.523} by={difference(0.519, 0.523)} />);
    expect(screen.queryByText(/\(/)).toBeNull();
    expect(difference(0.6, 0.52)).toBe("−8");
  });
});
