import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";
import { shortNames } from "../lesson";
import { paths, useMap } from "../map";
import { usePeople } from "../pair";
import { useMay } from "../session";
import { useRecord } from "./events";
import { useLogged } from "./log";
import { Waits } from "./Waits";
import { loggedInWords } from "./words";

const CALLED = { round: "round", repetitions: "repetitions", gate: "gate" };

/** What was logged, the newest first; a mistake is taken out. */
export function RoundsPage() {
  const map = useMap();
  const people = usePeople();
  const logged = useLogged(map.data?.id);
  const mayDecide = useMay("plan-classes");
  const { takeOut, waiting } = useRecord();
  const ready = together({ map, people, logged });
  if (!ready.data) return <Waiting what="Looking up what was logged" on={ready} />;
  const opened = ready.data.map;
  const mapId = opened.id;
  const names = shortNames(ready.data.people);
  const name = (id: string | null | undefined) => (id ? (names.get(id) ?? "Somebody") : "Somebody");
  const out = new Set(waiting.map((one) => one.event.voids));
  const shown = ready.data.logged.filter((one) => !out.has(one.id));
  const mayTakeOut = (one: Schemas["LoggedEvent"]) => one.kind !== "gate" || mayDecide;
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
          {shown.map((one) => (
            <li
              key={one.id}
              className="grid min-h-12 grid-cols-[1fr_auto] items-center gap-x-4 border-b border-rule py-1 sm:grid-cols-[11rem_1fr_auto]"
            >
              <span className="text-quiet max-sm:col-span-2">{whenInWords(one.at)}</span>
              <span>
                <strong>{name(one.person)}</strong> {loggedInWords(opened, one, name)}
              </span>
              {mayTakeOut(one) && (
                <button
                  type="button"
                  className="word min-h-11"
                  aria-label={`Take out ${name(one.person)}’s ${CALLED[one.kind]} of ${whenInWords(one.at)}`}
                  onClick={() => takeOut(mapId, one.id)}
                >
                  Take out
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </main>
  );
}
