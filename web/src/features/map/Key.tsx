import type { ReactNode } from "react";
import { Gate } from "../../ui/Gate";
import { May } from "../session";

/** What the marks on the map mean. */
export function Key({ learned }: { learned: boolean }) {
  return (
    <ul
      aria-label="Key"
      className="mt-1 flex flex-wrap items-center gap-x-5 gap-y-1 border-t border-rule pt-1.5 text-[13.5px] text-quiet"
    >
      <Mark says="opening: of 100 starts">
        <Gate worth={0.5} className="w-9" />
      </Mark>
      {learned && (
        <>
          <Mark says="hatched: may be so far open; ticks: by the map">
            <Gate worth={0.5} doubt={{ low: 0.3, high: 0.7 }} beside={0.6} className="w-9" />
          </Mark>
          <Mark says="too little to say">47</Mark>
        </>
      )}
      <Mark says="much hangs on it">
        <span className="block h-4 w-[7px] border border-ink bg-signal" />
      </Mark>
      <Mark says="many answers lead here">
        <span className="block size-[9px] border-2 border-ink" />
      </Mark>
      <May right="read-maps">
        <Mark says="hole: no answer taught">
          <span className="block h-3.5 w-7 border border-dashed border-rust" />
        </Mark>
      </May>
      <Mark says="last chance">
        <Gate worth={0.3} late className="w-9" />
      </Mark>
      <Mark says="rises here, check">
        <b className="text-ink">↗</b>
      </Mark>
      <Mark says="shown at right" className="max-lg:hidden">
        <span className="block h-3.5 w-7 border-2 border-ink" />
      </Mark>
    </ul>
  );
}

function Mark({ says, className = "", children }: { says: string; className?: string; children: ReactNode }) {
  return (
    <li className={`flex items-center gap-2 ${className}`}>
      <span aria-hidden="true">{children}</span>
      {says}
    </li>
  );
}
