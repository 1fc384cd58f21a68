import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { useMap, useMapChange } from "../map";
import { Differences } from "./Differences";
import { Heading } from "../../ui/Heading";
import { whenInWords } from "../../ui/when";
import { together, Waiting } from "../../ui/Waiting";
import { useAddress } from "../../ui/address";

const MOST = 200;

/** Who changed what and when; going back; named versions; what differs between any two. */
export function HistoryPage() {
  const map = useMap();
  const mapId = map.data?.id;
  const history = useQuery({
    queryKey: ["history", mapId, map.data?.revision],
    enabled: mapId !== undefined,
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/history", { params: { path: { mapId: mapId! }, query: { most: MOST } } }),
      ),
  });
  const versions = useQuery({
    queryKey: ["versions", mapId],
    enabled: mapId !== undefined,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/versions", { params: { path: { mapId: mapId! } } })),
  });
  const traces = useQuery({
    queryKey: ["traces", mapId],
    enabled: mapId !== undefined,
    // Questions and dismissals leave some, too.
    staleTime: 0,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/traces", { params: { path: { mapId: mapId! } } })),
  });
  const ready = together({ map, history, versions, traces });
  if (!ready.data) return <Waiting what="Opening the history" on={ready} />;
  const data = ready.data;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <main className="px-5 pt-4 pb-10">
        <Heading>History</Heading>
        <Versions map={data.map} versions={data.versions} />
        <Traces traces={data.traces} />
        <h2 className="mt-5 text-base lg:text-[15px]">Every change, the newest first</h2>
        <ol className="mt-1">
          {data.history.map((revision) => (
            <Revision
              key={revision.number}
              map={data.map}
              revision={revision}
              version={data.versions.find((v) => v.revision === revision.number)}
            />
          ))}
        </ol>
      </main>
      <Comparison map={data.map} versions={data.versions} history={data.history} />
    </div>
  );
}

const KIND: Record<string, string> = { undo: "Took back: ", redo: "Brought back: " };

/** The two states in the address that are being compared. */
function useCompared(map: Schemas["Map"]): [number, number, (from: number, to: number) => void] {
  const [params, write] = useAddress();
  const to = Number(params.get("to")) || map.revision;
  const from = Number(params.get("from")) || Math.max(1, to - 1);
  return [from, to, (f, t) => write({ from: f, to: t })];
}

function Revision({
  map,
  revision,
  version,
}: {
  map: Schemas["Map"];
  revision: Schemas["RevisionView"];
  version?: Schemas["Version"];
}) {
  const [from, to, compare] = useCompared(map);
  const [naming, setNaming] = useState(false);
  const restore = useMapChange(map.id);
  const before = Math.max(1, revision.number - 1);
  const shown = to === revision.number && from === before;
  return (
    <li
      data-chosen={shown || undefined}
      className={`group/answer border-b border-l-4 border-b-rule py-1.5 pl-3 ${shown ? "border-l-ink" : "border-l-transparent"}`}
    >
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="w-8 text-quiet">{revision.number}</span>
        <button
          type="button"
          aria-pressed={shown}
          className="min-w-0 flex-1 py-1 text-left font-semibold hover:underline max-lg:min-h-11"
          onClick={() => compare(before, revision.number)}
        >
          {KIND[revision.kind] ?? ""}
          {revision.summary}
        </button>
        {version && <span className="border border-ink px-1.5 font-semibold">{version.name}</span>}
      </p>
      <p className="flex flex-wrap items-baseline gap-x-4 pl-11 text-quiet">
        <span>
          {revision.author}, {whenInWords(revision.at)}
        </span>
        {revision.number > 1 && (
          <button
            type="button"
            className="word edit-word"
            aria-label={`Take this back, change ${revision.number}`}
            disabled={restore.isPending}
            onClick={() =>
              restore.mutate(() =>
                unwrap(
                  api.POST("/api/maps/{mapId}/take-back", {
                    params: { path: { mapId: map.id }, query: { change: revision.number } },
                  }),
                ),
              )
            }
          >
            Take this back
          </button>
        )}
        {revision.number < map.revision && (
          <button
            type="button"
            className="word edit-word"
            aria-label={`Go back to this, change ${revision.number}`}
            disabled={restore.isPending}
            onClick={() =>
              restore.mutate(() =>
                unwrap(
                  api.POST("/api/maps/{mapId}/restore", {
                    params: {
                      path: { mapId: map.id },
                      query: { revision: map.revision, to: revision.number },
                    },
                  }),
                ),
              )
            }
          >
            Go back to this
          </button>
        )}
        {!version && (
          <button
            type="button"
            className="word edit-word"
            aria-label={`Name it, change ${revision.number}`}
            onClick={() => setNaming(!naming)}
          >
            Name it
          </button>
        )}
      </p>
      {naming && <NameIt map={map} revision={revision.number} onDone={() => setNaming(false)} />}
      {restore.isError && <Refused problem={problemOf(restore.error)} />}
    </li>
  );
}

