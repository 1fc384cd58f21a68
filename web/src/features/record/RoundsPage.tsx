import { Link } from "react-router";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";
import { shortNames } from "../lesson";
import { lowerFirst, paths, useMap } from "../map";
import { usePeople } from "../pair";
import { useRecord } from "./events";
import { useRounds } from "./log";
import { Waits } from "./Waits";
import { endedInWords, placeInWords } from "./words";

/** What was logged, the newest first; a mistake is taken out. */
export function RoundsPage() {
  const map = useMap();
  const people = usePeople();
  const rounds = useRounds(map.data?.id);
  const { takeOut, waiting } = useRecord();
  const ready = together({ map, people, rounds });
  if (!ready.data) return <Waiting what="Looking up what was logged" on={ready} />;
  const opened = ready.data.map;
  const mapId = opened.id;
  const names = shortNames(ready.data.people);
  const name = (id: string | null | undefined) => (id ? (names.get(id) ?? "Somebody") : "somebody");
  const out = new Set(waiting.map((one) => one.event.voids));
  const shown = ready.data.rounds.filter((round) => !out.has(round.id));
  return (
    <main className="max-w-[62rem] px-5 pt-3 pb-10">
      <Heading>What was logged</Heading>
      <Waits />
      {shown.length === 0 ? (
        <p className="mt-3">
          No round has been logged on this map.{" "}
          <Link className="link" to={paths.log(mapId)}>
            Log the first
          </Link>
          : where it started, how it ended, done.
        </p>
      ) : (
        <ul className="mt-3 border-t-[3px] border-ink">
          {shown.map((round) => (
            <li
              key={round.id}
              className="grid min-h-12 grid-cols-[1fr_auto] items-center gap-x-4 border-b border-rule py-1 sm:grid-cols-[9rem_1fr_auto]"
            >
              <span className="text-quiet max-sm:col-span-2">{whenInWords(round.at)}</span>
              <span>
                <strong>{name(round.person)}</strong> under {name(round.partner)},{" "}
                {placeInWords(opened, round.start)}, {endedInWords(round.ending)}
                {round.reactionTitle
                  ? `, by ${lowerFirst(round.reactionTitle)}`
                  : round.nothing
                    ? ", nothing got going"
                    : ""}
                {round.side ? `, ${round.side} side` : ""}.
              </span>
              <button
                type="button"
                className="word min-h-11"
                aria-label={`Take out ${name(round.person)}’s round of ${whenInWords(round.at)}`}
                onClick={() => takeOut(mapId, round.id)}
              >
                Take out
              </button>
            </li>
          ))}
        </ul>
      )}
    </main>
  );
}
