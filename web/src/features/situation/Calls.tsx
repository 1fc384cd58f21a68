import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { callOrder } from "../../solver/practice";
import { canSpeak, say } from "../../ui/voice";
import { placeTitle, theyDo } from "../map";
import { matchupOf, useWrittenSetting } from "../odds";

/** Each comes at least so often; with more of them as often as there are, so that each follows each. */
const LEAST = 4;
const MOST = 12;
const SEEDS = 1_000_000;

const freshSeed = () => crypto.getRandomValues(new Uint32Array(1))[0]! % SEEDS;

/**
 * What can be called of an answer: everything they do about it that somebody has answered; nothing where that leaves no
 * choice to read. With children nothing is called that closes a finish: there one taps.
 */
export function calledOf(
  map: Schemas["Map"],
  reaction: Schemas["Reaction"],
  withChildren: boolean,
): Schemas["Response"][] {
  const index = indexOf(map);
  const closes = (place: string) =>
    index.situation(place)?.stage === "last-chance" || index.outcome(place)?.kind === "tap";
  const called = reaction.responses.filter(
    ({ leads }) => leads && !(withChildren && (closes(leads) || closes(reaction.from))),
  );
  return called.length < 2 ? [] : called.slice(0, MOST);
}

/** The same for who is set; of people and of the room nothing is known here, so they may be children. */
export function useCalled(map: Schemas["Map"], reaction: Schemas["Reaction"]): Schemas["Response"][] {
  const setting = useWrittenSetting();
  const isKnown = !setting.you && !setting.room;
  return calledOf(map, reaction, !isKnown || matchupOf(map, setting)?.age === "children");
}

/** The feeder's calls of one answer, one after the other, for the two who stand there now. */
export function Calls({
  map,
  reaction,
  called,
}: {
  map: Schemas["Map"];
  reaction: Schemas["Reaction"];
  called: Schemas["Response"][];
}) {
  const [seed, setSeed] = useState(freshSeed);
  const [at, setAt] = useState(0);
  const [aloud, setAloud] = useState(false);
  const times = Math.max(LEAST, called.length);
  const order = useQuery({
    queryKey: ["calls", called.length, times, seed],
    staleTime: Infinity,
    queryFn: () => callOrder(called.length, times, seed),
  });
  const button = useRef<HTMLButtonElement>(null);
  const isThere = order.isSuccess;
  // Under the thumb as soon as it is opened.
  useEffect(() => {
    button.current?.scrollIntoView({ block: "nearest" });
  }, [isThere]);
  if (order.isError) return <p>This browser cannot draw an order.</p>;
  if (!order.data) return null;
  const words = order.data.map((number) => called[number]!);
  const now = words[at];
  const goTo = (next: number) => {
    setAt(next);
    const call = words[next];
    if (aloud && call) say(theyDo(call.cue));
  };
  const again = () => {
    setSeed(freshSeed());
    setAt(0);
  };
  return (
    <div className="max-w-xl">
      <p className="flex justify-between gap-x-3 text-quiet">
        <span>
          {called.length} calls, {times} times each, in an order that cannot be guessed.
        </span>
        <span className="whitespace-nowrap" aria-live="polite">
          {now ? `${at + 1} of ${words.length}` : "all called"}
        </span>
      </p>
      <button
        ref={button}
        type="button"
        className="mt-1 grid min-h-[30dvh] w-full place-items-center border-2 border-ink bg-lane p-4 text-center lg:min-h-40"
        onClick={() => (now ? goTo(at + 1) : again())}
      >
        <span>
          <span
            className="block text-[32px] leading-tight font-bold"
            style={{ fontStretch: "78%" }}
            data-testid="call"
          >
            {now ? theyDo(now.cue) : "Swap, or stop"}
          </span>
          {now?.leads && (
            <span className="mt-1 block text-quiet">from there: {placeTitle(map, now.leads)}</span>
          )}
          <span className="mt-3 block font-semibold">
            {now ? "Tap for the next" : "Tap for another order"}
          </span>
        </span>
      </button>
      <div className="mt-2 flex flex-wrap items-center gap-x-5">
        <button type="button" className="word" disabled={at === 0} onClick={() => goTo(at - 1)}>
          One back
        </button>
        {canSpeak() && (
          <button type="button" className="word" aria-pressed={aloud} onClick={() => setAloud(!aloud)}>
            {aloud ? "Only shown" : "Say them aloud"}
          </button>
        )}
        <span className="text-quiet">Hold it so that the one below cannot read it.</span>
      </div>
      {called.length < calledOf(map, reaction, false).length && (
        <p className="mt-1">What closes a finish is not called: nobody closes one on a child.</p>
      )}
    </div>
  );
}
