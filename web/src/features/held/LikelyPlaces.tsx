import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, SEGMENT_LABEL, SEGMENTS } from "../../labels";
import { Gate, narrowness } from "../../ui/Gate";
import { Caution } from "../../ui/Notice";
import { paths, techniqueOf } from "../map";
import { settingQuery, type OddsData } from "../odds";
import { PlacePicture } from "../picture";
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

/** As many places stand beside each other, all level: the likeliest is often not the right one. */
const LEVEL = 3;

/** Where one may be: the three likeliest level, each with its first thing to do, the others folded. */
export function LikelyPlaces({
  map,
  odds,
  judged,
}: {
  map: Schemas["Map"];
  odds: OddsData;
  judged: Schemas["LikelySituations"];
}) {
  if (judged.likely.length === 0) {
    return (
      <p>
        Nothing on this map is held like that. Take back a mark, or put the place on the map as a new
        situation.
      </p>
    );
  }
  const rest = judged.likely.slice(LEVEL, LEVEL + MOST);
  return (
    <>
      <h2 className="text-base lg:text-[15px]">Where you may be</h2>
      <ol className="mt-1 grid gap-4 mid:grid-cols-3" aria-live="polite">
        {judged.likely.slice(0, LEVEL).map((place) => (
          <Candidate key={place.situation} map={map} odds={odds} place={place} />
        ))}
      </ol>
      {rest.length > 0 && (
        <details className="mt-5">
          <summary className="min-h-8 font-semibold">{rest.length} less likely</summary>
          <ol>
            {rest.map((place) => {
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
        </details>
      )}
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
      className="sticky top-0 z-10 flex min-h-12 items-center gap-3 border-b-2 border-ink bg-ground px-5 no-underline mid:top-12 lg:hidden"
    >
      <span className="text-quiet">Most likely</span>
      <span className="min-w-0 truncate font-semibold">{situation.title}</span>
      <span className="ml-auto font-semibold">{hundred(odds.situations[situation.id]?.worth ?? 0)}</span>
    </a>
  );
}

/** A place that one may be in: what is free there, and the first thing to do with it. */
function Candidate({
  map,
  odds,
  place,
}: {
  map: Schemas["Map"];
  odds: OddsData;
  place: Schemas["LikelySituation"];
}) {
  const [params] = useSearchParams();
  const situation = indexOf(map).situation(place.situation);
  const at = odds.situations[place.situation];
  if (!situation || !at) return null;
  const technique = techniqueOf(map, indexOf(map).reaction(at.best));
  const free = SEGMENTS.filter((s) => !(s in situation.held)).map((s) => SEGMENT_LABEL[s]);
  return (
    <li className="flex min-w-0 flex-col border-t-2 border-ink pt-2">
      <p className="text-quiet">{hundred(place.chance)} of 100 that it is this</p>
      <PlacePicture map={map} place={situation.id} width={220} className="my-1 h-[130px] w-full" silent />
      <h3
        className="flex items-baseline justify-between gap-2 text-[18px] leading-tight"
        style={narrowness(at.worth)}
      >
        <Link className="link min-w-0" to={paths.situation(map.id, situation.id) + settingQuery(params)}>
          {situation.title}
        </Link>
        <span>{hundred(at.worth)}</span>
      </h3>
      <Gate worth={at.worth} late={situation.stage === "last-chance"} height={10} className="mt-1" />
      <p className="mt-2 text-quiet">
        <span className="font-semibold text-ink">Free:</span>{" "}
        {free.join(", ") || "nothing; tap early if it hurts"}.
      </p>
      {at.stop ? (
        <p className="mt-1">Stay here: going on is worth less.</p>
      ) : technique ? (
        <>
          <p className="mt-1">
            <span className="text-quiet">First:</span>{" "}
            <span className="font-semibold">{technique.checkpoints[0] ?? technique.title}.</span>
          </p>
          <p className="text-quiet">It begins “{technique.title}”.</p>
          {technique.cautions[0] && (
            <div className="mt-1.5">
              <Caution>{technique.cautions[0]}</Caution>
            </div>
          )}
        </>
      ) : (
        <p className="mt-1 text-rust">Nothing is taught from here yet. Survive: neck and arms first.</p>
      )}
    </li>
  );
}
