import { useLayoutEffect, useRef, type ReactNode } from "react";

/**
 * A box of a fixed size on paper. What stands in it is set in the first size in which it fits; where none does, it says so
 * and stays in the last. Everything within it has to be measured in em.
 */
export function Fit({
  sizes,
  className = "",
  onTooMuch,
  children,
}: {
  /** In points, the largest first. */
  sizes: readonly number[];
  className?: string;
  onTooMuch?: () => void;
  children: ReactNode;
}) {
  const box = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    let gone = false;
    const fit = () => {
      const { current } = box;
      if (!current || gone) return;
      const fits = sizes.some((size) => {
        current.style.fontSize = `${size}pt`;
        return current.scrollHeight <= current.clientHeight && current.scrollWidth <= current.clientWidth;
      });
      if (!fits) onTooMuch?.();
    };
    fit();
    // Measured before its face has come it would be the wrong size; that it is wanted may show only now.
    void document.fonts?.ready.then(fit);
    return () => {
      gone = true;
    };
  });
  return (
    <div ref={box} className={`fit ${className}`}>
      {children}
    </div>
  );
}
