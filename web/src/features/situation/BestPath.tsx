import { Link, useNavigate, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { useCommand } from "../../ui/commands";
import { paths, placeTitle } from "../map";
import { settingQuery, useOdds } from "../odds";
import { nextOnPath, previousOnPath } from "./path";

/** Back and on along the way that the best reactions usually take. */
export function BestPath({
  map,
  situation,
  at,
}: {
  map: Schemas["Map"];
  situation: Schemas["Situation"];
  at: Schemas["SituationOdds"];
}) {
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const odds = useOdds(map);
  const previous = odds.data && previousOnPath(map, odds.data, situation.id);
  const next = nextOnPath(map, at, situation.id);
  const to = (id: string) => paths.situation(map.id, id) + settingQuery(params);
  useCommand(
    previous
      ? { title: "Back along the best path", key: "ArrowLeft", run: () => void navigate(to(previous)) }
      : undefined,
  );
  useCommand(
    next
      ? { title: "On along the best path", key: "ArrowRight", run: () => void navigate(to(next)) }
      : undefined,
  );
  if (!previous && !next) return null;
  return (
    <nav aria-label="Along the best path" className="mt-4 flex flex-wrap gap-x-6 border-t border-rule py-1.5">
      {previous && (
        <Link className="no-underline hover:underline" to={to(previous)}>
          <kbd className="key mr-1.5 font-sans">←</kbd>
          {placeTitle(map, previous)}
        </Link>
      )}
      {next && (
        <Link className="ml-auto no-underline hover:underline" to={to(next)}>
          {placeTitle(map, next)}
          <kbd className="key ml-1.5 font-sans">→</kbd>
        </Link>
      )}
    </nav>
  );
}
