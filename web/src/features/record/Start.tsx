import { useState } from "react";
import type { Schemas } from "../../api/client";
import { placeTitle } from "../map";
import { PlacePicture } from "../picture";
import type { Pair, Tonight } from "./log";
import { familyTitle } from "./words";

/** Places that are offered before one asks for all. */
const FEW = 6;
/** The same where there is room for two rows. */
const WIDE = 12;

/** The first step: who, and where it started. */
export function Start({
  map,
  tonight,
  start,
  choose,
}: {
  map: Schemas["Map"];
  tonight: Tonight;
  start?: string;
  choose: (place: string) => void;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? tonight.starts : tonight.starts.slice(0, WIDE);
  return (
    <section aria-label="Where it started" className="mt-2">
      <p className="flex items-baseline justify-between gap-3 py-1">
        <span className="text-quiet">
          {tonight.tonight > 0 ? "Tonight’s first" : "Where most rounds begin"}
        </span>
        {tonight.starts.length > FEW && (
          <button type="button" className="word min-h-11" aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? "Only the first" : `All ${tonight.starts.length} places`}
          </button>
        )}
      </p>
      <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-6">
        {shown.map((place, at) => (
          <li key={place} className={all || at < FEW ? "flex" : "hidden lg:flex"}>
            <button
              type="button"
              aria-pressed={place === start}
              onClick={() => choose(place)}
              className="flex min-h-[132px] w-full flex-col justify-end border border-edge p-2 text-left font-semibold hover:border-ink hover:outline-2 hover:-outline-offset-2 hover:outline-ink aria-pressed:border-ink aria-pressed:outline-3 aria-pressed:-outline-offset-3 aria-pressed:outline-ink"
            >
              <PlacePicture map={map} place={place} width={150} className="mx-auto mb-auto max-h-24" silent />
              <span className="block text-[15px] leading-tight font-normal text-quiet">
                {familyTitle(map, place)}
              </span>
              <span className="leading-tight">{placeTitle(map, place)}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Who is below and who is on top, and how to change it. */
export function Who({
  pair,
  name,
  swap,
  other,
}: {
  pair: Pair;
  name: (id: string) => string;
  swap: () => void;
  other: () => void;
}) {
  return (
    <p className="flex flex-wrap items-center justify-between gap-x-4 border-b border-rule">
      <span className="py-2">
        <strong>{name(pair.bottom)}</strong> on the bottom
        <span className="text-quiet"> · {name(pair.top)} on top</span>
      </span>
      <span className="flex gap-4">
        <button type="button" className="word min-h-11" onClick={swap}>
          Swap
        </button>
        <button type="button" className="word min-h-11" onClick={other}>
          Others
        </button>
      </span>
    </p>
  );
}