function NameIt({ map, revision, onDone }: { map: Schemas["Map"]; revision: number; onDone: () => void }) {
  const [name, setName] = useState("");
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/maps/{mapId}/versions", {
          params: { path: { mapId: map.id } },
          body: { revision, name },
        }),
      ),
    onSuccess: () => {
      void askAgain(queries, { queryKey: ["versions", map.id] });
      onDone();
    },
  });
  return (
    <form
      className="flex flex-wrap items-end gap-3 py-1 pl-11"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim()) save.mutate();
      }}
    >
      <label>
        <span className="text-quiet">Its name</span>
        <input
          className="box mt-0.5"
          autoFocus
          maxLength={90}
          placeholder="Before the spring term"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <button type="submit" className="plate" disabled={name.trim() === "" || save.isPending}>
        Name it
      </button>
      {save.isError && <Refused problem={problemOf(save.error)} />}
    </form>
  );
}

function Versions({ map, versions }: { map: Schemas["Map"]; versions: Schemas["Version"][] }) {
  const [, , compare] = useCompared(map);
  const queries = useQueryClient();
  const onSettled = async () => {
    await askAgain(queries, { queryKey: ["versions", map.id] });
    await askAgain(queries, { queryKey: ["traces", map.id] });
  };
  const unname = useMutation({
    mutationFn: (version: Schemas["Version"]) =>
      unwrapNothing(
        api.DELETE("/api/maps/{mapId}/versions/{version}", {
          params: { path: { mapId: map.id, version: version.id } },
        }),
      ),
    onSettled,
  });
  const nameAgain = useMutation({
    mutationFn: ({ revision, name }: Schemas["Version"]) =>
      unwrap(
        api.POST("/api/maps/{mapId}/versions", {
          params: { path: { mapId: map.id } },
          body: { revision, name },
        }),
      ),
    onSuccess: () => unname.reset(),
    onSettled,
  });
  const failed = unname.error ?? nameAgain.error;
  return (
    <section className="mt-3">
      <h2 className="text-base lg:text-[15px]">Named versions</h2>
      {versions.length === 0 && (
        <p className="text-quiet">None yet. Name a change below, such as “before the spring term”.</p>
      )}
      <ul>
        {versions.map((version) => (
          <li key={version.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
            <span className="font-semibold">{version.name}</span>
            <span className="text-quiet">
              change {version.revision}, {version.author}
            </span>
            <button
              type="button"
              className="word ml-auto"
              aria-label={`Compare with now: ${version.name}`}
              onClick={() => compare(version.revision, map.revision)}
            >
              Compare with now
            </button>
            <button
              type="button"
              className="word"
              aria-label={`Take the name away: ${version.name}`}
              onClick={() => unname.mutate(version)}
            >
              Take the name away
            </button>
          </li>
        ))}
      </ul>
      {unname.isSuccess && (
        <p role="status" className="flex flex-wrap items-baseline gap-x-4 border-l-4 border-ink pl-3">
          <span>
            Change {unname.variables.revision} is not named “{unname.variables.name}” any more.
          </span>
          <button
            type="button"
            className="word"
            autoFocus
            disabled={nameAgain.isPending}
            onClick={() => nameAgain.mutate(unname.variables)}
          >
            Name it so again
          </button>
        </p>
      )}
      {failed && <Refused problem={problemOf(failed)} />}
    </section>
  );
}

/** What was dropped or overwritten beside the map; nothing where nothing was. */
function Traces({ traces }: { traces: Schemas["Trace"][] }) {
  if (traces.length === 0) return null;
  return (
    <details className="mt-4">
      <summary className="cursor-pointer">
        Beside the map: {traces.length} {traces.length === 1 ? "thing" : "things"} dropped or written over
      </summary>
      <ul className="mt-1">
        {traces.map((trace) => (
          <li key={trace.id} className="border-b border-rule py-1 pl-4">
            <p className="font-semibold">{trace.words}</p>
            <p className="text-quiet">
              {trace.author}, {whenInWords(trace.at)}
            </p>
          </li>
        ))}
      </ul>
    </details>
  );
}

function Comparison({
  map,
  versions,
  history,
}: {
  map: Schemas["Map"];
  versions: Schemas["Version"][];
  history: Schemas["RevisionView"][];
}) {
  const [from, to, compare] = useCompared(map);
  const difference = useQuery({
    queryKey: ["difference", map.id, from, to],
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/difference", { params: { path: { mapId: map.id }, query: { from, to } } }),
      ),
  });
  const name = (revision: Schemas["RevisionView"]) =>
    versions.find((v) => v.revision === revision.number)?.name ?? revision.summary;
  const pick = (label: string, value: number, onChange: (value: number) => void) => (
    <label className="grid grid-cols-[6.5rem_minmax(0,1fr)] items-center gap-2">
      <span className="text-quiet">{label}</span>
      <select
        className="box lg:min-h-8 lg:py-0"
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
      >
        {!history.some((revision) => revision.number === value) && (
          <option value={value}>change {value}</option>
        )}
        {history.map((revision) => (
          <option key={revision.number} value={revision.number}>
            {revision.number === map.revision ? "now" : `${revision.number}. ${name(revision)}`}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <section className="border-rule px-5 pt-4 pb-10 max-lg:border-t lg:border-l" aria-label="What differs">
      <h2 className="text-base lg:text-[15px]">What differs</h2>
      {map.revision === 1 ? (
        <p className="mt-2">Nothing has been changed yet.</p>
      ) : (
        <>
          <div className="mt-1 space-y-1">
            {pick("before it was", from, (n) => compare(n, to))}
            {pick("after it was", to, (n) => compare(from, n))}
          </div>
          {difference.isError && <Refused problem={problemOf(difference.error)} />}
          {difference.data && <Differences changes={difference.data} />}
        </>
      )}
    </section>
  );
}
