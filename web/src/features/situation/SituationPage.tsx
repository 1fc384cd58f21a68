import { useMemo } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { indexOf } from "../../model/mapIndex";
import { Heading } from "../../ui/Heading";
import { NotSolved } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { settingQuery, useMoving, useOdds, useWas } from "../odds";
import { Answers } from "./Answers";
import { useEditWords } from "./editWords";
import { Place, PlaceDetails } from "./Place";

/** One situation: what is held, the clock, the reactions by odds, their responses and where these land. */
export function SituationPage() {
  const { situation: id } = useParams();
  const [params] = useSearchParams();
  const map = useMap();
  const odds = useOdds(map.data);
  const { was, clear } = useWas(odds.data);
  const moving = useMoving();
  const words = useEditWords();
  const ready = together({ map, odds });
  const beside = useMemo(
    () => (id !== undefined && was ? { at: was.situations[id], clear } : undefined),
    [was, id, clear],
  );
  if (!ready.data) return <Waiting what="Solving the map" on={ready} />;
  const data = ready.data;
  if (!data.odds.converged) return <NotSolved />;
  const situation = indexOf(data.map).situation(id);
  const at = id === undefined ? undefined : data.odds.situations[id];
  if (!situation || !at) {
    return (
      <main className="space-y-2 p-5">
        <Heading size="notice">No such situation</Heading>
        <p>It may have been taken out. Go back to the map and pick another.</p>
      </main>
    );
  }
  return (
    <div
      data-moving={moving || undefined}
      {...words}
      className="mid:grid mid:min-h-[calc(100dvh-76px)] mid:grid-cols-[330px_minmax(0,1fr)] mid:grid-rows-[auto_1fr] lg:grid-cols-[380px_minmax(0,1fr)] xl:grid-cols-[474px_minmax(0,1fr)] wide:grid-cols-[620px_minmax(0,1fr)]"
    >
      <p className="px-5 pt-2 text-quiet mid:hidden">
        <Link
          className="inline-flex min-h-11 items-center no-underline"
          to={paths.map(data.map.id) + settingQuery(params)}
        >
          ‹ Map
        </Link>
        {" · "}
        {indexOf(data.map).family(situation.family)?.title}
      </p>
      <Place map={data.map} situation={situation} odds={data.odds} />
      <main className="min-w-0 border-rule px-5 pb-6 mid:col-start-2 mid:row-span-2 mid:row-start-1 mid:border-l">
        <Answers key={situation.id} map={data.map} situation={situation} at={at} was={beside} />
      </main>
      <PlaceDetails key={situation.id} map={data.map} situation={situation} at={at} />
    </div>
  );
}
