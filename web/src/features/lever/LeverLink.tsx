import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { paths } from "../map";
import { settingQuery } from "../odds";
import { useClaims } from "./levers";

/** Behind a checkpoint that speaks of a lever: the way to the lever; nothing behind the others. */
export function LeverLink({
  map,
  technique,
  checkpoint,
}: {
  map: Schemas["Map"];
  technique: string;
  checkpoint: number;
}) {
  const [params] = useSearchParams();
  const claim = useClaims(map).data?.find(
    (one) => one.technique === technique && one.checkpoint === checkpoint,
  );
  if (!claim) return null;
  return (
    <Link className="word" to={`${paths.leverage(map.id)}${settingQuery(params)}#${claim.lever}`}>
      why
    </Link>
  );
}
