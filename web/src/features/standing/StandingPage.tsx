import { Link, useParams } from "react-router";
import type { Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { isoDay } from "../../ui/days";
import { together, Waiting } from "../../ui/Waiting";
import { paths, upperFirst, useMap } from "../map";
import { LEVEL_WORDS } from "../people";
import { useMay } from "../session";
import { Count } from "./Count";
import { DueList } from "./DueList";
import { GateList } from "./GateList";
import { LedgerTable } from "./LedgerTable";
import { agoInWords, useStanding, weakerInWords, type Standing } from "./standing";

/** Where one person stands, for those who teach. */
export function StandingPage() {
  const map = useMap();
  const person = useParams().person ?? "";
  const standing = useStanding(map.data?.id, person);
  const ready = together({ map, standing });
  if (!ready.data) return <Waiting what="Looking at where they stand" on={ready} />;
  const { map: opened, standing: one } = ready.data;
  return (
    <Sheet
      map={opened}
      standing={one}
      title={one.name}
      before={
        <p>
          <Link className="link" to={paths.standings(opened.id)}>
            Due and gates
          </Link>
        </p>
      }
    />
  );
}

/** Where one stands oneself; nobody else's is shown there. */
export function MinePage() {
  const map = useMap();
  const standing = useStanding(map.data?.id, undefined);
  const ready = together({ map, standing });
  if (!ready.data) return <Waiting what="Looking at where you stand" on={ready} />;
  return <Sheet map={ready.data.map} standing={ready.data.standing} title="Where you stand" own />;
}

function Sheet({
  map,
  standing,
  title,
  before,
  own = false,
}: {
  map: Schemas["Map"];
  standing: Standing;
  title: string;
  before?: React.ReactNode;
  own?: boolean;
}) {
  const mayLog = useMay("keep-record");
  const mayDecide = useMay("plan-classes");
  const today = isoDay(new Date());
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-76px)] lg:grid-cols-2 wide:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
      <main className="min-w-0 px-5 pt-3 pb-6">
        {before}
        <Heading>{title}</Heading>
        <p className="mt-1">
          {[
            standing.level && upperFirst(LEVEL_WORDS[standing.level] ?? ""),
            standing.rounds > 0 && `out in ${standing.out} of ${standing.rounds} rounds`,
            standing.last ? `last here ${agoInWords(standing.last, today)}` : "nothing is kept yet",
          ]
            .filter(Boolean)
            .join(", ")}
          .
        </p>
        <DueList map={map} due={standing.due} today={today} own={own} />
        <LedgerTable ledger={standing.ledger} goal={standing.goal} />
        {own && (
          <p className="mt-3">
            <a
              className="link inline-flex min-h-11 items-center"
              href={`/api/maps/${map.id}/record/mine/lines`}
              download="record.jsonl"
            >
              What is kept of you, as a file
            </a>
          </p>
        )}
      </main>
      <aside className="min-w-0 border-rule px-5 pt-3 pb-6 max-lg:border-t-2 max-lg:border-ink lg:border-l">
        <GateList
          map={map}
          person={standing.person}
          gates={standing.gates ?? undefined}
          mayDecide={mayDecide && !own}
          own={own}
        />
        <section className="mt-6" aria-labelledby="sides">
          <h2 id="sides" className="border-b-[3px] border-ink pb-1 text-lg">
            The weaker side
          </h2>
          <p className="mt-1">
            <strong>Live:</strong> {weakerInWords(standing.live, "live round")}
          </p>
          <p className="mt-0.5">
            <strong>Clean repetitions:</strong> {weakerInWords(standing.clean, "counted repetition")}
          </p>
        </section>
        <Faults standing={standing} />
        {mayLog && <Count map={map} person={standing.person} name={own ? "yourself" : standing.name} />}
      </aside>
    </div>
  );
}

function Faults({ standing }: { standing: Standing }) {
  return (
    <section className="mt-6" aria-labelledby="faults">
      <h2 id="faults" className="border-b-[3px] border-ink pb-1 text-lg">
        Faults that were seen
      </h2>
      {standing.faults.length === 0 ? (
        <p className="mt-1">None was noted. It is asked for where repetitions are counted.</p>
      ) : (
        <ul>
          {standing.faults.map((fault) => (
            <li key={fault.technique + fault.sign} className="border-b border-rule py-1.5">
              <div className="flex items-baseline justify-between gap-3">
                <span>
                  <strong>{fault.sign}</strong> <span className="text-quiet">{fault.title}</span>
                </span>
                <span className="whitespace-nowrap text-quiet">
                  {fault.times === 1 ? "once" : `${fault.times} times`}
                </span>
              </div>
              {fault.fix && <p>{fault.fix}</p>}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
