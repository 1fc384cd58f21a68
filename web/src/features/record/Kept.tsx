import { useEffect } from "react";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { Gate } from "../../ui/Gate";
import { whenInWords } from "../../ui/when";
import { PlacePicture } from "../picture";
import { loggedOf, useLearned, type Ending, type Logged, type Pair } from "./log";
import { endedInWords, learnedInWords, placeInWords, rounds as roundsInWords } from "./words";

/** The third step: what was kept, what it says by now, and who is next. */
export function Kept({
  map,
  mapId,
  pair,
  start,
  ending,
  gone,
  waits,
  twin,
  pairs,
  next,
  rounds,
  name,
  undo,
  go,
  others,
}: {
  map: Schemas["Map"];
  mapId: string;
  pair: Pair;
  start: string;
  ending: Ending;
  /** True once it was taken out again. */
  gone: boolean;
  /** True while it is on this device alone. */
  waits: boolean;
  /** A round that is likely the same one, logged elsewhere. */
  twin?: Logged;
  pairs: Pair[];
  next?: Pair;
  rounds: Logged[];
  name: (id: string) => string;
  undo: () => void;
  go: (pair: Pair) => void;
  others: () => void;
}) {
  const learned = useLearned(mapId, start, !waits).data;
  const place = placeInWords(map, start);
  const again = { bottom: pair.top, top: pair.bottom };
  const done = pairs.filter((one) => loggedOf(one, start, rounds) > 0).length;
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (event.key !== "z" || !(event.ctrlKey || event.metaKey) || gone) return;
      event.preventDefault();
      undo();
    };
    window.addEventListener("keydown", key);
    return () => window.removeEventListener("keydown", key);
  }, [gone, undo]);
  return (
    <section aria-label="Kept">
      <div className="flex items-start justify-between gap-4 border-b border-rule py-2">
        <p role="status">
          <strong>
            {name(pair.bottom)}, {place}, {endedInWords(ending)}.
          </strong>{" "}
          {/* On a line of its own: what is below stays where a finger is about to be. */}
          <span className="block text-quiet">
            {gone ? "Taken out again." : waits ? "Kept on this device." : "Kept."}
          </span>
        </p>
        {!gone && (
          <button
            type="button"
            className="min-h-11 shrink-0 border border-ink px-5 font-semibold"
            onClick={undo}
          >
            Undo
          </button>
        )}
      </div>
      {/* What it says comes a moment later; its room is there before, with three lines of words on a phone. */}
      <div className="flex min-h-[124px] items-start gap-4 border-b-[3px] border-ink py-3 lg:min-h-[84px]">
        {learned && !waits && (
          <>
            <span
              className="min-w-14 text-[40px] leading-none font-bold"
              style={{ fontStretch: "75%" }}
              data-odds
            >
              {hundred(learned.likely)}
            </span>
            <div className="grow">
              <Gate worth={learned.likely} doubt={learned} beside={learned.written} height={16} />
              <p className="mt-1 text-quiet">{learnedInWords(learned, place)}</p>
            </div>
          </>
        )}
        {waits && <p className="text-quiet">What it says comes when there is a connection.</p>}
      </div>
      {next && (
        <div className="py-3">
          <h2 className="flex items-baseline justify-between gap-3 text-lg">
            Next pair
            <span className="text-[15px] font-normal text-quiet">
              {done} of {pairs.length} logged
            </span>
          </h2>
          <div className="mt-1 flex items-center gap-3">
            <PlacePicture map={map} place={start} width={110} className="max-h-20 w-28 shrink-0" silent />
            <p>
              <strong>{name(next.bottom)}</strong> on the bottom
              <br />
              <span className="text-quiet">
                {name(next.top)} on top · {place} again
              </span>
            </p>
          </div>
          <button type="button" className="plate mt-2 min-h-14 w-full text-lg" onClick={() => go(next)}>
            Log {name(next.bottom)} and {name(next.top)}
          </button>
        </div>
      )}
      {twin && !gone && (
        <p
          role="status"
          className="mt-2 border-l-[9px] border-signal py-1 pl-3 outline-1 -outline-offset-1 outline-rule"
        >
          These two were logged from here {whenInWords(twin.at)} as well, {endedInWords(twin.ending)}. If it
          is the same round,{" "}
          <button type="button" className="word" onClick={undo}>
            take this one out
          </button>
          .
        </p>
      )}
      <div className="grid grid-cols-2 gap-2 pb-2">
        <button
          type="button"
          className="min-h-12 border border-ink px-2 font-semibold"
          onClick={() => go(again)}
        >
          {name(pair.top)} on the bottom
        </button>
        <button type="button" className="min-h-12 border border-ink px-2 font-semibold" onClick={others}>
          Other pair
        </button>
      </div>
      {pairs.length > 1 && (
        <ul>
          {pairs
            .filter((one) => one !== next)
            .map((one) => {
              const many = loggedOf(one, start, rounds);
              return (
                <li key={one.bottom + one.top} className="border-t border-rule">
                  <button
                    type="button"
                    className="flex min-h-12 w-full items-center justify-between gap-3 text-left hover:underline"
                    onClick={() => go(one)}
                  >
                    <strong>
                      {name(one.bottom)} with {name(one.top)}
                    </strong>
                    <span className="text-quiet">{many === 0 ? "not yet" : roundsInWords(many)}</span>
                  </button>
                </li>
              );
            })}
        </ul>
      )}
    </section>
  );
}
