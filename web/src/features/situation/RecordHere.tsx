import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, unwrap, type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { difference, Gate } from "../../ui/Gate";
import { lowerFirst, paths, placeTitle } from "../map";
import { ByWhom, useLearnedOdds, useWhose } from "../odds";
import { useMay } from "../session";

/** What was logged says of a place: how open it is, how sure that is, and by how much that differs from the map. */
export function RecordHere({ map, place }: { map: Schemas["Map"]; place: string }) {
  const may = useMay("keep-record");
  const [whose] = useWhose();
  const learned = useLearnedOdds(map, may ? (whose ?? "record") : undefined).data;
  const at = learned?.places.find((one) => one.place === place);
  if (!may || !learned || !at) return null;
  return (
    <section className="mt-3 border-t border-rule pt-2" aria-labelledby="by-record">
      <h2 id="by-record" className="flex items-baseline justify-between gap-3 text-base lg:text-[15px]">
        By what was logged
        <span className="font-normal">
          <ByWhom />
        </span>
      </h2>
      {learned.rounds === 0 ? (
        <p className="mt-1 text-quiet">
          No round has been logged.{" "}
          <Link className="link" to={paths.log(map.id)}>
            Log one
          </Link>
          : where it started, how it ended.
        </p>
      ) : (
        <Learned map={map} at={at} whose={whose} />
      )}
    </section>
  );
}

function Learned({
  map,
  at,
  whose,
}: {
  map: Schemas["Map"];
  at: Schemas["Learned"];
  whose: string | undefined;
}) {
  const by = difference(at.written, at.likely);
  return (
    <>
      <div className="mt-1 flex items-center gap-3">
        <span
          className={`text-[26px] leading-none ${at.tooLittle ? "text-quiet" : "font-bold"}`}
          style={{ fontStretch: "78%" }}
          data-odds
        >
          {hundred(at.likely)}
        </span>
        <Gate worth={at.likely} doubt={at} beside={at.written} height={12} className="grow" />
      </div>
      <p className="mt-1">
        {at.tooLittle ? "Too little to say: " : ""}
        {hundred(at.low)} to {hundred(at.high)} of 100{by ? `, ${by} against the map’s ` : ", as the map’s "}
        {hundred(at.written)}. <span className="text-quiet">{begun(at.rounds)}</span>
      </p>
      {at.tooLittle && whose === undefined && <WouldTell map={map} place={at.place} />}
    </>
  );
}

/** The ten rounds that would narrow it most. */
function WouldTell({ map, place }: { map: Schemas["Map"]; place: string }) {
  const next = useQuery({
    queryKey: ["record", map.id, "next", map.revision, place],
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/record/next", { params: { path: { mapId: map.id }, query: { place } } }),
      ),
  });
  const best = next.data?.[0];
  if (!best) return null;
  return (
    <p className="text-quiet">
      {best.more} rounds from {best.from === place ? "here" : lowerFirst(placeTitle(map, best.from))} would
      bring the {hundred(best.now)} between them to {hundred(best.then)}.
    </p>
  );
}

function begun(rounds: number): string {
  if (rounds === 0) return "No round began here; what is known comes from others.";
  return rounds === 1 ? "1 round began here." : `${rounds} rounds began here.`;
}
