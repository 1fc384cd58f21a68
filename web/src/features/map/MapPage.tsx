import { Link, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { hundred, STAGE_LABEL, STAGES } from "../../labels";
import { Gate, narrowness, Odds } from "../../ui/Gate";
import { Failed, Loading, NotSolved } from "../../ui/Notice";
import {
  OddsControls,
  settingQuery,
  useAim,
  useGates,
  useOdds,
  useReview,
  useWas,
  type OddsData,
} from "../odds";
import { findingPlace, holesOf } from "./holes";
import { useMap } from "./map";
import { moveBetweenGates } from "./moveBetweenGates";
import { paths } from "./paths";

/** Families as rows, lateness as columns, every situation a gate as wide as its odds. */
export function MapPage() {
  const map = useMap();
  const odds = useOdds(map.data);
  const was = useWas(odds.data);
  const gates = useGates(map.data);
  if (map.isError) return <Failed problem={problemOf(map.error)} retry={() => void map.refetch()} />;
  if (odds.isError) return <Failed problem={problemOf(odds.error)} retry={() => void odds.refetch()} />;
  if (!map.data || !odds.data) return <Loading what="Solving the map" />;
  if (!odds.data.converged) return <NotSolved />;
  const narrow = new Set(gates.data?.gates.slice(0, NARROW).map((gate) => gate.situation));
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,1fr)_272px]">
      <main className="min-w-0 px-5 pt-2 pb-6">
        <h1 className="sr-only">{map.data.title}</h1>
        <OddsControls map={map.data} />
        <Grid map={map.data} odds={odds.data} was={was} narrow={narrow} />
      </main>
      <Aside map={map.data} odds={odds.data} was={was} gates={gates.data} />
    </div>
  );
}

/** As many reactions are marked as what everything hangs on. */
const NARROW = 3;

interface View {
  map: Schemas["Map"];
  odds: OddsData;
  was?: OddsData;
}

function Grid({ narrow, ...view }: View & { narrow: Set<string> }) {
  const { map } = view;
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
        <FamilyRow key={family.id} family={family} narrow={narrow} {...view} />
      ))}
    </div>
  );
}

function FamilyRow({ family, narrow, ...view }: View & { family: Schemas["Named"]; narrow: Set<string> }) {
  const { map } = view;
  const situations = map.situations.filter((s) => s.family === family.id);
  if (situations.length === 0) return null;
  return (
    <section
      className="grid gap-x-4 border-t border-rule py-2 lg:grid-cols-[118px_repeat(4,minmax(0,1fr))]"
      aria-label={family.title}
    >
      <h2 className="text-base lg:text-[15px]" style={{ fontStretch: "88%" }}>
        {family.title}
      </h2>
      {STAGES.map((stage) => {
        const here = situations.filter((s) => s.stage === stage);
        return (
          <div key={stage} className="min-w-0">
            {here.length > 0 && (
              <h3 className="mt-2 text-base text-quiet lg:sr-only lg:text-[14px]">{STAGE_LABEL[stage]}</h3>
            )}
            {here.map((situation) => (
              <SituationGate
                key={situation.id}
                situation={situation}
                narrow={narrow.has(situation.id)}
                {...view}
              />
            ))}
          </div>
        );
      })}
    </section>
  );
}

function SituationGate({
  situation,
  narrow,
  map,
  odds,
  was,
}: View & { situation: Schemas["Situation"]; narrow: boolean }) {
  const [params] = useSearchParams();
  const at = odds.situations[situation.id];
  if (!at) return null;
  const hole = holesOf(map, odds, situation.id);
  const late = situation.stage === "last-chance";
  return (
    <Link
      to={paths.situation(map.id, situation.id) + settingQuery(params)}
      data-gate={situation.stage}
      className={`relative -mx-1.5 block px-1.5 pb-1 no-underline hover:bg-lane/60 max-lg:py-2 ${hole ? "outline-1 -outline-offset-1 outline-rust outline-dashed" : ""}`}
      title={[situation.title, hole, narrow && "Much hangs on what is taught here."]
        .filter(Boolean)
        .join(": ")}
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
      {narrow && (
        <>
          <span aria-hidden="true" className="absolute inset-y-0.5 left-0 w-1 bg-signal" />
          <span className="sr-only">. Much hangs on this.</span>
        </>
      )}
      {hole && <span className="sr-only">. {hole}</span>}
    </Link>
  );
}

function Aside({ map, odds, was, gates }: View & { gates?: Schemas["NarrowGates"] }) {
  const aim = useAim(map);
  const [params] = useSearchParams();
  const review = useReview(map);
  const to = (situation: string) => paths.situation(map.id, situation) + settingQuery(params);
  const title = (reaction: string) => {
    const technique = map.reactions.find((r) => r.id === reaction)?.technique;
    return map.techniques.find((t) => t.id === technique)?.title ?? reaction;
  };
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
      <p className="mt-2 text-quiet">{hundred(odds.forced)} if they always find your worst.</p>
      <h2 className="mt-5 text-base lg:text-[15px]">Everything hangs on</h2>
      {gates?.gates.slice(0, NARROW).map((gate) => (
        <Link
          key={gate.reaction}
          to={to(gate.situation)}
          className="mt-2 block border-l-4 border-signal pl-3 no-underline hover:underline"
        >
          <span className="font-semibold">{title(gate.reaction)}</span>
          <span className="block text-quiet">
            Without it {(gate.lost * 100).toFixed(1)} of 100 fewer, {Object.keys(gate.situations).length}{" "}
            places worse.
          </span>
        </Link>
      ))}
      <h2 className="mt-5 text-base lg:text-[15px]">Holes</h2>
      {review.data?.length === 0 && (
        <p className="mt-1 text-quiet">Every answer of theirs has been answered.</p>
      )}
      <Findings map={map} findings={review.data?.slice(0, SHOWN) ?? []} to={to} />
      {review.data && review.data.length > SHOWN && (
        <details className="mt-2">
          <summary className="word">{review.data.length - SHOWN} more</summary>
          <Findings map={map} findings={review.data.slice(SHOWN)} to={to} />
        </details>
      )}
      <p className="mt-5 text-quiet">{map.about}</p>
    </aside>
  );
}

const SHOWN = 3;

function Findings({
  map,
  findings,
  to,
}: {
  map: Schemas["Map"];
  findings: Schemas["Finding"][];
  to: (situation: string) => string;
}) {
  return findings.map((finding) => {
    const place = findingPlace(map, finding);
    const gain = finding.gain ? hundred(finding.gain) : 0;
    const text = (
      <>
        <span className="font-semibold">{place.title}</span>
        <span className="block text-quiet">{finding.reason}</span>
        {gain > 0 && <span className="block font-semibold text-green">up to +{gain} if mended</span>}
      </>
    );
    const key = finding.kind + finding.place + (finding.response ?? "");
    return place.situation ? (
      <Link
        key={key}
        to={to(place.situation)}
        title={finding.mend}
        className="block border-b border-rule py-2 no-underline hover:underline"
      >
        {text}
      </Link>
    ) : (
      <p key={key} title={finding.mend} className="border-b border-rule py-2">
        {text}
      </p>
    );
  });
}

function startInWords(aim: Schemas["Aim"] | undefined, was: number | undefined): string {
  const change = was === undefined ? "" : `, was ${was}`;
  return aim?.chance
    ? `of 100 starts reach ${aim.title.toLowerCase()}${change}`
    : `of 100 by ${(aim?.title ?? "").toLowerCase()}${change}`;
}
