import { useEffect, useRef, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { problemOf, type Problem, type Schemas } from "../../api/client";
import { isTyping } from "../../ui/commands";
import { Gate } from "../../ui/Gate";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";
import { hundred } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { paths, placeTitle, useMap } from "../map";
import { settingQuery } from "../odds";
import { usePeople } from "../pair";
import { May, useMay } from "../session";
import { Asked, Committed } from "./Asked";
import { isoDay, later } from "../../ui/days";
import { Here } from "./Here";
import { LeftOut } from "./LeftOut";
import { fixing, hereIn, retitled, useKeepClass, useLesson, type Lesson, type Planned } from "./lesson";
import { Lines } from "./Lines";
import { KeptApart, Pairs, Partners } from "./Pairs";
import { Shape } from "./Shape";
import { Timeline } from "./Timeline";
import { shortNames } from "./words";

/** A class: who is here, the tape to the minute, each line with its reason, the pairs, and what was left out. */
export function ClassPage() {
  const { lesson: id = "" } = useParams();
  const map = useMap();
  const people = usePeople();
  const held = useLesson(map.data?.id, id);
  const ready = together({ map, people, planned: held.query });
  if (!ready.data) return <Waiting what="Working the class out" on={ready} />;
  return (
    <ClassSheet map={ready.data.map} people={ready.data.people} planned={ready.data.planned} held={held} />
  );
}

function ClassSheet({
  map,
  people,
  planned: given,
  held,
}: {
  map: Schemas["Map"];
  people: Schemas["Person"][];
  planned: Planned;
  held: ReturnType<typeof useLesson>;
}) {
  const may = useMay("plan-classes");
  const [params] = useSearchParams();
  const [pressed, setPressed] = useState<string>();
  const { change, undo, problem } = held;
  const lesson = held.lesson ?? given.lesson;
  const ran = given.came.length > 0;
  const over = ran || lesson.day < isoDay(new Date());
  const planned = over ? unfixed(given) : given;
  useUndoKey(undo);
  const short = shortNames(people);
  const names = (who: string) => short.get(who) ?? "somebody gone";
  const lines = planned.plan?.lines ?? [];
  const line =
    lines.find((one) => one.unit.key === pressed) ??
    lines.find((one) => one.groups.length > 0 && one.unit.section === "new") ??
    lines.find((one) => one.groups.length > 0);
  const choose = (key: string) => setPressed(key);
  return (
    <div className="pb-10">
      <header className="border-b border-rule px-5 pt-3 pb-3">
        <Heading size="unseen">{`Class: ${lesson.title}`}</Heading>
        <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
          <div className="min-w-0 grow">
            <Title lesson={lesson} may={may} change={change} />
            <p className="flex min-h-6 flex-wrap gap-x-4 text-quiet" role="status">
              {held.saving
                ? "Working it out …"
                : problem
                  ? "Not kept"
                  : `Kept ${whenInWords(planned.at)}${planned.author ? ` by ${planned.author}` : ""}`}
              {undo && (
                <button type="button" className="word" onClick={undo}>
                  Undo
                </button>
              )}
            </p>
          </div>
          <Worth map={map} planned={planned} lesson={lesson} />
          <Actions map={map} planned={planned} lesson={lesson} query={settingQuery(params)} />
        </div>
        <div className="mt-2">
          <Asked map={map} lesson={lesson} may={may} change={change} />
          <Shape planned={given} may={may && !over} change={change} />
        </div>
        {problem && (
          <div className="mt-2">
            <Refused problem={problem} />
            <p className="mt-1 flex gap-x-4">
              {problem.status === 409 ? (
                <button type="button" className="word" onClick={() => void held.look()}>
                  Look at theirs
                </button>
              ) : (
                <button type="button" className="word" onClick={held.again}>
                  Try again
                </button>
              )}
            </p>
          </div>
        )}
        {over && (
          <p className="mt-2 text-quiet">
            {ran
              ? "This class was run, and stands here as it came. Who was here can be corrected, and how long each part took."
              : "This class is over. What came in it stays as it was planned; who was here can be corrected."}
          </p>
        )}
        {planned.changed && !held.saving && (
          <p className="mt-2 border-l-4 border-signal pl-3">
            The map, the roster or a class before has changed since this was kept; this is what comes of it
            now.{" "}
            {may && (
              <button type="button" className="word" onClick={() => change({})}>
                Keep it so
              </button>
            )}
          </p>
        )}
      </header>
      <div className="lg:grid lg:grid-cols-[15rem_minmax(0,1fr)] xl:grid-cols-[15rem_minmax(0,1fr)_18rem]">
        <aside className="border-rule px-5 pt-3 max-lg:border-b max-lg:pb-3 lg:border-r lg:pr-3">
          <Here people={people} lesson={lesson} planned={planned} names={names} may={may} change={change} />
        </aside>
        <main className="min-w-0 px-5 pt-3" aria-busy={held.saving}>
          {planned.plan ? (
            <>
              <Timeline
                map={map}
                planned={planned}
                lesson={over ? given.lesson : lesson}
                chosen={line?.unit.key}
                may={may && !over}
                onChoose={choose}
                onMinutes={(key, minutes) => change(fixing(lesson, key, minutes))}
              />
              <Lines
                map={map}
                planned={planned}
                lesson={lesson}
                names={names}
                chosen={line?.unit.key}
                may={may && !over}
                onChoose={choose}
                change={change}
                correct={may && ran ? held.correct : undefined}
              />
              <p className="mt-2 text-quiet">
                Tap early, let go at once. Your own judgement, the rules of the gym and the law come before
                this plan.
              </p>
            </>
          ) : (
            <p className="mt-4 max-w-xl">
              Nobody is here yet. Tick who is, and the class is worked out for them: what to practise, for how
              long, who with whom, and why.
            </p>
          )}
        </main>
        {planned.plan && (
          <aside className="space-y-4 border-rule px-5 pt-3 max-xl:border-t lg:max-xl:col-span-2 lg:max-xl:mt-4 lg:max-xl:grid lg:max-xl:grid-cols-2 lg:max-xl:gap-x-8 xl:border-l xl:pl-4">
            {line && ran && <Partners planned={planned} line={line} names={names} />}
            {line && !ran && (
              <Pairs
                map={map}
                planned={planned}
                line={line}
                lesson={lesson}
                names={names}
                may={may}
                change={change}
              />
            )}
            <div className="space-y-4">
              <KeptApart lesson={lesson} names={names} may={may} change={change} />
              {!over && <LeftOut map={map} plan={planned.plan} lesson={lesson} may={may} change={change} />}
            </div>
          </aside>
        )}
      </div>
    </div>
  );
}

/** A class that is over, in which nothing is fixed any more than the rest. */
function unfixed(planned: Planned): Planned {
  const plan = planned.plan;
  return plan
    ? { ...planned, plan: { ...plan, lines: plan.lines.map((line) => ({ ...line, fixed: false })) } }
    : planned;
}

function Title({
  lesson,
  may,
  change,
}: {
  lesson: Lesson;
  may: boolean;
  change: (part: Partial<Lesson>) => void;
}) {
  return may ? (
    <div
      style={{ fontStretch: "82%" }}
      className="[&_input]:min-h-9 [&_input]:border-transparent [&_input]:bg-transparent [&_input]:px-0 [&_input]:text-[26px] [&_input]:font-bold [&_input:focus]:border-b-ink [&_input:hover]:border-b-edge"
    >
      <Committed
        type="text"
        label="What the class is called"
        value={lesson.title}
        may
        width="w-full"
        onCommit={(title) => change({ title: title.trim() })}
      />
    </div>
  ) : (
    <p className="text-[26px] font-bold" style={{ fontStretch: "82%" }}>
      {lesson.title}
    </p>
  );
}

/** What the whole class gains those who are here, solved for, and how far the lines lie above it. */
function Worth({ map, planned, lesson }: { map: Schemas["Map"]; planned: Planned; lesson: Lesson }) {
  const plan = planned.plan;
  if (!plan) return null;
  const about = lesson.place
    ? placeTitle(map, lesson.place).toLowerCase()
    : indexOf(map).family(lesson.family)?.title.toLowerCase();
  const here = plan.lines[0] ? hereIn(plan.lines[0]) : 0;
  const gained = (plan.after - plan.now) * 100;
  return (
    <div className="flex w-full items-center gap-x-4 mid:w-auto mid:min-w-[24rem]">
      <p className="text-[44px] leading-none font-bold">
        {hundred(plan.after)}
        <span className="sr-only"> of 100</span>
      </p>
      <div className="min-w-0 grow">
        <Gate worth={plan.after} beside={plan.now} height={16} />
        <p className="mt-1 max-w-sm text-[13.5px]">
          <b className="font-semibold">
            of 100 starts{about ? ` in ${about}` : ""}, for {here === 1 ? "the one" : `these ${here}`}.
          </b>{" "}
          <span className="text-quiet">
            Now {hundred(plan.now)}, so +{gained.toFixed(1)}. Lines add up to {(plan.added * 100).toFixed(1)};
            they overlap.
          </span>
        </p>
      </div>
    </div>
  );
}

function Actions({
  map,
  planned,
  lesson,
  query,
}: {
  map: Schemas["Map"];
  planned: Planned;
  lesson: Lesson;
  query: string;
}) {
  const navigate = useNavigate();
  const { keep } = useKeepClass(map.id);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<Problem>();
  const again = async () => {
    setBusy(true);
    try {
      const from = window.location.pathname;
      const next = { day: later(lesson.day, 7), fixed: [], out: [] };
      const id = await keep({ ...lesson, ...next, ...retitled(map, lesson, next) });
      // Whoever has gone elsewhere meanwhile is not fetched back.
      if (window.location.pathname === from) await navigate(paths.lesson(map.id, id) + query);
    } catch (error) {
      setProblem(problemOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <div>
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {planned.plan && planned.came.length === 0 && (
          <May right="run-classes">
            <Link className="plate inline-flex items-center no-underline" to={paths.mat(map.id, planned.id)}>
              On the mat
            </Link>
          </May>
        )}
        <May right="plan-classes">
          <button type="button" className="word" disabled={busy} onClick={() => void again()}>
            Same in a week
          </button>
        </May>
        {planned.plan && (
          <Link className="word inline-flex min-h-9 items-center" to={paths.papers(map.id, planned.id)}>
            On paper
          </Link>
        )}
        {planned.plan && (
          <May right="take-out">
            <a
              className="word inline-flex min-h-9 items-center"
              href={`/api/maps/${map.id}/classes/${planned.id}/markdown`}
              download
            >
              In words
            </a>
          </May>
        )}
      </p>
      {problem && <Refused problem={problem} />}
    </div>
  );
}

/** Ctrl Z takes the last change of the class back, not one of the map. */
function useUndoKey(undo: (() => void) | undefined) {
  const latest = useRef(undo);
  useEffect(() => {
    latest.current = undo;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== "z") return;
      if (isTyping(event.target)) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      latest.current?.();
    };
    window.addEventListener("keydown", onKey, { capture: true });
    return () => window.removeEventListener("keydown", onKey, { capture: true });
  }, []);
}
