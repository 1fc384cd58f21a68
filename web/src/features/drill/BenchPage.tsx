import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Loading, Refused } from "../../ui/Notice";
import { isOut, together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { OddsControls, settingQuery } from "../odds";
import { AddLink, Controls } from "./Controls";
import {
  sourceName,
  sourceOf,
  useDesign,
  useFound,
  useLibrary,
  usePlan,
  useProposals,
  type Found,
} from "./design";
import { Figures } from "./Figures";
import { Keeping, PutBack } from "./Keeping";
import { LinksTable } from "./LinksTable";
import { Offers } from "./Offers";
import { ReadFile } from "./ReadFile";
import { Rounds, Solo } from "./Rounds";
import { SpotTheMistake } from "./SpotTheMistake";
import { Strip } from "./Strip";

/** The bench: take a drill, see what it costs and gives, change it, keep it, print it. */
export function BenchPage() {
  const [params] = useSearchParams();
  const map = useMap();
  const proposals = useProposals(map.data);
  const library = useLibrary(map.data?.id);
  const found = useFound(map.data);
  const ready = together({ map, proposals, library });
  if (!ready.data) return <Waiting what="Looking at what is worth drilling" on={ready} />;
  const data = ready.data;
  const source = sourceOf(params, data.proposals);
  return (
    <div className="max-lg:flex max-lg:flex-col lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[250px_minmax(0,1fr)_250px]">
      <nav
        aria-label="Drills"
        className="border-rule px-3 pt-3 pb-6 max-lg:order-3 max-lg:border-t lg:border-r"
      >
        <PutBack mapId={data.map.id} />
        <Offers map={data.map} proposals={data.proposals} library={data.library} source={source} />
        <p className="mt-4">
          <Link className="word" to={paths.trainer(data.map.id) + settingQuery(params)}>
            Reading trainer
          </Link>
        </p>
        <ReadFile map={data.map} />
      </nav>
      {isOut(found) ? (
        <main className="p-5">
          <Heading>Bench</Heading>
          <Refused problem={problemOf(found.error)} />
        </main>
      ) : found.data ? (
        <Bench
          key={sourceName(found.data.source) + (found.data.states?.[0]?.version ?? "")}
          map={data.map}
          found={found.data}
          // Until the drill just pressed is here, nothing may be typed into the one that is leaving.
          leaving={source !== undefined && sourceName(source) !== sourceName(found.data.source)}
        />
      ) : found.data === null ? (
        <main className="p-5">
          <Heading>Bench</Heading>
          <p className="mt-2">
            Nothing is worth drilling yet: nobody has written down an answer. Start on the map.
          </p>
        </main>
      ) : (
        <main className="p-5">
          <Loading what="Taking the drill" />
        </main>
      )}
    </div>
  );
}

function Bench({ map, found, leaving }: { map: Schemas["Map"]; found: Found; leaving: boolean }) {
  const { drill, touched, base, change, forget, settle } = useDesign(map.id, found);
  const plan = usePlan(map, drill);
  // What was planned last stays while a change is refused, with the field in which it can be mended.
  const [last, setLast] = useState(plan.data);
  if (plan.data && plan.data !== last) setLast(plan.data);
  const data = plan.data ?? last;
  return (
    <>
      <main className="min-w-0 px-5 pt-3 pb-10" inert={leaving} aria-busy={leaving}>
        <Heading size="unseen">Bench: {drill.title}</Heading>
        <div className="flex flex-wrap items-end gap-x-5 gap-y-1">
          <input
            aria-label="What the drill is called"
            className="min-w-0 grow border-b border-transparent bg-transparent text-[26px] leading-tight font-bold hover:border-edge focus:border-ink"
            style={{ fontStretch: "82%" }}
            maxLength={90}
            value={drill.title}
            onChange={(event) => change({ title: event.target.value })}
          />
          <button type="button" className="word" onClick={() => change({ seed: (drill.seed % 999_999) + 1 })}>
            Another draw
          </button>
        </div>
        {data && <p className="mt-1 text-quiet">{data.kind.feeder}</p>}
        <div className="mt-2 border-y border-rule py-2">
          <OddsControls map={map} />
        </div>
        {plan.isError && (
          <div className="mt-3">
            <Refused problem={problemOf(plan.error)} />
          </div>
        )}
        {data && (
          <>
            <Strip map={map} plan={data} />
            <Rounds plan={data} />
            <Solo plan={data} />
            {data.links.length > 0 && <LinksTable plan={data} drill={drill} change={change} />}
          </>
        )}
        {!data && !plan.isError && <Loading what="Planning the drill" />}
        <AddLink map={map} drill={drill} change={change} />
        <label className="mt-3 block">
          <span className="text-quiet">What else you want to say</span>
          <textarea
            className="box mt-0.5"
            rows={2}
            maxLength={400}
            value={drill.note}
            onChange={(event) => change({ note: event.target.value.replace(/\n/g, " ") })}
          />
        </label>
        {data && <SpotTheMistake plan={data} />}
      </main>
      <aside
        className="space-y-4 border-rule px-4 pt-3 pb-10 max-lg:order-2 max-lg:border-t lg:border-l"
        inert={leaving}
      >
        <Controls drill={drill} ladder={data?.ladder ?? []} change={change} />
        {/* Above what is worked out, which moves what comes after it under a finger. */}
        <Keeping
          map={map}
          found={found}
          drill={drill}
          touched={touched}
          base={base}
          forget={forget}
          settle={settle}
          change={change}
        />
        {data && Math.abs(data.minutes - drill.minutes) > 0.5 && (
          <p className="text-rust">
            It fills {data.minutes.toFixed(1)} of the {drill.minutes} minutes.
          </p>
        )}
        {data && <Figures map={map} plan={data} />}
      </aside>
    </>
  );
}
