import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, SEGMENT_LABEL, SEGMENTS } from "../../labels";
import { Gate, narrowness } from "../../ui/Gate";
import { Caution } from "../../ui/Notice";
import { paths, techniqueOf } from "../map";
import { settingQuery, type OddsData } from "../odds";
import { PlacePicture } from "../picture";
import type { Marks } from "./marks";
import { Toggle } from "./Toggle";
import { indexOf } from "../../model/mapIndex";

const MOST = 5;

/** Places that are offered before anything is marked. */
const COMMONEST = 8;

/** Before anything is marked. */
export function BeforeAnyMark({ map, odds }: { map: Schemas["Map"]; odds: OddsData }) {
  const commonest = map.situations
    .filter((s) => s.entry > 0)
    .sort((a, b) => b.entry - a.entry)
    .slice(0, COMMONEST);
  return (
    <>
      <div className="max-w-md space-y-2">
        <h2 className="text-[20px]">Stuck, and no name for it?</h2>
        <p>
          Mark what they hold. One or two marks are usually enough to find the place; what is free then says
          what to do with it.
        </p>
        <p className="text-quiet">Upper body held: the legs answer. Legs or hips held: the hands answer.</p>
      </div>
      {commonest.length > 0 && (
        <>
          <h2 className="mt-6 text-base lg:text-[15px]">Where rounds start most</h2>
          <ul>
            {commonest.map((situation) => (
              <Place
                key={situation.id}
                map={map}
                situation={situation}
                worth={odds.situations[situation.id]?.worth ?? 0}
                says={indexOf(map).family(situation.family)?.title ?? ""}
              />
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** A place that one may be in, with its gate. */
function Place({
  map,
  situation,
  worth,
  says,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  worth: number;
  says: string;
}) {
  const [params] = useSearchParams();
  return (
    <li className="border-b border-rule">
      <Link
        to={paths.situation(map.id, situation.id) + settingQuery(params)}
        className="grid min-h-11 grid-cols-[72px_minmax(0,1fr)_88px_40px] items-center gap-x-3 py-1.5 no-underline hover:bg-lane/60"
      >
        <PlacePicture map={map} place={situation.id} width={72} className="h-12 w-full" silent />
        <span className="col-start-2" style={narrowness(worth)}>
          <span className="font-semibold">{situation.title}</span>
          <span className="block text-quiet">{says}</span>
        </span>
        <Gate worth={worth} late={situation.stage === "last-chance"} />
        <span className="text-right font-semibold">{hundred(worth)}</span>
      </Link>
    </li>
  );
}

/** Where one may be, and what would tell more. */
export function LikelyPlaces({
  map,
  odds,
  judged,
  marks,
  change,
}: {
  map: Schemas["Map"];
  odds: OddsData;
  judged: Schemas["LikelySituations"];
  marks: Marks;
  change: (part: Partial<Marks>) => void;
}) {
  const first = judged.likely[0];
  if (!first) {
    return (
      <p>
        Nothing on this map is held like that. Take back a mark, or put the place on the map as a new
        situation.
      </p>
    );
  }
  return (
    <>
      <FirstThing map={map} odds={odds} id={first.situation} />
      <Next map={map} next={judged.next} marks={marks} change={change} />
      <h2 className="mt-6 text-base lg:text-[15px]">Where you may be</h2>
      <ol>
        {judged.likely.slice(0, MOST).map((place) => {
          const situation = indexOf(map).situation(place.situation);
          return (
            situation && (
              <Place
                key={situation.id}
                map={map}
                situation={situation}
                worth={odds.situations[situation.id]?.worth ?? 0}
                says={`${hundred(place.chance)} of 100 that it is this`}
              />
            )
          );
        })}
      </ol>
    </>
  );
}

/** On a phone the likeliest place stays in sight while marking goes on. */
export function LikeliestInSight({
  map,
  odds,
  first,
}: {
  map: Schemas["Map"];
  odds: OddsData;
  first: string | undefined;
}) {
  const situation = indexOf(map).situation(first);
  if (!situation) return null;
  return (
    <a
      href="#where"
      className="fixed inset-x-0 bottom-0 flex min-h-12 items-center gap-3 border-t-2 border-ink bg-ground pr-44 pl-5 no-underline lg:hidden"
    >
      <span className="text-quiet">Most likely</span>
      <span className="font-semibold">{situation.title}</span>
      <span className="ml-auto font-semibold">{hundred(odds.situations[situation.id]?.worth ?? 0)}</span>
    </a>
  );
}

/** The likeliest place: what is free there, and the first thing to do with it. */
function FirstThing({ map, odds, id }: { map: Schemas["Map"]; odds: OddsData; id: string }) {
  const [params] = useSearchParams();
  const situation = indexOf(map).situation(id);
  const at = odds.situations[id];
  if (!situation || !at) return null;
  const reaction = indexOf(map).reaction(at.best);
  const technique = techniqueOf(map, reaction);
  const free = SEGMENTS.filter((s) => !(s in situation.held)).map((s) => SEGMENT_LABEL[s]);
  return (
    <section aria-live="polite">
      <p className="text-quiet">Most likely</p>
      <h2 className="flex items-baseline gap-3 text-[24px]" style={narrowness(at.worth)}>
        <Link className="link" to={paths.situation(map.id, id) + settingQuery(params)}>
          {situation.title}
        </Link>
        <span className="ml-auto text-[28px]">{hundred(at.worth)}</span>
      </h2>
      <Gate worth={at.worth} late={situation.stage === "last-chance"} height={10} className="mt-1" />
      <p className="mt-3">
        <span className="font-semibold">Free:</span> {free.join(", ") || "nothing; tap early if it hurts"}.
      </p>
      {at.stop ? (
        <p className="mt-1 text-[17px]">Stay here: going on is worth less.</p>
      ) : technique ? (
        <div className="mt-1">
          <p className="text-[17px]">
            <span className="text-quiet">First:</span>{" "}
            <span className="font-semibold">{technique.checkpoints[0] ?? technique.title}.</span>
          </p>
          <p className="text-quiet">It begins “{technique.title}”.</p>
          {technique.cautions[0] && (
            <div className="mt-2">
              <Caution>{technique.cautions[0]}</Caution>
            </div>
          )}
        </div>
      ) : (
        <p className="mt-1 text-rust">Nothing is taught from here yet. Survive: neck and arms first.</p>
      )}
    </section>
  );
}

/** The one mark that would tell most. */
function Next({
  map,
  next,
  marks,
  change,
}: {
  map: Schemas["Map"];
  next: Schemas["NextMark"] | undefined;
  marks: Marks;
  change: (part: Partial<Marks>) => void;
}) {
  if (!next) return null;
  const fact = indexOf(map).fact(next.fact);
  const segment = SEGMENTS.find((s) => s === next.segment);
  if (!fact && !segment) return null;
  return (
    <div
      role="group"
      aria-label="The next thing to tell"
      className="mt-4 flex flex-wrap items-center gap-2 border-2 border-ink p-3"
    >
      <span className="mr-auto">
        <span className="block text-quiet">This would tell most</span>
        <span className="font-semibold">
          {fact
            ? `${fact.title}?`
            : `${segment === "hips" ? "Are" : "Is"} your ${SEGMENT_LABEL[segment!]} held?`}
        </span>
      </span>
      <Toggle
        on={false}
        onClick={() => change(fact ? { so: [...marks.so, fact.id] } : { held: [...marks.held, segment!] })}
      >
        yes
      </Toggle>
      <Toggle
        on={false}
        onClick={() =>
          change(fact ? { notSo: [...marks.notSo, fact.id] } : { free: [...marks.free, segment!] })
        }
      >
        no
      </Toggle>
    </div>
  );
}
