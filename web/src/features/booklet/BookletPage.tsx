import { useSearchParams } from "react-router";
import { type Schemas } from "../../api/client";
import { hundred, lateness, STAGES } from "../../labels";
import { Gate } from "../../ui/Gate";
import { NotSolved } from "../../ui/Notice";
import { paths, useMap } from "../map";
import { settingQuery, useOdds, type OddsData } from "../odds";
import { Card } from "./Card";
import { PrintBar } from "./PrintBar";
import { SettingLine } from "./SettingLine";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";

/** The whole map as a booklet: the overview, then a page for every situation, family by family. */
export function BookletPage() {
  const map = useMap();
  const odds = useOdds(map.data);
  const [params] = useSearchParams();
  const ready = together({ map, odds });
  if (!ready.data) return <Waiting what="Writing the booklet" on={ready} />;
  const data = ready.data;
  if (!data.odds.converged) return <NotSolved />;
  const loaded = data.map;
  const solved = data.odds;
  return (
    <main className="mx-auto max-w-[820px] px-5 pb-10">
      <PrintBar back={paths.map(loaded.id) + settingQuery(params)} what="the map" />
      <header>
        <Heading size="cover">{loaded.title}</Heading>
        <p className="cover-note mt-1">{loaded.about}</p>
        <SettingLine map={loaded} />
      </header>
      <Overview map={loaded} odds={solved} />
      {loaded.families.map((family) =>
        loaded.situations
          .filter((s) => s.family === family.id)
          .map((situation) => {
            const at = solved.situations[situation.id];
            return (
              at && (
                <div key={situation.id} className="new-page mt-10">
                  <Card map={loaded} situation={situation} at={at} />
                </div>
              )
            );
          }),
      )}
    </main>
  );
}

/** The lateness as a number; places to rest in come last. */
function column(situation: Schemas["Situation"]): number {
  return situation.stage ? STAGES.indexOf(situation.stage) : STAGES.length;
}

/** Every situation with its odds, in the order of the pages. */
function Overview({ map, odds }: { map: Schemas["Map"]; odds: OddsData }) {
  return (
    <div className="overview mt-5 columns-2 gap-8">
      {map.families.map((family) => {
        const here = map.situations
          .filter((s) => s.family === family.id)
          .sort((a, b) => column(a) - column(b));
        return (
          here.length > 0 && (
            <section key={family.id} className="mb-3 break-inside-avoid">
              <h2 className="border-b-2 border-ink text-[15px]">{family.title}</h2>
              {here.map((s) => (
                <p
                  key={s.id}
                  className="grid grid-cols-[minmax(0,1fr)_70px_30px] items-baseline gap-x-2 border-b border-rule"
                >
                  <span className="truncate" title={lateness(s)}>
                    {s.title}
                  </span>
                  <Gate
                    worth={odds.situations[s.id]?.worth ?? 0}
                    late={s.stage === "last-chance"}
                    height={5}
                  />
                  <span className="text-right font-semibold">
                    {hundred(odds.situations[s.id]?.worth ?? 0)}
                  </span>
                </p>
              ))}
            </section>
          )
        );
      })}
    </div>
  );
}
