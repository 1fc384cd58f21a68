import { useMemo } from "react";
import { Link, useSearchParams } from "react-router";
import { type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { paths, useMap } from "../map";
import { SettingLine, settingQuery, useFlow, useStories } from "../odds";
import { draw, stopsOf, type Drawn } from "./flow";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { indexOf } from "../../model/mapIndex";
import { useAddress } from "../../ui/address";

const WIDTH = 960;
/** Room for the names behind the last column. */
const NAMES = 164;
const HEIGHT = 560;
const BAR = 10;
const EXCHANGES = [3, 4, 5, 6, 8];

/** Where 100 starts end, exchange by exchange, and the commonest ways a round goes. */
export function FlowPage() {
  const map = useMap();
  const [params, write] = useAddress();
  const from = params.get("from") || undefined;
  const exchanges = EXCHANGES.find((n) => n === Number(params.get("exchanges"))) ?? 4;
  const flow = useFlow(map.data, from, exchanges);
  const stories = useStories(map.data, from);
  const choose = (name: string, value: string) => write({ [name]: value || undefined });
  const ready = together({ map, flow });
  if (!ready.data) return <Waiting what="Following 100 starts" on={ready} />;
  const data = ready.data;
  const start = indexOf(data.map).situation(from);
  return (
    <div className="lg:grid lg:grid-cols-[minmax(0,1fr)_300px]">
      <main className="min-w-0 px-5 pt-2 pb-8">
        <SettingLine map={data.map} />
        <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-2">
          <Heading className="mr-auto">Where they end</Heading>
          <label className="flex items-center gap-2">
            <span className="text-quiet">from</span>
            <select
              className="box max-w-60 lg:min-h-8 lg:py-0"
              value={start?.id ?? ""}
              onChange={(event) => choose("from", event.target.value)}
            >
              <option value="">all the starts of the map</option>
              {data.map.situations.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.title}
                </option>
              ))}
            </select>
          </label>
          <label className="flex items-center gap-2">
            <span className="text-quiet">over</span>
            <select
              className="box lg:min-h-8 lg:py-0"
              value={exchanges}
              onChange={(event) => choose("exchanges", event.target.value)}
            >
              {EXCHANGES.map((n) => (
                <option key={n} value={n}>
                  {n} exchanges
                </option>
              ))}
            </select>
          </label>
        </div>
        <Picture map={data.map} flow={data.flow} />
      </main>
      <aside className="border-rule px-5 pt-4 pb-10 lg:border-l">
        <Ends map={data.map} flow={data.flow} />
        <h2 className="mt-6 text-base lg:text-[15px]">The commonest ways it goes</h2>
        {stories.data?.map((story) => (
          <Story key={story.words.join()} story={story} />
        ))}
        {stories.data?.length === 0 && <p className="mt-1 text-quiet">Nothing ends on this map yet.</p>}
      </aside>
    </div>
  );
}

function Story({ story }: { story: Schemas["CommonStory"] }) {
  return (
    <section className="border-b border-rule py-2.5">
      <h3 className="font-semibold">{(story.chance * 100).toFixed(1)} of 100 go like this</h3>
      <ol className="mt-1 space-y-0.5">
        {story.words.map((line, index) => (
          <li key={index}>{line}</li>
        ))}
      </ol>
    </section>
  );
}

/** Where they are at the end of what is drawn. */
function Ends({ map, flow }: { map: Schemas["Map"]; flow: Schemas["Flow"] }) {
  const { stops } = useMemo(() => stopsOf(map, flow), [map, flow]);
  const last = stops.filter((s) => s.exchange === flow.exchanges.length - 1);
  const ended = last.filter((s) => s.kind).sort((a, b) => b.count - a.count);
  const going = last.filter((s) => !s.kind).reduce((sum, s) => sum + s.count, 0);
  return (
    <>
      <h2 className="text-base lg:text-[15px]">After {flow.exchanges.length - 1} exchanges</h2>
      <table className="mt-1 w-full">
        <tbody>
          {ended.map((s) => (
            <tr key={s.id} className="border-b border-rule">
              <th className="py-1 text-left font-normal">{s.title}</th>
              <td className="text-right font-semibold">{hundred(s.count / 100)}</td>
            </tr>
          ))}
          <tr className="border-b border-rule">
            <th className="py-1 text-left font-normal">still going on</th>
            <td className="text-right font-semibold">{hundred(going / 100)}</td>
          </tr>
        </tbody>
      </table>
    </>
  );
}

