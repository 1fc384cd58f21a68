import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { askAgain } from "../../api/askAgain";
import { FINDING_LABEL } from "../../labels";
import { api, problemOf, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { findingPath, findingPlace, paths, useMapChange } from "../map";
import { Reorder, settingQuery, useFrozenOrder, useSetting } from "../odds";
import { Cost, isLarge } from "./Cost";
import { PlacePicture } from "../picture";

type Finding = Schemas["Finding"];

const keyOf = (f: Finding) => `${f.kind} ${f.place} ${f.response ?? ""} ${f.reason}`;

/** Every weakness of the map by what it costs, with what can be done about it in one step. */
export function Holes({ map, findings }: { map: Schemas["Map"]; findings: Finding[] }) {
  const [asked, setKind] = useState("");
  const open = findings.filter((f) => !f.dismissed);
  const dismissed = findings.filter((f) => f.dismissed);
  const kinds = [...new Set(open.map((f) => f.kind))];
  // When the last of a kind is mended, the others are there again.
  const kind = kinds.includes(asked) ? asked : "";
  const order = useFrozenOrder(
    open.filter((f) => kind === "" || f.kind === kind),
    keyOf,
    `${map.id} ${map.revision} ${kind} ${dismissed.length}`,
  );
  const row = (finding: Finding) => <Row key={keyOf(finding)} map={map} finding={finding} />;
  // Whoever asks for one kind wants to see all of it.
  const [large, small] = kind
    ? [order.items, []]
    : [order.items.filter(isLarge), order.items.filter((f) => !isLarge(f))];
  return (
    <section aria-labelledby="holes">
      <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="mr-auto">
          <h2 id="holes" className="text-[19px]">
            Holes
          </h2>
          <p className="text-quiet">{open.length} open, what they cost first.</p>
        </div>
        <label className="flex items-center gap-2">
          <span className="text-quiet">Show</span>
          <select
            className="box lg:min-h-8 lg:py-0"
            value={kind}
            onChange={(event) => setKind(event.target.value)}
          >
            <option value="">all kinds</option>
            {kinds.map((k) => (
              <option key={k} value={k}>
                {FINDING_LABEL[k] ?? k}, {open.filter((f) => f.kind === k).length}
              </option>
            ))}
          </select>
        </label>
      </div>
      {open.length === 0 && (
        <p className="mt-4">
          Nothing is missing under this matchup. Try a heavier partner, or a better read.
        </p>
      )}
      <Reorder first={order.first && findingPlace(map, order.first).title} reorder={order.reorder} />
      <ul>{large.map(row)}</ul>
      {small.length > 0 && (
        <details className="mt-2" open={large.length === 0 || undefined}>
          <summary className="w-fit cursor-pointer font-semibold max-lg:min-h-11 max-lg:py-2.5">
            {small.length} small {small.length === 1 ? "one" : "ones"}
          </summary>
          <ul>{small.map(row)}</ul>
        </details>
      )}
      {dismissed.length > 0 && (
        <details className="mt-6">
          <summary className="font-semibold">Dismissed, {dismissed.length}</summary>
          <ul className="mt-1">
            {dismissed.map((finding) => (
              <DismissedRow key={keyOf(finding)} map={map} finding={finding} />
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function Row({ map, finding }: { map: Schemas["Map"]; finding: Finding }) {
  const [params] = useSearchParams();
  const [dismissing, setDismissing] = useState(false);
  const place = findingPlace(map, finding);
  const query = settingQuery(params);
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-rule py-2.5 md:grid-cols-[170px_minmax(0,1fr)_minmax(0,0.9fr)_72px]">
      <p className="font-semibold text-rust">{FINDING_LABEL[finding.kind] ?? finding.kind}</p>
      <div className="flex min-w-0 items-start gap-3">
        {place.situation && (
          <PlacePicture
            map={map}
            place={place.situation}
            width={72}
            silent
            className="h-12 w-[72px] shrink-0 max-sm:hidden"
          />
        )}
        <div className="min-w-0">
          <p className="font-semibold">
            <Link className="link" to={findingPath(map, finding, query)}>
              {place.title}
            </Link>
          </p>
          <p className="text-quiet">{finding.reason}</p>
        </div>
      </div>
      <div className="min-w-0">
        <p>{finding.mend}</p>
        <div className="flex flex-wrap items-center gap-x-5">
          <MendButtons map={map} finding={finding} />
          {finding.kind === "no-early-answer" && (
            <Link
              className="word inline-flex items-center font-semibold text-ink"
              to={`${paths.add(map.id, "situations", query)}&family=${finding.place}&stage=early`}
            >
              Write the moment before
            </Link>
          )}
          <button
            type="button"
            className="word"
            aria-expanded={dismissing}
            aria-label={`Dismiss: ${place.title}`}
            onClick={() => setDismissing(!dismissing)}
          >
            Dismiss
          </button>
        </div>
        {dismissing && <Dismiss map={map} finding={finding} onDone={() => setDismissing(false)} />}
      </div>
      <Cost finding={finding} />
    </li>
  );
}

/** A mend that gives a need to one of two; there is one for every fact, so they are picked from a list. */
const isSeparating = (mend: Schemas["Mend"]) => mend.id.startsWith("separate:");

function MendButtons({ map, finding }: { map: Schemas["Map"]; finding: Finding }) {
  const [setting] = useSetting();
  const save = useMapChange(map.id);
  const apply = (mend: string) =>
    save.mutate(() =>
      unwrap(
        api.POST("/api/maps/{mapId}/review/mend", {
          params: { path: { mapId: map.id }, query: setting },
          body: { revision: map.revision, kind: finding.kind, place: finding.place, mend },
        }),
      ),
    );
  const few = finding.mends.filter((mend) => !isSeparating(mend));
  const more = finding.mends.filter(isSeparating);
  return (
    <>
      {few.map((mend) => (
        <button
          key={mend.id}
          type="button"
          className="word text-left font-semibold text-ink"
          disabled={save.isPending}
          onClick={() => apply(mend.id)}
        >
          {mend.title}
        </button>
      ))}
      {more.length > 0 && (
        <select
          className="box my-1 lg:min-h-8 lg:py-0"
          aria-label="Or let a condition separate them"
          value=""
          disabled={save.isPending}
          onChange={(event) => event.target.value && apply(event.target.value)}
        >
          <option value="">or let a condition separate them …</option>
          {more.map((mend) => (
            <option key={mend.id} value={mend.id}>
              {mend.title}
            </option>
          ))}
        </select>
      )}
      {save.isError && <Refused problem={problemOf(save.error)} />}
    </>
  );
}

function useDismissals(map: Schemas["Map"]) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (send: () => Promise<unknown>) => send(),
    onSuccess: () => askAgain(queries, { queryKey: ["review", map.id] }),
  });
}

function Dismiss({ map, finding, onDone }: { map: Schemas["Map"]; finding: Finding; onDone: () => void }) {
  const [reason, setReason] = useState("");
  const save = useDismissals(map);
  return (
    <form
      className="mt-1 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() === "") return;
        const body = { kind: finding.kind, place: finding.place, response: finding.response, reason };
        save.mutate(
          () =>
            unwrapNothing(
              api.PUT("/api/maps/{mapId}/review/dismissals", { params: { path: { mapId: map.id } }, body }),
            ),
          { onSuccess: onDone },
        );
      }}
    >
      <label className="min-w-0 grow">
        <span className="text-quiet">Why it is no hole</span>
        <input
          className="box mt-0.5"
          autoFocus
          maxLength={400}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      </label>
      <button type="submit" className="plate" disabled={reason.trim() === "" || save.isPending}>
        Dismiss it
      </button>
      {save.isError && <Refused problem={problemOf(save.error)} />}
    </form>
  );
}

function DismissedRow({ map, finding }: { map: Schemas["Map"]; finding: Finding }) {
  const save = useDismissals(map);
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1.5">
      <span className="font-semibold">{findingPlace(map, finding).title}</span>
      <span className="text-quiet">
        {FINDING_LABEL[finding.kind] ?? finding.kind}: “{finding.dismissed?.reason}”,{" "}
        {finding.dismissed?.author}
      </span>
      <button
        type="button"
        className="word ml-auto"
        onClick={() =>
          save.mutate(() =>
            unwrapNothing(
              api.DELETE("/api/maps/{mapId}/review/dismissals", {
                params: {
                  path: { mapId: map.id },
                  query: {
                    kind: finding.kind,
                    place: finding.place,
                    response: finding.response ?? undefined,
                  },
                },
              }),
            ),
          )
        }
      >
        Let it count again
      </button>
    </li>
  );
}
