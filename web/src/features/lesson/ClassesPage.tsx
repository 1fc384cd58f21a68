import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { problemOf, type Problem } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { paths, placeTitle, useMap } from "../map";
import { settingQuery } from "../odds";
import { May } from "../session";
import { indexOf } from "../../model/mapIndex";
import { isoDay, weekday } from "../../ui/days";
import { useClasses, useKeepClass, type Listed } from "./lesson";
import { NewClass } from "./TonightPage";
import { SECTION_LABEL } from "../../labels";

/** The classes that are planned and those that were, the coming ones first. */
export function ClassesPage() {
  const map = useMap();
  const classes = useClasses(map.data?.id);
  const ready = together({ map, classes });
  if (!ready.data) return <Waiting what="Looking for classes" on={ready} />;
  return <Classes map={ready.data.map} classes={ready.data.classes} />;
}

function Classes({ map, classes }: { map: Schemas["Map"]; classes: Listed[] }) {
  const today = isoDay(new Date());
  const coming = classes.filter((one) => one.day >= today);
  const past = classes.filter((one) => one.day < today).reverse();
  const [removed, setRemoved] = useState<Listed>();
  const [problem, setProblem] = useState<Problem>();
  const { remove, putBack } = useKeepClass(map.id);
  const take = async (one: Listed) => {
    try {
      await remove(one.id);
      setRemoved(one);
      setProblem(undefined);
    } catch (error) {
      setProblem(problemOf(error));
    }
  };
  return (
    <main className="max-w-4xl px-5 pt-4 pb-10">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <Heading>Classes</Heading>
        {classes.length > 0 && (
          <May right="take-out">
            <a
              className="word inline-flex min-h-9 items-center"
              href={`/api/maps/${map.id}/classes/calendar?from=${classes[0]!.day}&until=${classes.at(-1)!.day}`}
              download
            >
              For a calendar
            </a>
          </May>
        )}
      </div>
      <p role="status" className="min-h-6">
        {removed && (
          <>
            “{removed.title}” is out.{" "}
            <button
              type="button"
              className="word"
              onClick={() => {
                setRemoved(undefined);
                void putBack(removed.id).catch((error: unknown) => setProblem(problemOf(error)));
              }}
            >
              Put it back
            </button>
          </>
        )}
      </p>
      {problem && <Refused problem={problem} />}
      <Section title="Coming" classes={coming} map={map} none="Nothing is planned yet." onRemove={take} />
      <May right="plan-classes">
        <NewClass mapId={map.id} classes={classes} day={coming.length > 0 ? today : undefined} />
      </May>
      <Section
        title="Past"
        classes={past}
        map={map}
        none="No class of the last four months is kept."
        onRemove={take}
      />
    </main>
  );
}

function Section({
  title,
  classes,
  map,
  none,
  onRemove,
}: {
  title: string;
  classes: Listed[];
  map: Schemas["Map"];
  none: string;
  onRemove: (one: Listed) => void;
}) {
  const [params] = useSearchParams();
  return (
    <section className="mt-4">
      <h2 className="border-b-2 border-ink pb-1 text-lg">{title}</h2>
      {classes.length === 0 && <p className="mt-2 text-quiet">{none}</p>}
      <ul>
        {classes.map((one) => (
          <li key={one.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-2">
            <span className="w-36 whitespace-nowrap text-quiet">
              {weekday(one.day)}, {one.starts}
            </span>
            <Link
              className="link inline-flex min-h-9 min-w-0 grow items-center font-semibold lg:min-h-0"
              to={paths.lesson(map.id, one.id) + settingQuery(params)}
            >
              {one.title}
            </Link>
            <span className="text-quiet">
              {one.minutes} min, {one.here === 0 ? "nobody here yet" : `${one.here} here`}
            </span>
            <May right="plan-classes">
              <button
                type="button"
                className="word"
                onClick={() => onRemove(one)}
                aria-label={`Remove ${one.title}`}
              >
                Remove
              </button>
            </May>
            <span className="basis-full text-quiet sm:pl-40">{practisedIn(map, one)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What was new in a class, in a few words. */
function practisedIn(map: Schemas["Map"], one: Listed): string {
  const fresh = one.planned
    .filter((key) => key.startsWith("new:"))
    .map((key) => indexOf(map).reaction(key.slice(4)))
    .filter((reaction) => reaction !== undefined)
    .map((reaction) => indexOf(map).technique(reaction.technique)?.title ?? reaction.id);
  const named = [...new Set(fresh)];
  const about = one.place ? placeTitle(map, one.place) : indexOf(map).family(one.family)?.title;
  return [
    about && `About ${about.toLowerCase()}`,
    named.length > 0 && `${SECTION_LABEL.new}: ${named.join("; ")}`,
  ]
    .filter(Boolean)
    .join(". ");
}
