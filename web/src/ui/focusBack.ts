import { useRef } from "react";

/**
 * For a panel that no button of its own opens: when it closes, the focus goes back to where it was when it opened.
 * Nothing in the panel may take the focus by itself, or where it was is not known.
 */
export function useFocusBack() {
  const before = useRef<Element>(null);
  return {
    onOpenAutoFocus: () => {
      before.current = document.activeElement;
    },
    onCloseAutoFocus: (event: Event) => {
      event.preventDefault();
      if (before.current instanceof HTMLElement) before.current.focus();
    },
  };
}
