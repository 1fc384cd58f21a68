import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { LeastWork, useHolds } from "../finish";
import { lowerFirst, paths, techniqueOf } from "../map";
import { settingQuery } from "../odds";
import { indexOf } from "../../model/mapIndex";
import { useMay } from "../session";

/** What they need for the pin or the finish that is on here, and the least that stops it. */
export function HoldsHere({ map, situation }: { map: Schemas["Map"]; situation: Schemas["Situation"] }) {
  const holds = useHolds(map);
  const [params] = useSearchParams();
  const here = holds.data?.filter((hold) => hold.at.includes(situation.id)) ?? [];
  const mayEdit = useMay("edit-maps");
  if (holds.data && here.length === 0 && !situation.rest) {
    return (
      mayEdit && (
        <p className="mt-3 border-t border-rule pt-3">
          <Link
            className="word"
            to={`${paths.add(map.id, "holds", settingQuery(params))}&at=${situation.id}`}
          >
            Write what they need here
          </Link>
        </p>
      )
    );
  }
  return here.map((hold) => (
    <details key={hold.id} className="mt-3 border-t border-rule pt-3">
      <summary className="font-semibold">
        What {hold.kind === "pin" ? "their pin" : "their finish"} needs: {lowerFirst(hold.title)}
      </summary>
      <ul className="mt-1 space-y-1">
        {hold.needs.map((need) => (
          <li key={need.id}>
            {need.title}
            <span className="block text-quiet">{deniedBy(map, situation.id, need)}</span>
          </li>
        ))}
      </ul>
      <div className="mt-1.5">
        <LeastWork hold={hold} />
      </div>
      <p className="mt-1.5 flex flex-wrap gap-x-5">
        <Link className="word" to={paths.finish(map.id, hold.id) + settingQuery(params)}>
          Rung by rung
        </Link>
        {mayEdit && (
          <Link className="word" to={paths.edit(map.id, "holds", hold.id, settingQuery(params))}>
            Edit what {hold.kind === "pin" ? "their pin" : "their finish"} needs
          </Link>
        )}
      </p>
    </details>
  ));
}

/** The reactions taught against a need, those of this situation alone where there are any. */
function deniedBy(map: Schemas["Map"], situation: string, need: Schemas["HoldNeed"]): string {
  const all = Object.values(need.taught)
    .flat()
    .map((id) => indexOf(map).reaction(id))
    .filter((r) => r !== undefined);
  const here = all.filter((r) => r.from === situation);
  const titles = [...new Set((here.length > 0 ? here : all).map((r) => techniqueOf(map, r)?.title ?? r.id))];
  if (titles.length === 0) return "nothing is taught against this";
  return `${here.length > 0 ? "" : "elsewhere: "}${titles.slice(0, 3).join("; ")}`;
}
