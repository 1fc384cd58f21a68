// @vitest-environment jsdom
import { beforeEach, describe, expect, it, vi } from "vitest";
import { pressables } from "./pressables";

beforeEach(() => {
  document.body.innerHTML = `
    <main>
      <ul>
        <li><a href="#a">They sit back</a> <button aria-label="Dismiss: They sit back">Dismiss</button></li>
        <li><b class="font-semibold">Arm out</b> <button>What
          changed</button> <button disabled>Go back</button></li>
      </ul>
      <details><summary>Put away, 1</summary> <button>Take out again</button></details>
      <details open><summary>Dismissed</summary> <a class="word" href="#b">Look at it</a></details>
      <div role="dialog"><button>Close</button></div>
    </main>
    <button>Outside of any part</button>`;
});

describe("what can be pressed on the page", () => {
  it("has the name that is said of it, and whatever tells it from others like it", () => {
    expect(pressables().map(({ title, detail }) => [title, detail])).toEqual([
      ["Dismiss: They sit back", undefined],
      ["What changed", "Arm out"],
      ["Put away, 1", undefined],
      ["Dismissed", undefined],
      ["Look at it", "Dismissed"],
    ]);
  });

  it("is pressed, and has the focus then", () => {
    const pressed = vi.fn();
    const button = document.querySelector("button")!;
    button.addEventListener("click", pressed);
    pressables()[0]!.run!();
    expect(pressed).toHaveBeenCalledOnce();
    expect(document.activeElement).toBe(button);
  });
});
