import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import { partOf, type DrawnPicture } from "./parts";
import { heldInWords, TwoBodies } from "./TwoBodies";

const piece = (who: "you" | "they", name: string, part: string, seen = 1) => ({
  who,
  name,
  part,
  fill: "M0 0l10 0l0 10z",
  line: "M0 0l10 0",
  seam: who === "you" ? "M0 0l5 5" : undefined,
  seen,
});

const picture = {
  title: "Low",
  says: "They sit low.",
  near: "right",
  drawing: "low",
  swapped: false,
  width: 100,
  height: 80,
  ground: "M0 70l50 0",
  pieces: [
    piece("you", "chest", "trunk", 0.1),
    piece("you", "upper-arm-right", "right-arm"),
    piece("you", "thumb-right", "right-arm"),
    piece("they", "chest", "trunk"),
    piece("they", "nose", "head"),
  ],
} as unknown as DrawnPicture;

const fills = (container: HTMLElement, segment: string) =>
  [...container.querySelectorAll(`[data-segment="${segment}"] path[fill]`)].map((p) =>
    p.getAttribute("fill"),
  );

describe("two bodies", () => {
  it("near and far are told by the side on which they are", () => {
    expect(partOf("near-arm", "right")).toBe("right-arm");
    expect(partOf("far-leg", "right")).toBe("left-leg");
    expect(partOf("near-leg", undefined)).toBe("left-leg");
    expect(partOf("hips", "left")).toBe("hips");
  });

  it("what is held is green, of the bottom player only, and has its line where it hangs together", () => {
    const { container } = render(
      <TwoBodies picture={picture} held={{ "near-arm": "their knee" }} says="Low" width={300} />,
    );
    expect(fills(container, "near-arm")).toEqual(["var(--green)", "var(--green)"]);
    expect(fills(container, "trunk")).toEqual(["var(--body-you)"]);
    expect(container.querySelectorAll('path[d="M0 0l5 5"]')).toHaveLength(2);
    expect(screen.getByRole("img", { name: "Low" })).toBeVisible();
  });

  it("what is held and hidden is drawn over all in broken lines", () => {
    const { container, rerender } = render(
      <TwoBodies picture={picture} held={{ trunk: "their chest" }} says="" width={300} />,
    );
    expect(container.querySelectorAll("[stroke-dasharray]")).toHaveLength(1);
    expect(container.querySelector("text")?.textContent).toBe("trunk");
    rerender(<TwoBodies picture={picture} held={{ trunk: "their chest" }} says="" width={110} />);
    expect(container.querySelector("text")).toBeNull();
    rerender(<TwoBodies picture={picture} held={{ "near-arm": "a hand" }} says="" width={300} />);
    expect(container.querySelectorAll("[stroke-dasharray]")).toHaveLength(0);
  });

  it("small, it leaves out what would be a speck; beside words it is silent", () => {
    const { container } = render(<TwoBodies picture={picture} held={{}} says="" width={48} />);
    expect(container.querySelectorAll("g")).toHaveLength(3);
    expect(screen.queryByRole("img")).toBeNull();
  });

  it("a part that is pressed is told, and what nothing is known of has broken lines", async () => {
    const pick = vi.fn();
    const { container } = render(
      <TwoBodies picture={picture} free={["trunk"]} onPick={pick} says="To mark" width={300} />,
    );
    await userEvent.click(container.querySelector('[data-segment="near-arm"]')!);
    expect(pick).toHaveBeenCalledWith("near-arm");
    expect(container.querySelectorAll('[data-segment="near-arm"] [stroke-dasharray]')).not.toHaveLength(0);
    expect(container.querySelectorAll('[data-segment="trunk"] [stroke-dasharray]')).toHaveLength(0);
  });

  it("stands in the room it is given, on the same ground as its neighbours", () => {
    const { container } = render(
      <TwoBodies picture={picture} box={{ width: 140, height: 100 }} says="" width={110} />,
    );
    expect(container.querySelector("svg")?.getAttribute("viewBox")).toBe("-20 -20 140 100");
  });

  it("has marks on the mat below the bodies and marks over them, and then no outline of what is hidden", () => {
    const { container } = render(
      <TwoBodies
        picture={picture}
        held={{ trunk: "their chest" }}
        under={<path data-testid="tape" />}
        over={<path data-testid="edge" />}
        says=""
        width={300}
      />,
    );
    const order = [...container.querySelectorAll("svg > *")].map(
      (e) => e.getAttribute("data-testid") ?? e.tagName,
    );
    expect(order.indexOf("tape")).toBeLessThan(order.indexOf("g"));
    expect(order.at(-1)).toBe("edge");
    expect(container.querySelectorAll("[stroke-dasharray]")).toHaveLength(0);
  });

  it("says what is held and what is free", () => {
    expect(heldInWords({ head: "their arm" })).toBe(
      "Held: head. Free: near arm, far arm, trunk, hips, near leg, far leg.",
    );
  });
});
