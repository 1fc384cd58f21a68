import { useState } from "react";
import { Link } from "react-router";
import { letGo, useQueued, type Told } from "../queue";
import { Panel } from "../ui/Panel";
import { useSettled } from "../ui/settled";
import { whenInWords } from "../ui/when";

/** What is on its way for less than so many milliseconds is nothing to speak of. */
const ON_ITS_WAY = 2_000;

/** How much waits to be sent, and how much was not taken; nothing while everything gets through. */
export function useWaitingWords(): string | undefined {
  const queued = useQueued();
  const refused = queued.filter((one) => one.refused !== undefined).length;
  const waiting = queued.length - refused;
  const stays = useSettled(waiting > 0, ON_ITS_WAY);
  const words = [
    refused > 0 && `${refused === 1 ? "One thing was" : `${refused} things were`} not taken.`,
    waiting > 0 && stays && `${waiting === 1 ? "One thing waits" : `${waiting} things wait`} to be sent.`,
  ].filter(Boolean);
  return words.length > 0 ? words.join(" ") : undefined;
}

/** What waits, behind a word that opens it. */
export function WaitingPanel() {
  const queued = useQueued();
  const [open, setOpen] = useState(false);
  return (
    <>
      {" "}
      <button type="button" className="word" onClick={() => setOpen(true)}>
        See what waits
      </button>
      <Panel
        title="What waits on this device"
        open={open}
        onOpenChange={setOpen}
        className="top-0 max-h-dvh overflow-y-auto p-4 sm:top-[8vh] sm:max-h-[84vh] sm:w-[560px]"
      >
        <p className="mt-1 text-quiet">It is sent by itself as soon as there is a network, and once.</p>
        <ul className="mt-2">
          {queued.map((one) => (
            <Waits key={one.id} one={one} close={() => setOpen(false)} />
          ))}
        </ul>
      </Panel>
    </>
  );
}

function Waits({ one, close }: { one: Told; close: () => void }) {
  return (
    <li className={`border-t border-rule py-1.5 ${one.refused ? "border-l-4 border-l-rust pl-3" : ""}`}>
      <span className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span className="min-w-0 font-semibold">{one.words}</span>
        {one.at && <span className="text-quiet">{whenInWords(one.at)}</span>}
      </span>
      {one.refused && <span className="block text-rust">{one.refused}</span>}
      <span className="flex flex-wrap gap-x-5">
        {one.to && (
          <Link className="word inline-flex items-center" to={one.to} onClick={close}>
            Open it
          </Link>
        )}
        <button type="button" className="word" onClick={() => letGo(one.id)}>
          Let it go<span className="sr-only">: {one.words}</span>
        </button>
      </span>
    </li>
  );
}
