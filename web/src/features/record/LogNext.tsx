import { useMutation } from "@tanstack/react-query";
import { Link } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { isoDay, weekday } from "../../ui/days";
import { nearest, useClasses, useKeepClass } from "../lesson";
import { paths, placeTitle } from "../map";
import { May } from "../session";
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
      {next.data && next.data.length > 0 && (
        <May right="plan-classes">
          <IntoClass mapId={map.id} places={next.data.map((one) => one.place)} />
        </May>
      )}
    </section>
  );
}

/** Puts live rounds from places into the next class. */
function IntoClass({ mapId, places }: { mapId: string; places: string[] }) {
  const classes = useClasses(mapId);
  const { change } = useKeepClass(mapId);
  const put = useMutation({
    mutationFn: (id: string) =>
      change(id, (lesson) => ({
        fixed: [
          ...lesson.fixed,
          ...places
            .map(liveFrom)
            .filter((unit) => !isIn(lesson, unit))
            .map((unit) => ({ unit })),
        ],
        out: lesson.out.filter((unit) => !places.map(liveFrom).includes(unit)),
      })),
  });
  const back = useMutation({
    mutationFn: (id: string) =>
      change(id, () => ({ fixed: put.data?.fixed ?? [], out: put.data?.out ?? [] })),
    onSuccess: () => put.reset(),
  });
  const next = nearest(classes.data ?? [], isoDay(new Date()));
  const coming = next?.ran ? undefined : next;
  if (!coming) return null;
  const all = ["", "it", "both", "all three"][places.length] ?? "all of them";
  const failed = put.error ?? back.error;
  return (
    <div className="mt-1" role="status">
      {put.isSuccess ? (
        <p className="flex flex-wrap items-center gap-x-4">
          <span>
            In{" "}
            <Link className="link" to={paths.lesson(mapId, coming.id)}>
              {coming.title}
            </Link>
            .
          </span>
          <button
            type="button"
            className="word min-h-11 lg:min-h-7"
            disabled={back.isPending}
            onClick={() => back.mutate(coming.id)}
          >
            Take them out again
          </button>
        </p>
      ) : (
        <button
          type="button"
          className="word min-h-11 lg:min-h-7"
          disabled={put.isPending}
          onClick={() => put.mutate(coming.id)}
        >
          {put.isPending ? "Planning it anew …" : `Put ${all} into the live rounds of ${weekday(coming.day)}`}
        </button>
      )}
      {failed && <p className="text-rust">{problemOf(failed).detail}</p>}
    </div>
  );
}

function liveFrom(place: string): string {
  return `live:${place}`;
}

function isIn(lesson: Schemas["Lesson"], unit: string): boolean {
  return lesson.fixed.some((one) => one.unit === unit);
}
