import { rollup } from "d3-array";
import { sankey, sankeyLinkHorizontal, type SankeyLink, type SankeyNode } from "d3-sankey";
import type { Schemas } from "../../api/client";
import { KIND_LABEL } from "../../labels";
import { indexOf } from "../../model/mapIndex";

/** Ends from the best to the worst, and where what goes on stands between them. */
const ORDER = [
  "reversal",
  "counter",
  "standing",
  "guard",
  "half",
  "neutral",
  "other",
  "going",
  "turtle",
  "tap",
];
/** A place with at least so many of 100 is told alone, the others of its family together. */
const ALONE = 5;
/** A family or an end with fewer of 100 than this is told with the others like it. */
const LITTLE = 1.5;
const OTHER = "other";

/** A stop of the flow: a place at one exchange, several of a family, or a kind of end that has come about by then. */
export interface Stop {
  id: string;
  exchange: number;
  title: string;
  count: number;
  /** The situation that most of them are in, where the round goes on. */
  situation?: string;
  /** The kind of end, where it is one. */
  kind?: string;
  /** Where it stands among what goes on. */
  place: number;
}

export interface Band {
  from: Stop;
  to: Stop;
  count: number;
}

interface Group {
  id: string;
  title: string;
  kind?: string;
  place: number;
}

/** Stops and bands of a flow. Every column adds up to 100 but for what is too little to be told. */
export function stopsOf(map: Schemas["Map"], flow: Schemas["Flow"]): { stops: Stop[]; bands: Band[] } {
  const groupOf = grouping(map, flow);
  const stops = new Map<string, Stop>();
  const most = new Map<string, number>();
  const at = flow.exchanges.map(({ places }, exchange) => {
    const where = new Map<string, Stop>();
    for (const [place, count] of Object.entries(places)) {
      const group = groupOf(exchange, place);
      const id = `${exchange} ${group.id}`;
      const stop = stops.get(id) ?? { ...group, id, exchange, count: 0 };
      stop.count += count;
      if (!group.kind && count > (most.get(id) ?? 0)) {
        most.set(id, count);
        stop.situation = place;
      }
      stops.set(id, stop);
      where.set(place, stop);
    }
    return where;
  });
  const bands = new Map<string, Band>();
  const add = (from: Stop | undefined, to: Stop | undefined, count: number) => {
    if (!from || !to) return;
    const id = `${from.id} > ${to.id}`;
    const band = bands.get(id) ?? { from, to, count: 0 };
    band.count += count;
    bands.set(id, band);
  };
  flow.links.forEach((l) => add(at[l.exchange - 1]?.get(l.from), at[l.exchange]?.get(l.to), l.count));
  stops.forEach((stop) => {
    if (stop.kind) add(stop, stops.get(`${stop.exchange + 1} end ${stop.kind}`), stop.count);
  });
  return { stops: [...stops.values()], bands: [...bands.values()] };
}

/** How a place at an exchange is told: alone, with its family, as an end, or with others of which there are few. */
function grouping(map: Schemas["Map"], flow: Schemas["Flow"]): (exchange: number, place: string) => Group {
  const kinds = new Map<string, string>();
  map.outcomes.forEach((o) => kinds.set(o.id, o.kind));
  map.situations.forEach((s) => s.rest && kinds.set(s.id, s.rest));
  const titles = new Map(map.situations.map((s) => [s.id, s.title]));
  const order = new Map(map.families.map((f, i) => [f.id, i]));
  const family = new Map(map.situations.map((s) => [s.id, s.family]));
  const last = flow.exchanges.length - 1;
  const goesOn = new Set(flow.links.map((l) => `${l.exchange - 1} ${l.from}`));
  // Where the last column still goes on is not known; a place to rest in counts as reached there.
  const endOf = (exchange: number, place: string) =>
    goesOn.has(`${exchange} ${place}`) || (exchange === last && !kinds.has(place))
      ? undefined
      : kinds.get(place);
  const ends = new Map<string, number>();
  Object.entries(flow.exchanges[last]?.places ?? {}).forEach(([place, count]) => {
    const kind = endOf(last, place);
    if (kind) ends.set(kind, (ends.get(kind) ?? 0) + count);
  });
  const families = flow.exchanges.map(({ places }, exchange) =>
    rollup(
      Object.entries(places).filter(([place, count]) => count < ALONE && !endOf(exchange, place)),
      (entries) => entries.reduce((sum, [, count]) => sum + count, 0),
      ([place]) => family.get(place) ?? "",
    ),
  );
  return (exchange, place) => {
    const kind = endOf(exchange, place);
    if (kind) {
      const told = (ends.get(kind) ?? 0) >= LITTLE ? kind : OTHER;
      return {
        id: `end ${told}`,
        title: told === OTHER ? "other ends" : (KIND_LABEL[told] ?? told),
        kind: told,
        place: 0,
      };
    }
    const of = family.get(place) ?? "";
    const rank = order.get(of) ?? 0;
    if ((flow.exchanges[exchange]?.places[place] ?? 0) >= ALONE) {
      return { id: place, title: titles.get(place) ?? place, place: rank };
    }
    if ((families[exchange]?.get(of) ?? 0) < LITTLE) {
      return { id: OTHER, title: "elsewhere", place: map.families.length };
    }
    return {
      id: `family ${of}`,
      title: indexOf(map).family(of)?.title ?? of,
      place: rank + 0.5,
    };
  };
}

type Node = SankeyNode<Stop, Band>;
type Link = SankeyLink<Stop, Band>;

export interface Drawn {
  stops: (Stop & { x: number; y: number; height: number })[];
  bands: (Band & { path: string; width: number })[];
}

/** Where a kind stands in its column; what goes on stands in the middle, in the order of the families. */
function rank(stop: Stop): number {
  return ORDER.indexOf(stop.kind ?? "going");
}

/** Lays the flow out in a box: good ends along the top, what goes on in the middle, taps along the bottom. */
export function draw(
  { stops, bands }: { stops: Stop[]; bands: Band[] },
  width: number,
  height: number,
  bar: number,
): Drawn {
  if (bands.length === 0) return { stops: [], bands: [] };
  const layout = sankey<Stop, Band>()
    .nodeId((stop) => stop.id)
    .nodeAlign((stop) => stop.exchange)
    .nodeSort((a, b) => rank(a) - rank(b) || a.place - b.place || b.count - a.count)
    .nodeWidth(bar)
    .nodePadding(9)
    .extent([
      [0, 4],
      [width, height - 4],
    ]);
  const { nodes, links } = layout({
    nodes: stops.map((stop) => ({ ...stop })),
    links: bands.map((band) => ({ ...band, source: band.from.id, target: band.to.id, value: band.count })),
  });
  const path = sankeyLinkHorizontal<Stop, Band>();
  return {
    stops: nodes.map((node: Node) => ({
      ...(node as Stop),
      x: node.x0 ?? 0,
      y: node.y0 ?? 0,
      height: (node.y1 ?? 0) - (node.y0 ?? 0),
    })),
    bands: links.map((link: Link) => ({
      from: link.from,
      to: link.to,
      count: link.count,
      path: path(link) ?? "",
      width: link.width ?? 0,
    })),
  };
}
