import { Link, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { hundred, STAGE_LABEL, STAGES } from "../../labels";
import { Gate, narrowness, Odds } from "../../ui/Gate";
import { Failed, Loading } from "../../ui/Notice";
import { OddsControls, settingQuery, useAim, useOdds, useWas, type OddsData } from "../odds";
import { holesOf } from "./holes";
import { useMap } from "./map";
import { moveBetweenGates } from "./moveBetweenGates";
import { paths } from "./paths";

/** Families as rows, lateness as columns, every situation a gate as wide as its odds. */
export function MapPage() {
  const map = useMap();
  const odds = useOdds(map.data);
  const was = useWas(odds.data);
  if (map.isError) return <Failed problem={problemOf(map.error)} retry={() => void map.refetch()} />;
  if (odds.isError) return <Failed problem={problemOf(odds.error)} retry={() => void odds.refetch()} />;
  if (!map.data || !odds.data) return <Loading what="Solving the map" />;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,1fr)_272px]">
      <main className="min-w-0 px-5 pt-2 pb-6">
        <h1 className="sr-only">{map.data.title}</h1>
        <OddsControls map={map.data} />
        <Grid map={map.data} odds={odds.data} was={was} />
      </main>
      <Aside map={map.data} odds={odds.data} was={was} />
    </div>
  );
}

function Grid({ map, odds, was }: { map: Schemas["Map"]; odds: OddsData; was?: OddsData }) {
  return (
    <div className="mt-2.5" onKeyDown={moveBetweenGates}>
      <div className="hidden grid-cols-[118px_repeat(4,minmax(0,1fr))] gap-x-4 pb-1 text-quiet lg:grid">
        <span />
        {STAGES.map((stage) => (
          <span key={stage} className="font-semibold">
            {STAGE_LABEL[stage]}
          </span>
        ))}
      </div>
      {map.families.map((family) => (
        <FamilyRow key={family.id} family={family} map={map} odds={odds} was={was} />
      ))}
    </div>
  );
}

function FamilyRow({
  family,
  map,
  odds,
  was,
}: {
  family: Schemas["Named"];
  map: Schemas["Map"];
  odds: OddsData;
  was?: OddsData;
}) {
  const situations = map.situations.filter((s) => s.family === family.id);
  if (situations.length === 0) return null;
  return (
    <section
      className="grid gap-x-4 border-t border-rule py-2 lg:grid-cols-[118px_repeat(4,minmax(0,1fr))]"
      aria-label={family.title}
    >
      <h2 className="text-[15px]" style={{ fontStretch: "88%" }}>
        {family.title}
      </h2>
      {STAGES.map((stage) => {
        const here = situations.filter((s) => s.stage === stage);
        return (
          <div key={stage} className="min-w-0">
            {here.length > 0 && (
              <h3 className="mt-2 text-[14px] text-quiet lg:sr-only">{STAGE_LABEL[stage]}</h3>
            )}
            {here.map((situation) => (
              <SituationGate key={situation.id} situation={situation} map={map} odds={odds} was={was} />
            ))}
          </div>
        );
      })}
    </section>
  );
}

function SituationGate({
  situation,
  map,
  odds,
  was,
}: {
  situation: Schemas["Situation"];
  map: Schemas["Map"];
  odds: OddsData;
  was?: OddsData;
}) {
  const [params] = useSearchParams();
  const at = odds.situations[situation.id];
  if (!at) return null;
  const hole = holesOf(map, odds, situation.id);
  const late = situation.stage === "last-chance";
  return (
    <Link
      to={paths.situation(map.id, situation.id) + settingQuery(params)}
      data-gate={situation.stage}
      className={`-mx-1.5 block px-1.5 pb-1 no-underline hover:bg-lane/60 max-lg:py-2 ${hole ? "outline-1 -outline-offset-1 outline-rust outline-dashed" : ""}`}
      title={hole ? `${situation.title}: ${hole}` : situation.title}
    >
      <span className="flex items-baseline justify-between gap-2">
        <span className="min-w-0 leading-[19px] lg:leading-[18px]" style={narrowness(at.worth)}>
          {situation.title}
        </span>
        <Odds
          worth={at.worth}
          was={was?.situations[situation.id]?.worth}
          className="leading-[19px] lg:leading-[18px]"
        />
      </span>
      <Gate worth={at.worth} late={late} className="mt-0.5" />
      {hole && <span className="sr-only">. {hole}</span>}
    </Link>
  );
}

function Aside({ map, odds, was }: { map: Schemas["Map"]; odds: OddsData; was?: OddsData }) {
  const aim = useAim(map);
  const [params] = useSearchParams();
  const holes = map.situations.flatMap((s) => {
    const hole = holesOf(map, odds, s.id);
    return hole ? [{ situation: s, hole }] : [];
  });
  const tight = map.situations
    .filter((s) => s.entry > 0)
    .sort((a, b) => (odds.situations[a.id]?.worth ?? 0) - (odds.situations[b.id]?.worth ?? 0))
    .slice(0, 4);
  return (
    <aside className="border-rule px-5 pt-3 pb-8 lg:border-l">
      <p className="flex items-baseline gap-2">
        <span className="text-[44px] leading-none font-bold" style={{ fontStretch: "78%" }}>
          {hundred(odds.start)}
        </span>
        <span>
          {startInWords(
            aim,
            was && hundred(was.start) !== hundred(odds.start) ? hundred(was.start) : undefined,
          )}
        </span>
      </p>
      <Gate worth={odds.start} height={10} className="mt-2" />
      <h2 className="mt-6 text-[15px]">Holes</h2>
      {holes.length === 0 && <p className="mt-1 text-quiet">Every answer of theirs has been answered.</p>}
      {holes.map(({ situation, hole }) => (
        <Link
          key={situation.id}
          to={paths.situation(map.id, situation.id) + settingQuery(params)}
          className="block border-b border-rule py-2 no-underline hover:underline"
        >
          <span className="font-semibold">{situation.title}</span>
          <span className="block text-quiet">{hole}</span>
        </Link>
      ))}
      <h2 className="mt-6 text-[15px]">Tightest starts</h2>
      {tight.map((situation) => (
        <Link
          key={situation.id}
          to={paths.situation(map.id, situation.id) + settingQuery(params)}
          className="block border-b border-rule py-2 no-underline hover:underline"
        >
          <span className="flex justify-between gap-2">
            <span>{situation.title}</span>
            <Odds worth={odds.situations[situation.id]?.worth ?? 0} />
          </span>
        </Link>
      ))}
      <p className="mt-6 text-quiet">{map.about}</p>
    </aside>
  );
}

function startInWords(aim: Schemas["Aim"] | undefined, was: number | undefined): string {
  const change = was === undefined ? "" : `, was ${was}`;
  return aim?.chance
    ? `of 100 starts reach ${aim.title.toLowerCase()}${change}`
    : `of 100 by ${(aim?.title ?? "").toLowerCase()}${change}`;
}
