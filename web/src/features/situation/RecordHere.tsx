import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, unwrap, type Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { difference, Gate } from "../../ui/Gate";
import { lowerFirst, paths, placeTitle } from "../map";
import { ByWhom, useLearnedOdds, useWhose } from "../odds";
import { useMay } from "../session";

/** What was logged says of a place; learning from it takes a moment, so it is asked for when it is wanted. */
export function RecordHere({ map, place }: { map: Schemas["Map"]; place: string }) {
  const may = useMay("keep-record");
  const [whose] = useWhose();
  const [open, setOpen] = useState(whose !== undefined);
  if (!may) return null;
  return (
    <details
      className="mt-2 border-t border-rule pt-2"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-8 font-semibold">By what was logged</summary>
      {open && <Logged map={map} place={place} whose={whose} />}
    </details>
  );
}

/** How open a place is, how sure that is, and by how much that differs from the map. */
function Logged({ map, place, whose }: { map: Schemas["Map"]; place: string; whose: string | undefined }) {
  const learned = useLearnedOdds(map, whose ?? "record");
  const at = learned.data?.places.find((one) => one.place === place);
  if (learned.isPending) return <p className="text-quiet">Learning from what was logged …</p>;
  if (!learned.data || !at) return <p className="text-quiet">That could not be reckoned now.</p>;
  return (
    <section aria-label="By what was logged">
      <p>
        <ByWhom />
      </p>
      {learned.data.rounds === 0 ? (
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
