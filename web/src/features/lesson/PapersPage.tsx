import { Link, useParams, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { Heading } from "../../ui/Heading";
import { Loading, Refused } from "../../ui/Notice";
import { isOut, together, Waiting } from "../../ui/Waiting";
import { FeederSheet, Starts, usePlan } from "../drill";
import { paths, placeTitle, reactionTitle, useMap } from "../map";
import { PlacePicture } from "../picture";
import { weekday } from "../../ui/days";
import { useLesson, type Line, type Planned } from "./lesson";
import { partLabel } from "./words";

const FORMS = [
  { form: "handout", title: "Handout" },
  { form: "feeder", title: "Feeder’s sheets" },
] as const;

/** A class on paper: what was practised, for whoever was there, or a sheet for whoever feeds each part. */
export function PapersPage() {
  const { lesson: id = "" } = useParams();
  const map = useMap();
  const planned = useLesson(map.data?.id, id).query;
  const ready = together({ map, planned });
  if (!ready.data) return <Waiting what="Writing the papers" on={ready} />;
  return <Papers map={ready.data.map} planned={ready.data.planned} />;
}

function Papers({ map, planned }: { map: Schemas["Map"]; planned: Planned }) {
  const [params] = useSearchParams();
  const form = FORMS.find((one) => one.form === params.get("form"))?.form ?? "handout";
  const lines = (planned.plan?.lines ?? []).filter(
    (line) => line.unit.drill && line.unit.section !== "live" && line.unit.reactions.length > 0,
  );
  return (
    <main className="mx-auto max-w-[820px] px-5 pt-3 pb-12 print:max-w-none print:p-0">
      <nav
        aria-label="Papers"
        className="no-print mb-3 flex flex-wrap items-center gap-x-5 border-b border-rule pb-2"
      >
        <Link className="flex min-h-11 items-center underline" to={paths.lesson(map.id, planned.id)}>
          Back to the class
        </Link>
        {FORMS.map((one) => (
          <Link
            key={one.form}
            to={`?form=${one.form}`}
            aria-current={form === one.form ? "page" : undefined}
            className="flex min-h-11 items-center no-underline hover:underline aria-[current]:font-semibold aria-[current]:underline"
          >
            {one.title}
          </Link>
        ))}
        <button
          type="button"
          className="plate ml-auto"
          disabled={lines.length === 0}
          onClick={() => window.print()}
        >
          Print
        </button>
      </nav>
      {lines.length === 0 ? (
        <>
          <Heading>{planned.lesson.title}</Heading>
          <p className="mt-2">Nothing is planned to practise in this class yet; say who is here.</p>
        </>
      ) : form === "handout" ? (
        <Handout map={map} planned={planned} lines={lines} />
      ) : (
        <>
          <Heading size="unseen">{`Feeder’s sheets: ${planned.lesson.title}`}</Heading>
          <div className="space-y-12">
            {lines.map((line) => (
              <OneSheet key={line.unit.key} map={map} line={line} />
            ))}
          </div>
        </>
      )}
    </main>
  );
}

function OneSheet({ map, line }: { map: Schemas["Map"]; line: Line }) {
  const drill = line.unit.drill!;
  const plan = usePlan(map, drill);
  return (
    <div className="break-before-page first:break-before-auto">
      <p className="font-semibold">
        {partLabel(line.unit)}, minute {line.from} to {line.from + line.minutes}
      </p>
      {isOut(plan) ? (
        <Refused problem={problemOf(plan.error)} />
      ) : plan.data ? (
        <FeederSheet drill={drill} plan={plan.data} starts={<Starts map={map} plan={plan.data} />} part />
      ) : (
        <Loading what="Writing the sheet" />
      )}
    </div>
  );
}

/** What those who were there take home: each answer once, where it starts, how it is done, and what to mind. */
function Handout({ map, planned, lines }: { map: Schemas["Map"]; planned: Planned; lines: Line[] }) {
  const answers = [...new Set(lines.flatMap((line) => line.unit.reactions))].filter((id) =>
    indexOf(map).reaction(id),
  );
  const cautions = [
    ...new Set(
      answers.flatMap((id) => indexOf(map).technique(indexOf(map).reaction(id)!.technique)?.cautions ?? []),
    ),
  ];
  return (
    <article className="sheet">
      <header className="border-b-[5px] border-ink pb-1">
        <Heading size="sheet">{planned.lesson.title}</Heading>
        <p className="text-quiet">
          {weekday(planned.lesson.day)}, {planned.lesson.minutes} minutes. Go through it once in your head
          before the next class.
        </p>
      </header>
      <ol>
        {answers.map((id) => (
          <Answer key={id} map={map} reaction={id} />
        ))}
      </ol>
      <section className="mt-3 break-inside-avoid border-l-[9px] border-signal pl-3 [box-shadow:-2px_0_0_var(--ink)]">
        <p className="font-bold">
          Tap early, let go at once. Try it with a partner who knows you do, and with your instructor’s word.
        </p>
        <ul>
          {cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </section>
    </article>
  );
}

function Answer({ map, reaction: id }: { map: Schemas["Map"]; reaction: string }) {
  const index = indexOf(map);
  const reaction = index.reaction(id)!;
  const technique = index.technique(reaction.technique);
  return (
    <li className="grid break-inside-avoid grid-cols-[7rem_minmax(0,1fr)] gap-x-4 border-b border-ink py-2 sm:grid-cols-[10rem_minmax(0,1fr)] print:grid-cols-[10rem_minmax(0,1fr)]">
      <PlacePicture map={map} place={reaction.from} width={160} silent className="h-auto w-full" />
      <div className="col-start-2">
        <p className="text-quiet">{placeTitle(map, reaction.from)}</p>
        <p className="text-[20px] leading-tight font-bold" style={{ fontStretch: "82%" }}>
          {reactionTitle(map, id)}
        </p>
        {reaction.when && <p>{reaction.when}</p>}
        <ol className="list-decimal pl-5">
          {technique?.checkpoints.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
        {reaction.responses.length > 0 && (
          <ul>
            {reaction.responses.map((response) => (
              <li key={response.id} className="text-quiet">
                {response.cue}
                {response.leads && <>: {placeTitle(map, response.leads)}</>}
              </li>
            ))}
          </ul>
        )}
      </div>
    </li>
  );
}
