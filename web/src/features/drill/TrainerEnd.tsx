import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { lowerFirst } from "../map";
import type { Read } from "./sitting";

/** What the sitting showed, and what all of one's readings say of how long one needs. */
export function TrainerEnd({
  map,
  reads,
  middle,
  again,
}: {
  map: Schemas["Map"];
  reads: Read[];
  middle: number | undefined;
  again: () => void;
}) {
  const summary = useQuery({
    queryKey: ["readings", map.id],
    queryFn: () =>
      unwrap(api.GET("/api/maps/{mapId}/readings/mine", { params: { path: { mapId: map.id } } })),
  });
  const right = reads.filter((read) => read.right).length;
  return (
    <>
      <Heading size="sheet" className="mt-3">
        {middle === undefined ? "None right yet" : `${middle.toFixed(1)} seconds to read`}
      </Heading>
      <p className="border-b-2 border-ink pb-2">
        {right} of {reads.length} right at first sight. The middle one of the right ones is told.
      </p>
      {summary.data && <Says map={map} summary={summary.data} />}
      {summary.isError && (
        <p className="mt-3 text-quiet">
          What all your readings say is told when there is a connection again.
        </p>
      )}
      <button type="button" className="plate mt-5 min-h-14 w-full text-left" onClick={again}>
        Another twenty
      </button>
    </>
  );
}

function Says({ map, summary }: { map: Schemas["Map"]; summary: Schemas["ReadingSummary"] }) {
  const queries = useQueryClient();
  const { fit } = summary;
  const use = useMutation({
    mutationFn: () =>
      unwrap(
        api.PUT("/api/maps/{mapId}/house", {
          params: { path: { mapId: map.id } },
          body: {
            ...map.house,
            revision: map.revision,
            thinkBase: seconds(fit!.base.value),
            thinkPerBit: seconds(fit!.perBit.value),
          },
        }),
      ),
    onSuccess: async () => {
      await askAgain(queries, { queryKey: ["map", map.id] });
      await askAgain(queries, { queryKey: ["readings", map.id] });
    },
  });
  return (
    <>
      <h2 className="mt-4 text-base">How long you need, by how many answers</h2>
      {fit ? (
        <>
          <dl className="mt-1 space-y-1">
            <Coefficient name="to see it and begin" estimate={fit.base} />
            <Coefficient name="more each time the answers double" estimate={fit.perBit} />
          </dl>
          <p className="mt-1 text-quiet">
            From {fit.readings} right readings; nine in ten such ranges hold the truth. The map now uses{" "}
            {summary.houseBase.toFixed(2)} and {summary.housePerBit.toFixed(2)} s.
          </p>
          {fit.perBit.low > 0 && fit.base.value >= 0 ? (
            <button
              type="button"
              className="plate mt-2"
              onClick={() => use.mutate()}
              disabled={use.isPending}
            >
              Use mine on the map
            </button>
          ) : (
            <p className="mt-1">The ranges are still too wide to reckon with; read on.</p>
          )}
          {use.isSuccess && (
            <p role="status" className="mt-1">
              The map reckons with yours now; Undo takes it back.
            </p>
          )}
          {use.isError && <Refused problem={problemOf(use.error)} />}
        </>
      ) : (
        <p className="mt-1 text-quiet">
          Too little to say yet: {summary.right} right readings. It takes a few with different numbers of
          answers.
        </p>
      )}
      {summary.mixUps.length > 0 && (
        <>
          <h2 className="mt-4 text-base">Keep apart</h2>
          <ul>
            {summary.mixUps.map((mix) => (
              <li key={mix.reaction + mix.chosen} className="border-t border-rule py-1">
                <strong>{mix.title}</strong>, not {lowerFirst(mix.chosenTitle)}:{" "}
                {mix.times === 1 ? "once" : `${mix.times} times`}
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** What the map can reckon with: nobody chooses in less than no time. */
function seconds(value: number): number {
  return Math.min(10, Math.max(0, Math.round(value * 100) / 100));
}

function Coefficient({ name, estimate }: { name: string; estimate: Schemas["Estimate"] }) {
  return (
    <div className="flex justify-between gap-4">
      <dt>{name}</dt>
      <dd className="whitespace-nowrap">
        <strong>{estimate.value.toFixed(2)} s</strong>{" "}
        <span className="text-quiet">
          ({estimate.low.toFixed(2)} to {estimate.high.toFixed(2)})
        </span>
      </dd>
    </div>
  );
}
