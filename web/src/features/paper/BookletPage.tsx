import { Link, useSearchParams } from "react-router";
import { type Schemas } from "../../api/client";
import { hundred, lateness } from "../../labels";
import { Gate } from "../../ui/Gate";
import { NotSolved } from "../../ui/Notice";
import { paths, useMap } from "../map";
import { settingQuery, useOdds, type OddsData } from "../odds";
import { Card } from "./Card";
import { Fit } from "./Fit";
import { lateAs } from "./poster";
import { PrintBar } from "./PrintBar";
import { SettingLine } from "./SettingLine";
import { Sheet } from "./Sheet";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";

/** The sizes of the overview, in points. */
const OVERVIEW = [11, 10.5, 10, 9.5, 9, 8.5, 8, 7.5, 7, 6.5, 6];

/** The whole map as a booklet, two places on a sheet: first all of them with their odds, then one by one, family by family. */
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
  const query = settingQuery(params);
  const places = loaded.families.flatMap((family) =>
    loaded.situations.filter((s) => s.family === family.id && solved.situations[s.id]),
  );
  const sheets = Array.from({ length: Math.ceil(places.length / 2) }, (_, i) =>
    places.slice(2 * i, 2 * i + 2),
  );
  return (
    <main className="paper-view">
      <Heading size="unseen">Booklet and posters</Heading>
      <PrintBar back={paths.map(loaded.id) + query} what="the map">
        <span className="min-w-0">{1 + sheets.length} sheets, A4</span>
      </PrintBar>
      <nav aria-label="Wall posters" className="no-print flex flex-wrap items-baseline gap-x-5 px-5 pt-2">
        <span className="text-quiet">Wall posters</span>
        {loaded.families
          .filter((family) => places.some((s) => s.family === family.id))
          .map((family) => (
            <Link key={family.id} className="word" to={paths.poster(loaded.id, family.id) + query}>
              {family.title}
            </Link>
          ))}
      </nav>
      <Sheet paper="booklet">
        <Fit sizes={OVERVIEW} className="flex size-full flex-col">
          <h2 className="text-[2.4em] font-bold" style={{ fontStretch: "82%" }}>
            {loaded.title}
          </h2>
          <p>{loaded.about}</p>
          <Overview map={loaded} odds={solved} />
          <div className="mt-auto pt-[0.8em]">
            <SettingLine map={loaded} />
          </div>
        </Fit>
      </Sheet>
      {sheets.map((pair) => (
        <Sheet key={pair[0]!.id} paper="booklet">
          <div className="grid size-full grid-cols-2 gap-[11mm]">
            {pair.map((situation) => (
              <Card
                key={situation.id}
                map={loaded}
                situation={situation}
                at={solved.situations[situation.id]!}
                half
              />
            ))}
          </div>
        </Sheet>
      ))}
    </main>
  );
}

/** Every situation with its odds, in the order of the pages. */
function Overview({ map, odds }: { map: Schemas["Map"]; odds: OddsData }) {
  return (
    <div className="mt-[1em] columns-4 gap-[7mm]">
      {map.families.map((family) => {
        const here = map.situations
          .filter((s) => s.family === family.id)
          .sort((a, b) => lateAs(a) - lateAs(b));
        return (
          here.length > 0 && (
            <section key={family.id} className="mb-[1em] break-inside-avoid">
              <h3 className="border-b-2 border-ink text-[1.1em]">{family.title}</h3>
              {here.map((s) => (
                <p
                  key={s.id}
                  className="grid grid-cols-[minmax(0,1fr)_14mm_2em] items-center gap-x-[0.6em] border-b border-rule"
                >
                  <span title={lateness(s)}>{s.title}</span>
                  <Gate
                    worth={odds.situations[s.id]?.worth ?? 0}
                    late={s.stage === "last-chance"}
                    height={6}
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
