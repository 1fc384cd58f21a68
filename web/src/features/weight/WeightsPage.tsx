import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { lateness } from "../../labels";
import { indexOf } from "../../model/mapIndex";
import { Heading } from "../../ui/Heading";
import { useAddress } from "../../ui/address";
import { together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { settingQuery } from "../odds";
import { PlacePicture } from "../picture";
import { RangeBar } from "./RangeBar";
import { useWeights, type Figures } from "./weight";
import { degrees, wayInWords } from "./words";

const OF = 80;

/** Every place by what rests on you there. */
export function WeightsPage() {
  const map = useMap();
  const weights = useWeights(map.data);
  const ready = together({ map, weights });
  if (!ready.data) return <Waiting what="Weighing every place" on={ready} />;
  return <Weights map={ready.data.map} weights={ready.data.weights} />;
}

function Weights({ map, weights }: { map: Schemas["Map"]; weights: Schemas["PlaceWeight"][] }) {
  const [params, write] = useAddress();
  const family = map.families.some((f) => f.id === params.get("family")) ? params.get("family") : "";
  const places = weights
    .map((weight) => ({ ...weight, situation: indexOf(map).situation(weight.place) }))
    .filter((one) => one.situation !== undefined && (!family || one.situation.family === family));
  const told = places
    .filter((one) => one.figures.load)
    .sort((a, b) => b.figures.load!.likely - a.figures.load!.likely);
  const untold = places.filter((one) => !one.figures.load);
  return (
    <main className="px-5 pt-3 pb-16">
      <Heading>Weight and base</Heading>
      <p className="max-w-[70ch] text-quiet">
        What of them rests on you, and how far they are from tipping: two of 80 kg and 178 cm, in the posture
        that is drawn. Upright forces only; for comparing places, not a load to trust.
      </p>
      <label className="mt-3 flex max-w-sm items-center gap-3">
        <span className="shrink-0 text-quiet">Family</span>
        <select
          className="box"
          value={family ?? ""}
          onChange={(event) => write({ family: event.target.value || undefined })}
        >
          <option value="">all of them</option>
          {map.families.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}
            </option>
          ))}
        </select>
      </label>
      {told.length === 0 && (
        <p className="mt-4">
          {weights.length === 0
            ? "No place has been drawn yet, so there is nothing to weigh. Give a place a posture: Workshop, Postures."
            : "Nothing is reckoned for these places: what holds you there is pull."}
        </p>
      )}
      {told.length > 0 && (
        <table className="mt-4 w-full max-w-[1040px] border-collapse text-left">
          <thead>
            <tr className="border-b-2 border-ink align-bottom text-quiet">
              <th className="py-1 pr-3 font-normal">Heaviest first</th>
              <th className="w-[34%] py-1 pr-3 font-normal">of them on you, of {OF} kg</th>
              <th className="py-1 font-normal">they tip first</th>
            </tr>
          </thead>
          <tbody>
            {told.map((one) => (
              <tr key={one.place} className="border-b border-rule">
                <td className="py-1 pr-3">
                  <PlaceLink map={map} situation={one.situation!} />
                </td>
                <td className="pr-3">
                  <LoadBar load={one.figures.load!} />
                </td>
                <td>
                  <Tips figures={one.figures} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {untold.length > 0 && told.length > 0 && (
        <details className="mt-4">
          <summary className="word w-fit cursor-pointer">
            {untold.length === 1 ? "One place" : `${untold.length} places`} without a load: what holds you
            there is pull
          </summary>
          <ul className="mt-2 max-w-[1040px] gap-x-8 sm:columns-2 lg:columns-3">
            {untold.map((one) => (
              <li key={one.place} className="break-inside-avoid py-0.5">
                <PlaceLink map={map} situation={one.situation!} small />
              </li>
            ))}
          </ul>
        </details>
      )}
    </main>
  );
}

function PlaceLink({
  map,
  situation,
  small = false,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  small?: boolean;
}) {
  const [params] = useSearchParams();
  return (
    <Link
      to={paths.weight(map.id, situation.id) + settingQuery(params)}
      className="flex min-h-11 items-center gap-3 no-underline hover:underline lg:min-h-9"
    >
      {!small && (
        <PlacePicture
          map={map}
          place={situation.id}
          width={64}
          silent
          className="h-10 w-16 shrink-0 max-sm:hidden"
        />
      )}
      <span>
        <span className="font-semibold">{situation.title}</span>
        <span className="block text-quiet">
          {indexOf(map).family(situation.family)?.title}, {lateness(situation).toLowerCase()}
        </span>
      </span>
    </Link>
  );
}

function LoadBar({ load }: { load: NonNullable<Figures["load"]> }) {
  return (
    <div className="flex items-center gap-3">
      <span className="w-7 shrink-0 text-right font-semibold">{Math.round(load.likely)}</span>
      <RangeBar load={load} of={OF} />
      <span className="w-12 shrink-0 text-quiet max-sm:hidden">
        {Math.round(load.least)}–{Math.round(load.most)}
      </span>
    </div>
  );
}

function Tips({ figures }: { figures: Figures }) {
  if (!figures.weakest) return <span className="text-quiet">–</span>;
  return (
    <>
      <span className="inline-block w-11 text-right font-semibold">{degrees(figures.weakest.degrees)}</span>{" "}
      <span className="max-sm:block">{wayInWords(figures.weakest.way)}</span>
    </>
  );
}
