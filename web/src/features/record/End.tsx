import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Labelled } from "../../ui/Labelled";
import { Picker } from "../../ui/Picker";
import { placeTitle, reactionTitle } from "../map";
import { PlacePicture } from "../picture";
import type { Event } from "./events";
import type { Ending, Pair } from "./log";
import { ENDINGS, placeInWords } from "./words";

/** What may be noted besides beginning and end; nothing of it is needed. */
export type Noted = Pick<Event, "side" | "reaction" | "response" | "nothing">;

const NOTHING = "nothing-got-going";

/** The second step: how it ended. */
export function End({
  map,
  start,
  pair,
  name,
  choose,
  back,
}: {
  map: Schemas["Map"];
  start: string;
  pair: Pair;
  name: (id: string) => string;
  choose: (ending: Ending, noted: Noted) => void;
  back: () => void;
}) {
  const [noted, setNoted] = useState<Noted>({});
  const [more, setMore] = useState(false);
  return (
    <section aria-label="How it ended">
      <div className="flex items-center gap-3 border-b-[3px] border-ink py-2">
        <PlacePicture map={map} place={start} width={110} className="max-h-20 w-28 shrink-0" silent />
        <p>
          <strong>{name(pair.bottom)}</strong> under {name(pair.top)}
          <br />
          <button type="button" className="word min-h-8 text-left first-letter:uppercase" onClick={back}>
            {placeInWords(map, start)}
          </button>
        </p>
      </div>
      {ENDINGS.map((group) => (
        <div key={group.title} className="border-b-[3px] border-ink last-of-type:border-b">
          <h2 className="py-1.5 text-[15px] font-normal text-quiet">{group.title}</h2>
          <ul>
            {group.ways.map((way) => (
              <li key={way.ending} className="border-t border-rule">
                <button
                  type="button"
                  className="flex min-h-12 w-full items-center justify-between gap-4 px-3 text-left hover:bg-lane hover:outline-3 hover:-outline-offset-3 hover:outline-ink focus-visible:bg-lane"
                  onClick={() => choose(way.ending, noted)}
                >
                  <span
                    className={`flex items-center gap-2 text-lg font-semibold ${way.ending === "tap" ? "text-rust" : ""}`}
                  >
                    {way.ending === "tap" && (
                      <span
                        aria-hidden="true"
                        className="inline-block h-5 w-[11px] border-x-[4px] border-rust"
                      />
                    )}
                    {way.title}
                  </span>
                  <span className="text-quiet">{way.says}</span>
                </button>
              </li>
            ))}
          </ul>
        </div>
      ))}
      <p className="flex min-h-11 flex-wrap items-center gap-x-2">
        <span className="text-quiet">Not needed:</span>
        <button type="button" className="word" aria-expanded={more} onClick={() => setMore(!more)}>
          which side, what got going
        </button>
      </p>
      {more && <More map={map} start={start} noted={noted} change={setNoted} />}
    </section>
  );
}

function More({
  map,
  start,
  noted,
  change,
}: {
  map: Schemas["Map"];
  start: string;
  noted: Noted;
  change: (noted: Noted) => void;
}) {
  const own = map.reactions.filter((one) => one.from === start);
  const others = map.reactions.filter((one) => one.from !== start);
  const responses = map.reactions.find((one) => one.id === noted.reaction)?.responses ?? [];
  return (
    <div className="grid gap-3 pb-3 sm:grid-cols-3">
      <fieldset>
        <legend className="font-semibold">Side on which they lay</legend>
        <div className="flex gap-5">
          {(["left", "right"] as const).map((side) => (
            <label key={side} className="flex min-h-11 items-center gap-2">
              <input
                type="radio"
                name="side"
                className="size-5"
                checked={noted.side === side}
                onChange={() => change({ ...noted, side })}
              />
              {side}
            </label>
          ))}
        </div>
      </fieldset>
      <Labelled label="What got going last">
        <Picker
          label="What got going last"
          value={noted.nothing ? NOTHING : (noted.reaction ?? "")}
          none="Not noted"
          choices={[
            { id: NOTHING, title: "Nothing got going" },
            ...[...own, ...others].map((one) => ({
              id: one.id,
              title: reactionTitle(map, one.id),
              detail: placeTitle(map, one.from),
            })),
          ]}
          onChange={(id) =>
            change({
              side: noted.side,
              nothing: id === NOTHING || undefined,
              reaction: id === NOTHING || id === "" ? undefined : id,
            })
          }
        />
      </Labelled>
      {responses.length > 0 && (
        <Labelled label="What they answered">
          <Picker
            label="What they answered"
            value={noted.response ?? ""}
            none="Not noted"
            choices={responses.map((one) => ({ id: one.id, title: one.cue }))}
            onChange={(id) => change({ ...noted, response: id || undefined })}
          />
        </Labelled>
      )}
    </div>
  );
}