function colour(kind: string | undefined): string {
  if (kind === "tap") return "rust";
  return kind ? "green" : "quiet";
}

const FILL: Record<string, string> = { rust: "fill-rust", green: "fill-green", quiet: "fill-ink" };
const STROKE: Record<string, string> = { rust: "stroke-rust", green: "stroke-green", quiet: "stroke-edge" };

function Picture({ map, flow }: { map: Schemas["Map"]; flow: Schemas["Flow"] }) {
  const drawn = useMemo(() => draw(stopsOf(map, flow), WIDTH - NAMES, HEIGHT, BAR), [map, flow]);
  const columns = flow.exchanges.length;
  const step = (WIDTH - NAMES - BAR) / Math.max(columns - 1, 1);
  if (drawn.stops.length === 0) {
    return <p className="mt-6">No round starts anywhere on this map. Say where your students start.</p>;
  }
  return (
    <div className="mt-2 overflow-x-auto" tabIndex={0} role="region" aria-label="The flow, drawn">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT + 24}`}
        className="w-full min-w-[1140px] text-[13.5px] lg:min-w-[760px]"
      >
        <Bands drawn={drawn} map={map} />
        {drawn.stops.map((stop) => (
          <g key={stop.id}>
            <rect
              x={stop.x}
              y={stop.y}
              width={BAR}
              height={Math.max(stop.height, 1)}
              className={FILL[colour(stop.kind)]}
            />
            {stop.height >= 9 && (
              <Label map={map} stop={stop} room={stop.exchange === columns - 1 ? NAMES : step - BAR - 8} />
            )}
          </g>
        ))}
        {flow.exchanges.map((_, exchange) => (
          <text key={exchange} x={exchange * step} y={HEIGHT + 18} className="fill-quiet">
            {exchange === 0 ? "start" : `exchange ${exchange}`}
          </text>
        ))}
      </svg>
    </div>
  );
}

/** Of 100 starts. */
const TELLING = 1;

function Bands({ drawn, map }: { drawn: Drawn; map: Schemas["Map"] }) {
  const [params] = useSearchParams();
  return drawn.bands.map((band) => {
    const situation = band.to.situation ?? band.from.situation;
    const key = `${band.from.id} ${band.to.id}`;
    const told = `${hundred(band.count / 100) || "under 1"} of 100: ${band.from.title} → ${band.to.title}`;
    const path = (
      <path
        key={key}
        d={band.path}
        fill="none"
        strokeWidth={Math.max(band.width, 0.6)}
        className={`${STROKE[colour(band.to.kind)]} opacity-30 group-focus-visible:opacity-80 hover:opacity-60`}
      >
        <title>{told}</title>
      </path>
    );
    if (!situation) return path;
    return (
      <Link
        key={key}
        to={paths.situation(map.id, situation) + settingQuery(params)}
        aria-label={told}
        className="group outline-none"
        // The thinnest are left to the pointer: a hundred of them would lie between two that tell something.
        tabIndex={band.count >= TELLING ? undefined : -1}
      >
        {path}
      </Link>
    );
  });
}

/** About as many letters as fit into the room between two columns. */
const LETTER = 6.6;

function Label({ map, stop, room }: { map: Schemas["Map"]; stop: Drawn["stops"][number]; room: number }) {
  const [params] = useSearchParams();
  const letters = Math.floor(room / LETTER) - 3;
  const title = stop.title.length > letters ? `${stop.title.slice(0, letters - 1)}…` : stop.title;
  const text = (
    <text
      x={stop.x + BAR + 5}
      y={stop.y + stop.height / 2 + 4.5}
      className="fill-ink stroke-ground [paint-order:stroke]"
      strokeWidth={3.5}
    >
      <tspan className="font-bold">{hundred(stop.count / 100)}</tspan> {title}
    </text>
  );
  return stop.situation ? (
    <Link to={paths.situation(map.id, stop.situation) + settingQuery(params)}>{text}</Link>
  ) : (
    text
  );
}
