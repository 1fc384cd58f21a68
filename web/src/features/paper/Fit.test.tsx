import { render } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { Fit } from "./Fit";

/** The room is 100 high; what stands in it is as high as the square of its size in points times `text`. */
let text = 1;

beforeEach(() => {
  vi.spyOn(HTMLElement.prototype, "clientHeight", "get").mockReturnValue(100);
  vi.spyOn(HTMLElement.prototype, "clientWidth", "get").mockReturnValue(100);
  vi.spyOn(HTMLElement.prototype, "scrollWidth", "get").mockReturnValue(100);
  vi.spyOn(HTMLElement.prototype, "scrollHeight", "get").mockImplementation(function (this: HTMLElement) {
    return Math.max(100, text * parseFloat(this.style.fontSize) ** 2);
  });
});
afterEach(() => vi.restoreAllMocks());

function sizeOf(words: number, onTooMuch?: () => void): string {
  text = words;
  const { container } = render(
    <Fit sizes={[12, 10, 8, 6]} onTooMuch={onTooMuch}>
      words
    </Fit>,
  );
  return (container.firstElementChild as HTMLElement).style.fontSize;
}

it.each([
  [0.5, "12pt"],
  [1, "10pt"],
  [1.5, "8pt"],
  [2.7, "6pt"],
])("sets %d times the words in %s", (words, size) => {
  const tooMuch = vi.fn();
  expect(sizeOf(words, tooMuch)).toBe(size);
  expect(tooMuch).not.toHaveBeenCalled();
});

it("says that there is too much, and stays in the smallest size", () => {
  const tooMuch = vi.fn();
  expect(sizeOf(40, tooMuch)).toBe("6pt");
  expect(tooMuch).toHaveBeenCalledOnce();
});
