import { act, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { useExplained } from "./Explained";

function Gates() {
  const { at, listeners } = useExplained();
  return (
    <div {...listeners}>
      <a href="#framed" data-situation="framed">
        Framed
      </a>
      <a href="#cupped" data-situation="cupped">
        Cupped
      </a>
      <output>{at?.situation}</output>
      <p role="tooltip">Behind the gate</p>
    </div>
  );
}

const pointerOver = (name: string, x: number) =>
  fireEvent.mouseOver(screen.getByText(name), { screenX: x, screenY: 10 });

/** The focus as it comes by the keyboard, for which it must be seen. */
function keyTo(name: string) {
  fireEvent.keyDown(document.activeElement ?? document.body, { key: "Tab" });
  act(() => screen.getByText(name).focus());
}

function rest() {
  act(() => void vi.advanceTimersByTime(1000));
  return screen.getByRole("status").textContent;
}

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

it("explains the gate that the pointer came to", () => {
  render(<Gates />);
  pointerOver("Framed", 10);
  expect(rest()).toBe("framed");
  pointerOver("Cupped", 30);
  expect(rest()).toBe("cupped");
});

it("goes with Escape, and does not come when Escape was first", () => {
  render(<Gates />);
  pointerOver("Framed", 10);
  expect(rest()).toBe("framed");
  fireEvent.keyDown(document.body, { key: "Escape" });
  expect(rest()).toBe("");
  pointerOver("Cupped", 30);
  fireEvent.keyDown(document.body, { key: "Escape" });
  expect(rest()).toBe("");
});

it("stays while the pointer is over the explanation, and goes when it leaves", () => {
  render(<Gates />);
  pointerOver("Framed", 10);
  expect(rest()).toBe("framed");
  pointerOver("Behind the gate", 40);
  expect(rest()).toBe("framed");
  fireEvent.mouseLeave(screen.getByText("Behind the gate").parentElement!, { screenX: 99, screenY: 10 });
  expect(rest()).toBe("");
});

it("stays with the keyboard when something is painted under a pointer at rest", () => {
  render(<Gates />);
  pointerOver("Framed", 10);
  fireEvent.mouseMove(screen.getByText("Framed"), { screenX: 12, screenY: 10 });
  expect(rest()).toBe("framed");
  keyTo("Cupped");
  pointerOver("Behind the gate", 12);
  expect(rest()).toBe("cupped");
  pointerOver("Framed", 12);
  expect(rest()).toBe("cupped");
});
