import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { paths, reactionTitle } from "../map";
import { settingQuery } from "../odds";

/** A reaction by its title, leading to the place where it is taught. */
export function ReactionLink({ map, reaction }: { map: Schemas["Map"]; reaction: string }) {
  const [params] = useSearchParams();
  const from = indexOf(map).reaction(reaction)?.from;
  if (!from) return <>{reaction}</>;
  return (
    <Link
      className="no-underline hover:underline"
      title={`in ${indexOf(map).situation(from)?.title ?? from}`}
      to={paths.situation(map.id, from) + settingQuery(params)}
    >
      {reactionTitle(map, reaction)}
    </Link>
  );
}
