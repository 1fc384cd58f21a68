import { act, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { useExplained } from "./explained";

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
      <p>Beside the map</p>
    </div>
  );
}

const pointerOver = (name: string, x: number) =>
  fireEvent.mouseOver(screen.getByText(name), { screenX: x, screenY: 10 });

/** The focus as it comes by the keyboard, for which it must be seen: the stand-in for a browser only guesses when it is. */
function keyTo(name: string) {
  const gate = screen.getByText(name);
  vi.spyOn(gate, "matches").mockImplementation((selector) => selector === ":focus-visible");
  act(() => gate.focus());
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

it("stays when the pointer goes on to what is told of it", () => {
  render(<Gates />);
  pointerOver("Framed", 10);
  expect(rest()).toBe("framed");
  pointerOver("Beside the map", 40);
  expect(rest()).toBe("framed");
});

it("does not come where the pointer only passed", () => {
  render(<Gates />);
  pointerOver("Framed", 10);
  pointerOver("Beside the map", 40);
  expect(rest()).toBe("");
});

it("stays with the keyboard when something is painted under a pointer at rest", () => {
  render(<Gates />);
  pointerOver("Framed", 10);
  fireEvent.mouseMove(screen.getByText("Framed"), { screenX: 12, screenY: 10 });
  expect(rest()).toBe("framed");
  keyTo("Cupped");
  pointerOver("Beside the map", 12);
  expect(rest()).toBe("cupped");
  pointerOver("Framed", 12);
  expect(rest()).toBe("cupped");
});
