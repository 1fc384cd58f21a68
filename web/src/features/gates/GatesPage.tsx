import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { isOver } from "../../api/run";
import { hundred, tenths } from "../../labels";
import { difference, Gate, narrowness } from "../../ui/Gate";
import { together, Waiting } from "../../ui/Waiting";
import { Refused } from "../../ui/Notice";
import { paths, reactionTitle, useMap } from "../map";
import {
  Reorder,
  SettingLine,
  settingQuery,
  useFrozenOrder,
  useGates,
  useOverview,
  useSetting,
  type Overview,
} from "../odds";
import { useCut } from "./cut";
import { fallsOf } from "./falls";
import { Heading } from "../../ui/Heading";
import { indexOf } from "../../model/mapIndex";

const SHOWN = 12;

/** What everything hangs on: every reaction by what is lost without it, and the small set that shuts the map. */
export function GatesPage() {
  const map = useMap();
  const gates = useGates(map.data);
  const odds = useOverview(map.data);
  const [taken, take] = useState<string>();
  const ready = together({ map, gates, odds });
  if (!ready.data) return <Waiting what="Taking each reaction away in turn" on={ready} />;
  const data = ready.data;
  const away = data.gates.gates.find((gate) => gate.reaction === taken);
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-76px)] lg:grid-cols-[minmax(0,1fr)_380px]">
      <main className="min-w-0 px-5 pt-2 pb-10">
        <SettingLine map={data.map} />
        <Ranking map={data.map} gates={data.gates} taken={taken} take={take} />
      </main>
      <aside className="space-y-8 px-5 pt-2.5 pb-10 lg:border-l lg:border-rule">
        <Falling
          map={data.map}
          odds={data.odds}
          start={data.gates.start}
          away={away}
          putBack={() => take(undefined)}
        />
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

/** The map with everything taught, or with one reaction taken away: the whole of it, and every family, as gates. */
function Falling({
  map,
  odds,
  start,
  away,
  putBack,
}: {
  map: Schemas["Map"];
  odds: Overview;
  start: number;
  away: Schemas["NarrowGate"] | undefined;
  putBack: () => void;
}) {
  const falls = fallsOf(map, odds, away?.situations ?? {});
  const now = away ? away.startWithout : start;
  return (
    <section aria-label="What falls" className="lg:sticky lg:top-16">
      <div className="flex min-h-[3lh] items-end justify-between gap-3" aria-live="polite">
        <p className="line-clamp-3">
          {away ? (
            <>
              Without <span className="font-semibold">{reactionTitle(map, away.reaction)}</span>
            </>
          ) : (
            "With everything taught"
          )}
        </p>
        {away && (
          <button type="button" className="word shrink-0 whitespace-nowrap" onClick={putBack}>
            put it back
          </button>
        )}
      </div>
      <div className="mt-1 flex items-center gap-3">
        <span className="w-14 text-[44px] leading-none font-bold" style={{ fontStretch: "76%" }}>
          {hundred(now)}
        </span>
        <Gate worth={now} beside={away ? start : undefined} height={22} className="grow" />
      </div>
      <ul className="mt-3">
        {falls.map((fall) => {
          const by = away ? difference(fall.before, fall.after) : "";
          return (
            <li
              key={fall.family}
              className={`grid min-h-7 grid-cols-[minmax(0,1fr)_112px_30px_34px] items-center gap-x-3 border-b border-rule ${by ? "font-semibold" : ""}`}
            >
              <span className="truncate" style={narrowness(fall.after)}>
                {fall.title}
              </span>
              <Gate worth={fall.after} beside={away ? fall.before : undefined} />
              <span className="text-right">{hundred(fall.after)}</span>
              <span className="text-right text-rust">{by}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Ranking({
  map,
  gates,
  taken,
  take,
}: {
  map: Schemas["Map"];
  gates: Schemas["NarrowGates"];
  /** The reaction that is taken away. */
  taken: string | undefined;
  take: (reaction: string | undefined) => void;
}) {
  const [all, setAll] = useState(false);
  const telling = gates.gates.filter((gate) => gate.lost > 0.0005);
  const order = useFrozenOrder(telling, (gate) => gate.reaction, `${map.id} ${map.revision}`);
  return (
    <>
      <Heading className="mt-4">Hangs on</Heading>
      <p className="text-quiet">
        {hundred(gates.start)} of 100 starts with everything taught. Each line is what is lost without one
        reaction.
      </p>
      <Reorder first={order.first && reactionTitle(map, order.first.reaction)} reorder={order.reorder} />
      <ol>
        {(all ? order.items : order.items.slice(0, SHOWN)).map((gate, index) => (
          <GateRow
            key={gate.reaction}
            map={map}
            gate={gate}
            start={gates.start}
            narrow={index < 3}
            away={gate.reaction === taken}
            take={() => take(gate.reaction === taken ? undefined : gate.reaction)}
          />
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
  away,
  take,
}: {
  map: Schemas["Map"];
  gate: Schemas["NarrowGate"];
  start: number;
  narrow: boolean;
  away: boolean;
  take: () => void;
}) {
  const hit = Object.entries(gate.situations)
    .filter(([, lost]) => lost > 0)
    .sort((a, b) => b[1] - a[1]);
  return (
    <li
      className={`relative grid grid-cols-[minmax(0,1fr)_64px] items-center gap-x-6 gap-y-0.5 border-b border-rule py-1.5 pr-2 pl-5 sm:grid-cols-[minmax(0,1fr)_112px_64px] ${away ? "bg-lane" : ""}`}
    >
      {narrow && (
        <span aria-hidden="true" className="absolute inset-y-2 left-0 w-[9px] border border-ink bg-signal" />
      )}
      <div className="min-w-0">
        <p className="text-base font-semibold lg:text-[15px]">{reactionTitle(map, gate.reaction)}</p>
        <p className="truncate text-quiet">
          in <SituationLink map={map} id={gate.situation} />.{" "}
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
      <button
        type="button"
        className="word justify-self-start whitespace-nowrap max-sm:order-last"
        aria-pressed={away}
        onClick={take}
      >
        {away ? "put it back" : "take it away"}
        <span className="sr-only"> {reactionTitle(map, gate.reaction)}</span>
      </button>
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
