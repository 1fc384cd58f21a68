import { useParams } from "react-router";
import { NotSolved } from "../../ui/Notice";
import { useMap } from "../map";
import { OddsControls, useMoving, useOdds, useWas } from "../odds";
import { Answers } from "./Answers";
import { SituationAside } from "./SituationAside";
import { Position } from "./Position";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { indexOf } from "../../model/mapIndex";

/** One situation: what is held, the clock, the reactions by odds, their responses and where these land. */
export function SituationPage() {
  const { situation: id } = useParams();
  const map = useMap();
  const odds = useOdds(map.data);
  const was = useWas(odds.data);
  const moving = useMoving();
  const ready = together({ map, odds });
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
      className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[300px_minmax(0,1fr)_248px] xl:grid-cols-[352px_minmax(0,1fr)_248px]"
    >
      <Position map={data.map} situation={situation} worth={at.worth} />
      <main className="min-w-0 border-rule px-5 pt-2 pb-10 lg:border-x">
        <OddsControls map={data.map} />
        <Answers
          key={situation.id}
          map={data.map}
          situation={situation}
          at={at}
          was={was?.situations[situation.id]}
        />
      </main>
      <SituationAside key={situation.id} map={data.map} situation={situation} at={at} />
    </div>
  );
}
