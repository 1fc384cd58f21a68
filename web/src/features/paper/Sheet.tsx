import { useLayoutEffect, useRef, useState, type ReactNode } from "react";

/** CSS pixels of a millimetre. */
const MM = 96 / 25.4;

/**
 * The papers: their whole width on screen, margins included, in millimetres. The printed size is told to the printer by the
 * page of the same name in the styles.
 */
const PAPERS = { card: 210, booklet: 297, a3: 420, a2: 420 } as const;

export type PaperName = keyof typeof PAPERS;

/** A sheet of paper as large as it is printed; on a narrower screen the same in small, with every line where it is printed. */
export function Sheet({ paper, children }: { paper: PaperName; children: ReactNode }) {
  const room = useRef<HTMLDivElement>(null);
  const [zoom, setZoom] = useState(1);
  useLayoutEffect(() => {
    const measure = () => setZoom(Math.min(1, room.current!.clientWidth / (PAPERS[paper] * MM)));
    measure();
    window.addEventListener("resize", measure);
    return () => window.removeEventListener("resize", measure);
  }, [paper]);
  return (
    <div ref={room} className="paper-room">
      <div className={`paper paper-${paper}`} style={{ zoom }}>
        {children}
      </div>
    </div>
  );
}
