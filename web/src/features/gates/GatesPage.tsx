import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { isOver } from "../../api/run";
import { hundred, tenths } from "../../labels";
import { Gate } from "../../ui/Gate";
import { together, Waiting } from "../../ui/Waiting";
import { Refused } from "../../ui/Notice";
import { paths, reactionTitle, useMap } from "../map";
import { Reorder, SettingLine, settingQuery, useFrozenOrder, useGates, useSetting } from "../odds";
import { useCut } from "./cut";
import { Heading } from "../../ui/Heading";
import { indexOf } from "../../model/mapIndex";

const SHOWN = 12;

/** What everything hangs on: every reaction by what is lost without it, and the small set that shuts the map. */
export function GatesPage() {
  const map = useMap();
  const gates = useGates(map.data);
  const ready = together({ map, gates });
  if (!ready.data) return <Waiting what="Taking each reaction away in turn" on={ready} />;
  const data = ready.data;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,1fr)_300px]">
      <main className="min-w-0 px-5 pt-2 pb-10">
        <SettingLine map={data.map} />
        <Ranking map={data.map} gates={data.gates} />
      </main>
      <aside className="space-y-8 px-5 pt-4 pb-10 lg:border-l lg:border-rule">
        <Shutting map={data.map} start={data.gates.start} />
        <InTheWay map={data.map} trims={data.gates.trims} />
      </aside>
    </div>
  );
}

function SituationLink({ map, id }: { map: Schemas["Map"]; id: string }) {
  const [params] = useSearchParams();
  return (
    <Link className="link" to={paths.situation(map.id, id) + settingQuery(params)}>
      {indexOf(map).situation(id)?.title ?? id}
    </Link>
  );
}

function Ranking({ map, gates }: { map: Schemas["Map"]; gates: Schemas["NarrowGates"] }) {
  const [all, setAll] = useState(false);
  const telling = gates.gates.filter((gate) => gate.lost > 0.0005);
  const order = useFrozenOrder(telling, (gate) => gate.reaction, `${map.id} ${map.revision}`);
  return (
    <>
      <Heading className="mt-4">Hangs on</Heading>
      <p className="text-quiet">
        {hundred(gates.start)} of 100 starts with everything taught. Each line is the map without one
        reaction.
      </p>
      <Reorder first={order.first && reactionTitle(map, order.first.reaction)} reorder={order.reorder} />
      <ol>
        {(all ? order.items : order.items.slice(0, SHOWN)).map((gate, index) => (
          <GateRow key={gate.reaction} map={map} gate={gate} start={gates.start} narrow={index < 3} />
        ))}
      </ol>
      {telling.length > SHOWN && !all && (
        <button type="button" className="word mt-2" onClick={() => setAll(true)}>
          {telling.length - SHOWN} more
        </button>
      )}
      {telling.length === 0 && (
        <p className="mt-3">No single reaction carries this map: taking any one away changes nothing.</p>
      )}
    </>
  );
}

function GateRow({
  map,
  gate,
  start,
  narrow,
}: {
  map: Schemas["Map"];
  gate: Schemas["NarrowGate"];
  start: number;
  narrow: boolean;
}) {
  const hit = Object.entries(gate.situations)
    .filter(([, lost]) => lost > 0)
    .sort((a, b) => b[1] - a[1]);
  return (
    <li
      className={`grid grid-cols-[minmax(0,1fr)_64px] gap-x-6 gap-y-1 border-b border-rule py-2 pl-3 sm:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)_64px] ${narrow ? "border-l-4 border-l-signal" : "border-l-4 border-l-transparent"}`}
    >
      <div className="min-w-0">
        <p className="text-base font-semibold lg:text-[15px]">{reactionTitle(map, gate.reaction)}</p>
        <p className="text-quiet">
          in <SituationLink map={map} id={gate.situation} />
        </p>
      </div>
      <div className="min-w-0 max-sm:order-last max-sm:col-span-2">
        <Gate worth={gate.startWithout} className="mt-1.5" />
        <p className="mt-1 line-clamp-2 min-h-[2lh] text-quiet">
          {hit.length === 0
            ? "No single place changes much."
            : `${hit.length === 1 ? "One place worse" : `${hit.length} places worse, most`}: ${hit
                .slice(0, 3)
                .map(
                  ([id, lost]) => `${indexOf(map).situation(id)?.title ?? id} −${Math.max(1, hundred(lost))}`,
                )
                .join(", ")}.`}
        </p>
      </div>
      <p className="text-right leading-tight">
        <span className="block text-[20px] font-bold">−{tenths(start - gate.startWithout)}</span>
        <span className="text-quiet">{gate.estimated ? "estimated" : "of 100"}</span>
      </p>
    </li>
  );
}

