import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { PART_KINDS, PART_LISTS, partsOf, type PartList } from "../../model/partKinds";
import { paths } from "../map";
import { SettingLine, settingQuery } from "../odds";
import { HouseForm } from "./HouseForm";

/** What a map is made of, while no part of it is chosen. */
export function Kinds({ map, list }: { map: Schemas["Map"]; list: PartList }) {
  const [params] = useSearchParams();
  return (
    <div className="max-w-3xl px-5 pt-3 pb-10">
      <SettingLine map={map} />
      {list === "matchups" && map.matchups.length > 0 && <HouseForm key={map.revision} map={map} />}
      <h2 className="mt-4 text-base lg:text-[15px]">What a map is made of</h2>
      <ul className="mt-1">
        {PART_LISTS.map((kind) => (
          <li key={kind} className="border-b border-rule">
            <Link
              to={paths.workshop(map.id, kind) + settingQuery(params)}
              aria-current={kind === list ? "page" : undefined}
              className="grid min-h-11 grid-cols-[2.5rem_minmax(0,1fr)] items-baseline gap-x-3 border-l-4 border-transparent py-1.5 no-underline hover:underline aria-[current]:border-ink mid:grid-cols-[2.5rem_11rem_minmax(0,1fr)] lg:min-h-8"
            >
              <span className="text-right text-quiet">{partsOf(map, kind).length}</span>
              <span className="font-semibold">{PART_KINDS[kind].title}</span>
              <span className="text-quiet max-mid:col-start-2">{PART_KINDS[kind].about}</span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
