import { Link } from "react-router";
import { type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { Gate } from "../../ui/Gate";
import { NotSolved } from "../../ui/Notice";
import { OddsControls, useAim, useGates, useMoving, useOverview, useWas, type Overview } from "../odds";
import { MapAside } from "./MapAside";
import { Grid } from "./Grid";
import { useMap } from "./map";
import { paths } from "./paths";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";

/** Families as rows, lateness as columns, every situation a gate as wide as its odds. */
export function MapPage() {
  const map = useMap();
  const odds = useOverview(map.data);
  const was = useWas(odds.data);
  const gates = useGates(map.data);
  const moving = useMoving();
  const ready = together({ map, odds });
  if (!ready.data) return <Waiting what="Solving the map" on={ready} />;
  const data = ready.data;
  if (!data.odds.converged) return <NotSolved />;
  if (data.map.situations.length === 0) return <EmptyMap map={data.map} />;
  return (
    <div data-moving={moving || undefined} className="lg:grid lg:grid-cols-[minmax(0,1fr)_272px]">
      <div className="border-rule px-5 pt-2.5 pb-1 lg:order-2 lg:row-start-1 lg:border-l">
        <Start map={data.map} odds={data.odds} was={was} />
        <div className="mt-2">
          <OddsControls map={data.map} stacked />
        </div>
      </div>
      <main className="min-w-0 px-5 pb-2 lg:order-1 lg:row-span-2 lg:row-start-1">
        <Heading size="unseen">{data.map.title}</Heading>
        <Grid map={data.map} odds={data.odds} was={was} gates={gates.data} />
      </main>
      <MapAside map={data.map} odds={data.odds} was={was} gates={gates.data} />
    </div>
  );
}

interface View {
  map: Schemas["Map"];
  odds: Overview;
  was?: Overview;
}

function EmptyMap({ map }: { map: Schemas["Map"] }) {
  return (
    <main className="max-w-xl space-y-3 p-5">
      <Heading>{map.title}</Heading>
      <p>
        Nothing is on this map yet. Begin with the pin your students complain about: name it, say what they
        do, and the odds and the first hole are there.
      </p>
      <p>
        <Link className="plate inline-flex items-center no-underline" to={paths.start(map.id)}>
          Begin with one pin
        </Link>
      </p>
    </main>
  );
}

function Start({ map, odds, was }: View) {
  const aim = useAim(map);
  return (
    <>
      <p className="flex items-center gap-2.5">
        <span className="text-[44px] leading-none font-bold" style={{ fontStretch: "78%" }}>
          {hundred(odds.start)}
        </span>
        <span className="leading-tight">
          {startInWords(
            aim,
            was && hundred(was.start) !== hundred(odds.start) ? hundred(was.start) : undefined,
          )}
        </span>
      </p>
      <Gate worth={odds.start} height={9} className="mt-1.5" />
    </>
  );
}

function startInWords(aim: Schemas["Aim"] | undefined, was: number | undefined): string {
  const change = was === undefined ? "" : `, was ${was}`;
  return aim?.chance
    ? `of 100 starts reach ${aim.title.toLowerCase()}${change}`
    : `of 100 by ${(aim?.title ?? "").toLowerCase()}${change}`;
}
