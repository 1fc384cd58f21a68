import { render, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { Gate, Odds, postWidth } from "./Gate";

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

describe("its opening", () => {
  const opening = (worth: number) => {
    const { container } = render(<Gate worth={worth} />);
    const { left, right } = container.querySelector<HTMLElement>(".gate-gap")!.style;
    return [left, right];
  };

  it("lies in the middle, as wide as the odds", () => {
    expect(opening(0.4)).toEqual(["30%", "30%"]);
    expect(opening(1)).toEqual(["0%", "0%"]);
    expect(opening(0)).toEqual(["50%", "50%"]);
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

  it("shows what it was only when the shown number changed", () => {
    const { rerender } = render(<Odds worth={0.523} was={0.441} />);
    expect(screen.getByText("was 44")).toBeInTheDocument();
    rerender(<Odds worth={0.523} was={0.519} />);
    expect(screen.queryByText(/was/)).toBeNull();
  });
});
