import type { Entry } from "./entries";

const PARTS = "main, aside, section";
const WHAT = ["button:not(:disabled)", "summary", "a.word", "a.plate"];
/** What a pressable thing lies in, and what says which of many such it is. */
const AROUND = "li, section, article, details";
const NAMES_IT = "h2, h3, summary, a, .font-semibold";

const words = (text: string | null | undefined) => (text ?? "").replace(/\s+/g, " ").trim();

/**
 * Whatever can be pressed on the page as it is now, by the name that a screen reader would say. The page is asked, so that
 * no row of any list has to offer itself.
 */
export function pressables(page: ParentNode = document): Entry[] {
  const selector = `:is(${PARTS}) :is(${WHAT.join(", ")})`;
  return [...page.querySelectorAll<HTMLElement>(selector)].flatMap((element) => {
    const title = words(element.getAttribute("aria-label") ?? element.textContent);
    if (title === "" || element.closest("[role=dialog]") || !isShown(element)) return [];
    const around = element.parentElement?.closest(AROUND);
    const name = words(around?.getAttribute("aria-label") ?? around?.querySelector(NAMES_IT)?.textContent);
    const run = () => {
      element.focus();
      element.click();
    };
    return [{ kind: "Do", title, detail: name === "" || title.includes(name) ? undefined : name, run }];
  });
}

/** What lies in something folded shut is not offered. */
function isShown(element: HTMLElement): boolean {
  const folded = element.parentElement?.closest("details:not([open])");
  return !folded || element.closest("summary")?.parentElement === folded;
}
