import { type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { Heading } from "../../ui/Heading";
import { NotSolved } from "../../ui/Notice";
import { difference, Gate } from "../../ui/Gate";
import { together, Waiting } from "../../ui/Waiting";
import { useWide } from "../../ui/media";
import { useAim, useGates, useMoving, useOverview, SettingLine, type ByRecord, type Overview } from "../odds";
import { CompareWith, useBeside, type Beside } from "./beside";
import { Filters } from "./Filters";
import { Grid } from "./Grid";
import { MapAside } from "./MapAside";
import { MapOnPhone } from "./MapOnPhone";
import { useMap } from "./map";
import { useExplained } from "./explained";

/** Families as rows, lateness as columns, every situation a gate as wide as its odds. */
export function MapPage() {
  const map = useMap();
  const odds = useOverview(map.data);
  const beside = useBeside(map.data, odds.data);
  const gates = useGates(map.data);
  const moving = useMoving();
  const explained = useExplained();
  const wide = useWide();
  const ready = together({ map, odds });
  if (!ready.data) return <Waiting what="Solving the map" on={ready} />;
  // By what was logged the map's own odds are laid beside.
  const data = { map: ready.data.map, odds: beside.learned?.odds ?? ready.data.odds };
  if (!data.odds.converged) return <NotSolved />;
  return (
    <div data-moving={moving || undefined}>
      <div className="flex flex-wrap items-center gap-x-4 border-b border-rule px-5 max-lg:py-1 lg:min-h-8">
        <Start map={data.map} odds={data.odds} beside={beside} />
        <SettingLine map={data.map}>
          <CompareWith map={data.map} beside={beside} />
          <Filters map={data.map} />
        </SettingLine>
      </div>
      <div className="lg:grid lg:grid-cols-[minmax(0,1fr)_285px]">
        <main className="min-w-0 px-5 pb-2">
          <Heading size="unseen">Places</Heading>
          {wide ? (
            <Grid map={data.map} odds={data.odds} beside={beside} gates={gates.data} explained={explained} />
          ) : (
            <MapOnPhone map={data.map} odds={data.odds} beside={beside} />
          )}
        </main>
        <MapAside map={data.map} odds={data.odds} gates={gates.data} shown={explained.at?.situation} />
      </div>
    </div>
  );
}

/** Between what the odds of the starts lie, and how many rounds say so. */
function Range({ of: { start, rounds } }: { of: ByRecord }) {
  return (
    <span className="font-normal text-quiet">
      {" "}
      · {hundred(start.low)} to {hundred(start.high)}, {rounds === 1 ? "1 round" : `${rounds} rounds`}
      {start.tooLittle && ", too little to say"}
    </span>
  );
}

/** The number of the whole map, in one line. */
function Start({ map, odds, beside }: { map: Schemas["Map"]; odds: Overview; beside: Beside }) {
  const aim = useAim(map);
  const by = beside.odds ? difference(beside.odds.start, odds.start) : "";
  return (
    <p className="flex items-center gap-2.5" data-testid="start">
      <span className="text-[26px] leading-none font-bold" style={{ fontStretch: "78%" }}>
        {hundred(odds.start)}
      </span>
      <Gate
        worth={odds.start}
        beside={beside.odds?.start}
        doubt={beside.learned?.start}
        height={12}
        className="w-[70px] shrink-0 mid:w-[110px]"
      />
      <span className="font-semibold">
        {aim?.chance
          ? `of 100 starts reach ${aim.title.toLowerCase()}`
          : `of 100 by ${(aim?.title ?? "").toLowerCase()}`}
        {by && <span className="font-normal text-quiet"> ({by})</span>}
        {beside.learned && <Range of={beside.learned} />}
      </span>
    </p>
  );
}
