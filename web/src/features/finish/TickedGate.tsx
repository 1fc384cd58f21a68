import { Gate, postWidth } from "../../ui/Gate";

/** A gate with the opening that it had before as ticks on the lane. */
export function TickedGate({ worth, was, late }: { worth: number; was: number; late: boolean }) {
  const post = postWidth(was);
  return (
    <span className="relative block grow" aria-hidden="true">
      <Gate worth={worth} late={late} height={12} />
      <span className="absolute -inset-y-[3px] w-[2px] bg-ink" style={{ left: `${post}%` }} />
      <span className="absolute -inset-y-[3px] w-[2px] bg-ink" style={{ right: `${post}%` }} />
    </span>
  );
}
