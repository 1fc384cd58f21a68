import { useLayoutEffect, useState } from "react";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";

/** Where the mistakes that people make in a situation lead: situations of the map, each once. */
export function mistakenLandings(map: Schemas["Map"], situation: string): string[] {
  const landings = indexOf(map)
    .mistakesFrom(situation)
    .flatMap((mistake) =>
      mistake.responses.flatMap((r) => (r.leads && r.leads !== situation ? [r.leads] : [])),
    );
  return [...new Set(landings)].filter((place) => indexOf(map).situation(place));
}

interface Thread {
  to: string;
  path: string;
}

/** A bent line from the left edge of one gate to the left edge of another: along the gap beside it and between two rows. */
export function threadBetween(from: DOMRect, to: DOMRect): string {
  const y1 = from.top + from.height / 2;
  const y2 = to.top + to.height / 2;
  const gap = from.left - 8;
  return `M ${from.left} ${y1} H ${gap} V ${to.top} H ${to.left - 10} V ${y2} H ${to.left - 6}`;
}

/** Red threads from the gate that is looked at to where the mistakes made there lead, over the whole map. */
export function Threads({
  map,
  gate,
  situation,
}: {
  map: Schemas["Map"];
  gate: HTMLElement;
  situation: string;
}) {
  const [threads, setThreads] = useState<Thread[]>([]);
  useLayoutEffect(() => {
    const draw = () => {
      const from = gate.getBoundingClientRect();
      setThreads(
        mistakenLandings(map, situation).flatMap((to) => {
          const landing = document.querySelector(`[data-situation="${to}"]`);
          return landing ? [{ to, path: threadBetween(from, landing.getBoundingClientRect()) }] : [];
        }),
      );
    };
    draw();
    window.addEventListener("scroll", draw, { passive: true });
    return () => window.removeEventListener("scroll", draw);
  }, [map, gate, situation]);
  if (threads.length === 0) return null;
  return (
    <svg
      aria-hidden="true"
      className="pointer-events-none fixed inset-0 z-10 size-full text-rust max-lg:hidden"
    >
      <defs>
        <marker id="thread-end" viewBox="0 0 8 8" refX="2" refY="4" markerWidth="5" markerHeight="5">
          <path d="M0 0 L8 4 L0 8 Z" fill="currentColor" />
        </marker>
      </defs>
      {threads.map((thread) => (
        <path
          key={thread.to}
          d={thread.path}
          fill="none"
          stroke="currentColor"
          strokeWidth="2"
          markerEnd="url(#thread-end)"
        />
      ))}
    </svg>
  );
}
