import { useEffect, useLayoutEffect, useRef, type MouseEvent } from "react";
import { useLocation, NavigationType, useNavigationType } from "react-router";

/** Where somebody was on a page when it was left. */
interface Left {
  y: number;
  /** Address of the link that was followed. */
  href: string | null;
}

/**
 * The place where one was is the place one comes back to: going back puts the page where it stood and the focus on the
 * link that was followed. Going on begins at the top; where the focus was on something that is gone, it goes to the page.
 * Gives the listener that notes which link is followed.
 */
export function useComeBack(): (event: MouseEvent) => void {
  const { pathname, key, hash } = useLocation();
  const way = useNavigationType();
  const left = useRef(new Map<string, Left>());
  const first = useRef(true);
  useLayoutEffect(() => {
    if (first.current) {
      first.current = false;
      return;
    }
    const was = way === NavigationType.Pop ? left.current.get(key) : undefined;
    window.scrollTo(0, was?.y ?? 0);
    const focused = document.activeElement;
    if (focused && focused !== document.body && focused.id !== "page") return;
    const link = was?.href && document.querySelector<HTMLElement>(`#page a[href="${CSS.escape(was.href)}"]`);
    const here = link || document.getElementById("page");
    if (here && hash === "") here.focus({ preventScroll: true });
    // Only a page is come to; its settings in the address are no place of their own.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [pathname]);
  const now = useRef(key);
  useEffect(() => {
    now.current = key;
  }, [key]);
  return (event) => {
    const link = (event.target as HTMLElement).closest("a[href]");
    if (link) left.current.set(now.current, { y: window.scrollY, href: link.getAttribute("href") });
  };
}
