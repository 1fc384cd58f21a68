import { useLayoutEffect, useRef, type ReactNode } from "react";

/** So much above the size that is likely to fit is tried as well, in points. */
const SLACK = 0.5;

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
      const excess = (size: number) => {
        current.style.fontSize = `${size}pt`;
        return Math.max(
          current.scrollHeight / current.clientHeight,
          current.scrollWidth / current.clientWidth,
        );
      };
      const over = excess(sizes[0]!);
      // Both the lines and what fits into one grow with the size: about so large will fit, and measuring is what costs.
      const likely = sizes[0]! / Math.sqrt(over);
      const worth = sizes.filter((size, at) => at === sizes.length - 1 || (at > 0 && size < likely + SLACK));
      const fits = over <= 1 || worth.some((size) => excess(size) <= 1);
      if (!fits) onTooMuch?.();
    };
    fit();
    // Measured before its face has come it would be the wrong size; that it is wanted shows only by measuring.
    if (document.fonts?.status === "loading") void document.fonts.ready.then(fit);
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
