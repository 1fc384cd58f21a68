import { useParams } from "react-router";
import { problemOf } from "../../api/client";
import { Failed, Loading, NotSolved } from "../../ui/Notice";
import { useMap } from "../map";
import { OddsControls, useMoving, useOdds, useWas } from "../odds";
import { Answers } from "./Answers";
import { Beside } from "./Beside";
import { Position } from "./Position";

/** One situation: what is held, the clock, the reactions by odds, their responses and where these land. */
export function SituationPage() {
  const { situation: id } = useParams();
  const map = useMap();
  const odds = useOdds(map.data);
  const was = useWas(odds.data);
  const moving = useMoving();
  if (map.isError) return <Failed problem={problemOf(map.error)} retry={() => void map.refetch()} />;
  if (odds.isError) return <Failed problem={problemOf(odds.error)} retry={() => void odds.refetch()} />;
  if (!map.data || !odds.data) return <Loading what="Solving the map" />;
  if (!odds.data.converged) return <NotSolved />;
  const situation = map.data.situations.find((s) => s.id === id);
  const at = id === undefined ? undefined : odds.data.situations[id];
  if (!situation || !at) {
    return (
      <main className="space-y-2 p-5">
        <h1 className="text-2xl">No such situation</h1>
        <p>It may have been taken out. Go back to the map and pick another.</p>
      </main>
    );
  }
  return (
    <div
      data-moving={moving || undefined}
      className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[248px_minmax(0,1fr)_264px]"
    >
      <Position map={map.data} situation={situation} worth={at.worth} />
      <main className="min-w-0 border-rule px-5 pt-2 pb-10 lg:border-x">
        <OddsControls map={map.data} />
        <Answers
          key={situation.id}
          map={map.data}
          situation={situation}
          at={at}
          was={was?.situations[situation.id]}
        />
      </main>
      <Beside key={situation.id} map={map.data} situation={situation} at={at} />
    </div>
  );
}