const SHARES = [0.9, 0.8, 0.7, 0.5];

function Shutting({ map, start }: { map: Schemas["Map"]; start: number }) {
  const [setting] = useSetting();
  const [share, setShare] = useState(0.8);
  const cut = useCut(map.id, setting);
  const busy = cut.run !== undefined && !isOver(cut.run);
  return (
    <section className="space-y-3">
      <h2 className="text-base lg:text-[15px]">The small set that shuts the map</h2>
      <label className="block">
        <span className="text-quiet">Which reactions must a partner take away so that you fall below</span>
        <select className="box mt-1" value={share} onChange={(event) => setShare(Number(event.target.value))}>
          {SHARES.map((s) => (
            <option key={s} value={s}>
              {hundred(start * s)} of 100
            </option>
          ))}
        </select>
      </label>
      {busy ? (
        <p role="status" className="flex items-baseline gap-4">
          <span>{cut.run?.done ?? 0} maps solved …</span>
          <button type="button" className="word" onClick={() => cut.stop.mutate()}>
            Stop
          </button>
        </p>
      ) : (
        <button type="button" className="plate" onClick={() => cut.start.mutate(start * share)}>
          Find the smallest set
        </button>
      )}
      {cut.error && <Refused problem={problemOf(cut.error)} />}
      {cut.run?.failure && <p className="text-rust">{cut.run.failure}</p>}
      {cut.run?.state === "stopped" && <p role="status">Stopped.</p>}
      {cut.run?.cut && <CutResult map={map} cut={cut.run.cut} />}
    </section>
  );
}

function CutResult({ map, cut }: { map: Schemas["Map"]; cut: Schemas["SmallestCut"] }) {
  if (!cut.found) {
    return (
      <p role="status">
        {cut.exact
          ? "No set does it: what is left is rest."
          : `No set was found; it would take at least ${cut.atLeast}.`}
      </p>
    );
  }
  return (
    <div role="status" className="space-y-2">
      <p>
        Without {cut.reactions.length === 1 ? "this one" : `these ${cut.reactions.length}`} it is{" "}
        <span className="font-semibold">{hundred(cut.startWithout)} of 100</span>.
      </p>
      <ul className="space-y-1.5">
        {cut.reactions.map((id) => (
          <li key={id} className="border-l-4 border-signal pl-3">
            <span className="font-semibold">{reactionTitle(map, id)}</span>
            <span className="block text-quiet">
              in <SituationLink map={map} id={indexOf(map).reaction(id)?.from ?? ""} />
            </span>
          </li>
        ))}
      </ul>
      <p className="text-quiet">
        {cut.exact
          ? "No smaller set does it."
          : `It takes at least ${cut.atLeast}; whether a set smaller than this one does it is not known.`}
      </p>
    </div>
  );
}

function InTheWay({ map, trims }: { map: Schemas["Map"]; trims: Schemas["Trim"][] }) {
  const telling = trims.filter((trim) => trim.gain >= 0.0005).slice(0, 5);
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">Taught, and in the way</h2>
      {telling.length === 0 && (
        <p className="mt-1 text-quiet">No answer costs more thinking than it brings.</p>
      )}
      {telling.map((trim) => (
        <p key={trim.reaction} className="border-b border-rule py-2">
          <span className="font-semibold">{reactionTitle(map, trim.reaction)}</span>
          <span className="block text-quiet">
            Left out, <SituationLink map={map} id={trim.situation} /> gains {tenths(trim.gain)} of 100,
            because choosing is quicker.
          </span>
        </p>
      ))}
    </section>
  );
}
