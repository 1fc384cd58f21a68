import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { Caution } from "../../ui/Notice";
import { paths } from "../map";
import { settingQuery } from "../odds";
import { PlacePicture } from "../picture";
import { clockAfter } from "../../ui/days";
import {
  fixing,
  freeing,
  hereIn,
  leavingOut,
  minutesOf,
  practisedAs,
  type Lesson,
  type Line,
  type Planned,
} from "./lesson";
import { lineTitle, missedInWords, notInWords, whyInWords, type Names } from "./words";

const PICTURE = 92;

/** The plan line by line: when, how long, what and why, for how many, what it gains. */
export function Lines({
  map,
  planned,
  lesson,
  names,
  chosen,
  may,
  onChoose,
  change,
  correct,
}: {
  map: Schemas["Map"];
  planned: Planned;
  lesson: Lesson;
  names: Names;
  chosen: string | undefined;
  may: boolean;
  onChoose: (key: string) => void;
  change: (part: Partial<Lesson>) => void;
  /** Says how long a part really took; missing where nothing was run, or who looks may not. */
  correct?: (unit: string, minutes: number) => void;
}) {
  const plan = planned.plan!;
  return (
    <section aria-label="The plan">
      <ol>
        {plan.lines.map((line) => (
          <LineRow
            key={line.unit.key}
            map={map}
            planned={planned}
            line={line}
            lesson={lesson}
            names={names}
            chosen={chosen === line.unit.key}
            may={may}
            onChoose={() => onChoose(line.unit.key)}
            change={change}
            correct={correct}
          />
        ))}
      </ol>
      {plan.gone.length > 0 && (
        <p className="mt-2 text-rust">
          {plan.gone.length === 1
            ? "Something that was fixed is"
            : `${plan.gone.length} things that were fixed are`}{" "}
          no longer on the map.{" "}
          {may && (
            <button
              type="button"
              className="word"
              onClick={() => change({ fixed: lesson.fixed.filter((one) => !plan.gone.includes(one.unit)) })}
            >
              Let it go
            </button>
          )}
        </p>
      )}
      {plan.empty.includes("recall") && (
        <p className="mt-2 text-quiet">No recall: nothing was practised in a class before this one.</p>
      )}
    </section>
  );
}

function LineRow({
  map,
  planned,
  line,
  lesson,
  names,
  chosen,
  may,
  onChoose,
  change,
  correct,
}: {
  map: Schemas["Map"];
  planned: Planned;
  line: Line;
  lesson: Lesson;
  names: Names;
  chosen: boolean;
  may: boolean;
  onChoose: () => void;
  change: (part: Partial<Lesson>) => void;
  correct?: (unit: string, minutes: number) => void;
}) {
  const [params] = useSearchParams();
  const { unit } = line;
  const title = lineTitle(map, unit, planned.plan ?? undefined);
  const practised = unit.section !== "warm-up" && unit.section !== "talk";
  const said = notInWords(line, names);
  const missed = missedInWords(line, names);
  const cautions = chosen && practised ? cautionsOf(map, line) : [];
  return (
    <li
      className={`grid grid-cols-[3.2rem_5.5rem_minmax(0,1fr)] gap-x-3 border-b border-rule py-2 mid:grid-cols-[3.2rem_5.5rem_92px_minmax(0,1fr)_5.5rem_3rem] ${chosen ? "bg-lane" : ""}`}
    >
      <p className="pt-1.5 pl-1 text-quiet lg:pt-0.5">{clockAfter(planned.lesson.starts, line.from)}</p>
      <Minutes line={line} title={title} may={may} lesson={lesson} change={change} correct={correct} />
      <div className="max-mid:hidden">
        {unit.place && <PlacePicture map={map} place={unit.place} width={PICTURE} silent />}
      </div>
      <div className="min-w-0">
        <h3 className="text-[15px]">
          <button
            type="button"
            className="text-left hover:underline max-lg:min-h-11"
            aria-expanded={chosen}
            onClick={onChoose}
          >
            {title}
          </button>
        </h3>
        <p className="text-quiet">
          {whyInWords(map, line, planned)}
          {planned.lesson.term?.includes(line.unit.key) && " The term asks for it."}
        </p>
        {missed && <p className="border-l-[3px] border-ink pl-2">{missed}</p>}
        {said.map((words) => (
          <p
            key={words}
            className={words.includes("feeds only") ? "border-l-4 border-signal pl-2" : "text-quiet"}
          >
            {words}
          </p>
        ))}
        {cautions.map((words) => (
          <Caution key={words}>{words}</Caution>
        ))}
        <p className="mid:hidden">
          {practised && (
            <>
              {line.people.length} of {hereIn(line)}, {gain(line)}
            </>
          )}
        </p>
        {chosen && (
          <p className="flex flex-wrap items-baseline gap-x-4 pt-1">
            {may && practised && (
              <button type="button" className="word" onClick={() => change(leavingOut(lesson, unit.key))}>
                Leave it out
              </button>
            )}
            {may &&
              unit.ways
                .filter((way) => planned.plan!.lines.every((one) => one.unit.key !== way.key))
                .map((way) => (
                  <button
                    key={way.key}
                    type="button"
                    className="word"
                    onClick={() => change(practisedAs(lesson, line, way.key))}
                  >
                    {WAY[way.kind]}
                  </button>
                ))}
            {unit.place && practised && (
              <>
                <Link className="word" to={paths.situation(map.id, unit.place) + settingQuery(params)}>
                  The place
                </Link>
                <Link className="word" to={paths.drillFrom(map.id, unit.place, settingQuery(params))}>
                  On the bench
                </Link>
              </>
            )}
          </p>
        )}
      </div>
      <p className="text-right whitespace-nowrap max-mid:hidden">
        {line.people.length} of {hereIn(line)}
      </p>
      <p className="pr-1 text-right font-semibold max-mid:hidden">{gain(line)}</p>
    </li>
  );
}

