import { useRecord } from "./events";
import { rounds } from "./words";

function clock(at: string): string {
  return new Date(at).toLocaleTimeString(undefined, { hour: "2-digit", minute: "2-digit" });
}

/** What waits on this device, and what the server did not take. Nothing where all is kept. */
export function Waits() {
  const { waiting, stuckSince, letGo } = useRecord();
  const refused = waiting.filter((one) => one.refused !== undefined);
  const left = waiting.filter((one) => one.refused === undefined && one.event.kind === "round").length;
  return (
    <div role="status" className="no-print">
      {stuckSince !== undefined && left > 0 && (
        <p className="mt-3 border-l-[9px] border-signal py-1 pl-3 outline-1 -outline-offset-1 outline-rule">
          <strong>No connection since {clock(stuckSince)}.</strong> {rounds(left)}{" "}
          {left === 1 ? "waits" : "wait"} on this device. {left === 1 ? "It goes" : "They go"} by{" "}
          {left === 1 ? "itself" : "themselves"}.
        </p>
      )}
      {refused.map((one) => (
        <p key={one.event.id} className="mt-3 border-l-[9px] border-rust py-1 pl-3">
          A round was not kept: {one.refused}{" "}
          <button type="button" className="word" onClick={() => letGo(one.event.id)}>
            Let it go
          </button>
        </p>
      ))}
    </div>
  );
}
