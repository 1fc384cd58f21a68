import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { paths, placeTitle } from "../map";
import { useToLog } from "./truth";
import { familyTitle, rounds } from "./words";

/** Rounds that would tell most: how much narrower ten more would make what is known of a place. */
export function LogNext({ map }: { map: Schemas["Map"] }) {
  const next = useToLog(map);
  return (
    <section aria-labelledby="log-next" className="mt-5">
      <h2
        id="log-next"
        className="flex items-baseline justify-between gap-3 border-b-[3px] border-ink pb-1 text-lg"
      >
        Log these next
        <span className="text-[15px] font-normal text-quiet">ten rounds make it</span>
      </h2>
      {/* Its room is there before it comes. */}
      <ul className="min-h-[132px]">
        {next.data?.map((one) => (
          <li
            key={one.place}
            className="grid min-h-11 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-rule mid:grid-cols-[minmax(0,1fr)_6rem_9rem]"
          >
            <span className="min-w-0 truncate">
              <Link
                className="font-semibold no-underline hover:underline"
                to={paths.situation(map.id, one.place)}
              >
                {placeTitle(map, one.place)}
              </Link>{" "}
              <span className="text-quiet">{familyTitle(map, one.place)}</span>
            </span>
            <span className="text-right text-quiet max-mid:hidden">{rounds(one.rounds)}</span>
            <span className="text-right whitespace-nowrap">
              <strong>
                {hundred(one.now)} → {hundred(one.then)}
              </strong>{" "}
              wide
            </span>
          </li>
        ))}
        {next.isPending && <li className="py-2 text-quiet">Weighing which rounds would tell most …</li>}
        {next.error && <li className="py-2 text-quiet">That could not be reckoned now.</li>}
      </ul>
      {next.data && next.data.length > 0 && (
        <p className="mt-2 text-quiet">
          How far apart the odds of a place lie, by what is known of it: begin live rounds there, and{" "}
          <Link className="link" to={paths.log(map.id)}>
            log them
          </Link>
          .
        </p>
      )}
    </section>
  );
}