const WAY: Record<Schemas["ClassWay"]["kind"], string> = {
  live: "Live, in earnest",
  dial: "Dial it, notch by notch",
  gate: "As a gate, both sides",
};

/** What a line gains, of 100 starts. */
function gain(line: Line): string {
  const gained = line.gain * 100;
  return gained >= 0.05 ? `+${gained.toFixed(1)}` : "–";
}

function cautionsOf(map: Schemas["Map"], line: Line): string[] {
  const index = indexOf(map);
  const all = line.unit.reactions.flatMap(
    (id) => index.technique(index.reaction(id)?.technique)?.cautions ?? [],
  );
  return [...new Set(all)].slice(0, 4);
}

/** A line's minutes: a press fixes them or frees them, more and less fix other ones. */
function Minutes({
  line,
  title,
  may,
  lesson,
  change,
  correct,
}: {
  line: Line;
  title: string;
  may: boolean;
  lesson: Lesson;
  change: (part: Partial<Lesson>) => void;
  correct?: (unit: string, minutes: number) => void;
}) {
  const { key } = line.unit;
  const minutes = correct ? line.minutes : minutesOf(lesson, line);
  const step = (by: number) =>
    correct ? correct(key, minutes + by) : change(fixing(lesson, key, Math.max(1, minutes + by)));
  const small = "grid h-11 w-6 place-items-center text-quiet hover:text-ink lg:h-7 lg:w-5 disabled:invisible";
  return (
    <div className="flex items-start justify-center">
      <button
        type="button"
        className={small}
        disabled={!(may || correct) || minutes <= 1}
        aria-label={`One minute less: ${title}`}
        onClick={() => step(-1)}
      >
        −
      </button>
      <button
        type="button"
        className={`h-11 w-9 text-[17px] font-bold lg:h-7 ${line.fixed ? "border-x-[5px] border-ink" : "border-x border-edge"}`}
        disabled={!may}
        aria-pressed={line.fixed}
        aria-label={`${minutes} minutes${line.fixed ? ", fixed" : ""}: ${title}`}
        title={line.fixed ? "Fixed; press to free it" : "Press to fix it"}
        onClick={() => change(line.fixed ? freeing(lesson, key) : fixing(lesson, key, minutes))}
      >
        {minutes}
      </button>
      <button
        type="button"
        className={small}
        disabled={!(may || correct)}
        aria-label={`One minute more: ${title}`}
        onClick={() => step(1)}
      >
        +
      </button>
    </div>
  );
}
