import { Link, useParams, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { Gate } from "../../ui/Gate";
import { Heading } from "../../ui/Heading";
import { Caution, Failed } from "../../ui/Notice";
import { isOut, together, Waiting } from "../../ui/Waiting";
import { lowerFirst, paths, useMap } from "../map";
import { SettingLine, settingQuery } from "../odds";
import { PlacePicture } from "../picture";
import { Arms } from "./Arms";
import { Brief } from "./Brief";
import { useLadder, type Ladder } from "./holds";
import { Rungs } from "./Rungs";
import { StageDenials } from "./StageDenials";
import { open, steepest, unsaid } from "./words";
import { May, useMay } from "../session";

/** One finish or pin, taken apart: what it needs, in which order, and what denies it. */
export function FinishPage() {
  const { hold } = useParams();
  const map = useMap();
  const ready = together({ map });
  if (!ready.data) return <Waiting what="Opening the map" on={ready} />;
  return <TakenApart key={hold} map={ready.data.map} hold={hold!} />;
}

function TakenApart({ map, hold }: { map: Schemas["Map"]; hold: string }) {
  const ladder = useLadder(map, hold);
  if (ladder.isError && problemOf(ladder.error).status === 404) return <NoSuchHold map={map} />;
  if (isOut(ladder)) return <Failed problem={problemOf(ladder.error)} retry={() => void ladder.refetch()} />;
  if (!ladder.data) return <Waiting what="Taking it apart" on={together({ ladder })} />;
  return <Page map={map} ladder={ladder.data} busy={ladder.isPlaceholderData} />;
}

function NoSuchHold({ map }: { map: Schemas["Map"] }) {
  return (
    <main className="space-y-2 p-5">
      <Heading size="notice">No such pin or finish</Heading>
      <p>
        It may have been taken out.{" "}
        <Link className="link" to={paths.finishes(map.id)}>
          See all of them
        </Link>
        .
      </p>
    </main>
  );
}

function Page({ map, ladder, busy }: { map: Schemas["Map"]; ladder: Ladder; busy: boolean }) {
  const [params] = useSearchParams();
  const query = settingQuery(params);
  const mayDrill = useMay("read-maps");
  return (
    <main className="px-5 pt-3 pb-16" aria-busy={busy}>
      <div className="space-y-1">
        {ladder.neverClosed && (
          <Caution>
            <strong>Children:</strong> places and denials only. Nobody closes this on a child.
          </Caution>
        )}
        {ladder.cautions.map((caution) => (
          <Caution key={caution}>{caution}</Caution>
        ))}
        {ladder.cautions.length === 0 && ladder.kind === "finish" && (
          <Caution>Tap early; let go at once on a tap. Nobody has written yet what can hurt here.</Caution>
        )}
      </div>
      <div className="mt-3 grid gap-x-8 gap-y-4 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] xl:grid-cols-[minmax(0,320px)_minmax(0,260px)_minmax(0,1fr)]">
        <PlacePicture
          map={map}
          place={ladder.at.at(-1) ?? ""}
          width={190}
          className="max-h-[220px] w-full self-center"
        />
        <Summary map={map} ladder={ladder} />
        <div className="md:col-span-2 xl:col-span-1">
          <StageDenials map={map} ladder={ladder} />
        </div>
      </div>
      <Rungs map={map} ladder={ladder} />
      <div className="mt-4 flex flex-wrap items-center justify-between gap-x-8 gap-y-2">
        <SettingLine map={map} />
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
          <May right="edit-maps">
            <Link className="word" to={paths.edit(map.id, "holds", ladder.id, query)}>
              Edit what they need
            </Link>
          </May>
          {mayDrill && ladder.steps.some((step) => step.answer) && (
            <Link
              className="plate inline-flex items-center no-underline"
              to={paths.drillAgainst(map.id, ladder.id, query)}
            >
              Drill the denials
            </Link>
          )}
        </div>
      </div>
      <div className="mt-8 grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)]">
        <Arms ladder={ladder} />
        <Brief ladder={ladder} />
      </div>
    </main>
  );
}

function Summary({ map, ladder }: { map: Schemas["Map"]; ladder: Ladder }) {
  const [params] = useSearchParams();
  const stays = open(ladder.closes);
  const steep = steepest(ladder);
  const finish = ladder.kind === "finish";
  const last = indexOf(map).situation(ladder.at.at(-1));
  return (
    <div>
      <p className="text-quiet">
        {finish ? "Finish" : "Pin"}
        {last && (
          <>
            , drawn at{" "}
            <Link className="link" to={paths.situation(map.id, last.id) + settingQuery(params)}>
              {last.title}
            </Link>
          </>
        )}
      </p>
      <Heading size="place">{ladder.title}</Heading>
      {stays === undefined ? (
        <p className="mt-2">
          No chance is told: nobody has said how likely they get {unsaid(ladder).join(", ")}.
        </p>
      ) : (
        <>
          <p className="mt-2 flex items-center gap-3">
            <span className="text-[56px] leading-none font-bold" style={{ fontStretch: "80%" }}>
              {hundred(stays)}
            </span>
            <span>
              of 100 starts {finish ? "stay out" : "are not pinned"}, if nobody answers
              {steep && steep.from > steep.to && (
                <>
                  ; most is lost at rung {steep.rung.number}, {steep.from} → <strong>{steep.to}</strong>
                </>
              )}
            </span>
          </p>
          <Gate worth={stays} height={14} className="mt-2" />
          <details className="mt-2">
            <summary className="w-fit cursor-pointer text-quiet">
              about {100 - hundred(stays)} are {finish ? "caught" : "held"} ·{" "}
              <span className="underline underline-offset-2">why?</span>
            </summary>
            <p className="mt-1">
              {inFigures(ladder)} Each need counts on its own, as the map says it. Left out: what they go over
              to when it fails, and tiredness. The odds of a place play the whole map; this page takes one
              hold apart.
            </p>
          </details>
        </>
      )}
    </div>
  );
}

/** The sum in words, where every need is needed; where some stand for others, that they do. */
function inFigures(ladder: Ladder): string {
  if (ladder.rungs.some((rung) => rung.insteadOf))
    return "They need each of these; of those that stand for each other, one is enough.";
  const chances = ladder.rungs.map((rung) => hundred(rung.gets ?? 0)).join(" × ");
  const needs = ladder.rungs.map((rung) => lowerFirst(rung.title)).join("”, “");
  return `They need all of “${needs}”: ${chances}, each of 100.`;
}
