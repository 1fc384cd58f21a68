import { useState } from "react";
import { Link, Navigate, useNavigate, useSearchParams } from "react-router";
import { problemOf, type Problem } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { settingQuery, useSetting } from "../odds";
import { usePeople } from "../pair";
import { May } from "../session";
import { isoDay, later } from "../../ui/days";
import { nearest, newLesson, useClasses, useKeepClass, type Listed } from "./lesson";

/** Leads to the class of today or the next one; where none is planned, begins one. */
export function TonightPage() {
  const map = useMap();
  const people = usePeople();
  const classes = useClasses(map.data?.id);
  const [params] = useSearchParams();
  const ready = together({ map, people, classes });
  if (!ready.data) return <Waiting what="Looking for tonight’s class" on={ready} />;
  const next = nearest(ready.data.classes, isoDay(new Date()));
  if (next) {
    return <Navigate replace to={paths.lesson(ready.data.map.id, next.id) + settingQuery(params)} />;
  }
  return <Begin mapId={ready.data.map.id} classes={ready.data.classes} people={ready.data.people.length} />;
}

function Begin({ mapId, classes, people }: { mapId: string; classes: Listed[]; people: number }) {
  return (
    <main className="max-w-2xl px-5 pt-4 pb-10">
      <Heading>No class is planned yet</Heading>
      {people === 0 ? (
        <p className="mt-2">
          A class is worked out for those who are here.{" "}
          <Link className="link" to="/people">
            Write down who trains
          </Link>{" "}
          first: a name is enough, weight and level make it better.
        </p>
      ) : (
        <p className="mt-2">
          Say who is here and how long you have; the rest is worked out: what to practise, for how long, who
          with whom, and why.
        </p>
      )}
      <May right="plan-classes">
        <NewClass mapId={mapId} classes={classes} />
      </May>
    </main>
  );
}

/** Begins a class today, with the people of the last one. */
export function NewClass({ mapId, classes, day }: { mapId: string; classes: Listed[]; day?: string }) {
  const [setting] = useSetting();
  const navigate = useNavigate();
  const { keep, one } = useKeepClass(mapId);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<Problem>();
  const today = isoDay(new Date());
  const begin = async (on: string) => {
    setBusy(true);
    const from = window.location.pathname;
    try {
      const last = classes.filter((before) => before.day <= on).at(-1);
      const before = last && (await one(last.id)).lesson;
      const id = await keep(newLesson(on, before, setting));
      // Whoever has gone elsewhere meanwhile is not fetched back.
      if (window.location.pathname === from) await navigate(paths.lesson(mapId, id));
    } catch (error) {
      setProblem(problemOf(error));
      setBusy(false);
    }
  };
  return (
    <div className="mt-3 space-y-2">
      <p className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <button type="button" className="plate" disabled={busy} onClick={() => void begin(day ?? today)}>
          {day ? "Plan another class" : "Plan tonight’s class"}
        </button>
        {!day && (
          <button type="button" className="word" disabled={busy} onClick={() => void begin(later(today, 1))}>
            Plan tomorrow’s
          </button>
        )}
      </p>
      {problem && <Refused problem={problem} />}
    </div>
  );
}
