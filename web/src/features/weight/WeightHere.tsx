import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { paths } from "../map";
import { settingQuery } from "../odds";
import { useWeights } from "./weight";
import { degrees, kilograms, wayInWords } from "./words";

/** What rests on you at a place and where they tip first, with the way to the view of it; nothing where neither is told. */
export function WeightHere({ map, place }: { map: Schemas["Map"]; place: string }) {
  const [params] = useSearchParams();
  const figures = useWeights(map).data?.find((weight) => weight.place === place)?.figures;
  if (!figures) return null;
  return (
    <section className="mt-3 border-t border-rule pt-3" aria-label="Weight and base">
      <h2 className="text-base font-semibold lg:text-[14px]">
        <Link className="link" to={paths.weight(map.id, place) + settingQuery(params)}>
          Weight and base
        </Link>
      </h2>
      {figures.load || figures.weakest ? (
        <dl className="mt-1">
          {figures.load && (
            <div className="flex justify-between gap-2">
              <dt>of them on you</dt>
              <dd>
                <span className="font-semibold">{kilograms(figures.load.likely)}</span>{" "}
                <span className="text-quiet">of 80</span>
              </dd>
            </div>
          )}
          {figures.weakest && (
            <div className="flex justify-between gap-2">
              <dt>{figures.weakest.degrees < 0 ? "they lean on you" : "they tip first"}</dt>
              <dd className="text-right">
                {wayInWords(figures.weakest.way)}{" "}
                <span className="font-semibold">{degrees(figures.weakest.degrees)}</span>
              </dd>
            </div>
          )}
        </dl>
      ) : (
        <p className="mt-1 text-quiet">Held by pull here: no figures.</p>
      )}
    </section>
  );
}
