import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { useAddress } from "../../ui/address";
import { useCommand } from "../../ui/commands";
import { Refused } from "../../ui/Notice";
import { paths } from "../map";
import type { Drill, Found } from "./design";

/** Keep, copy, remove; the states it had; on paper and as a file. */
export function Keeping({
  map,
  found,
  drill,
  touched,
  base,
  forget,
  settle,
  change,
}: {
  map: Schemas["Map"];
  found: Found;
  drill: Drill;
  touched: boolean;
  base: number;
  forget: () => void;
  settle: () => void;
  change: (part: Partial<Drill>) => void;
}) {
  const queries = useQueryClient();
  const [params] = useSearchParams();
  const [, write] = useAddress();
  const kept = found.source.from === "kept" ? found.source.id : undefined;
  const path = { mapId: map.id };
  const again = () =>
    Promise.all([
      askAgain(queries, { queryKey: ["drills", map.id] }),
      askAgain(queries, { queryKey: ["drill", map.id] }),
    ]);
  const keepNew = useMutation({
    mutationFn: (id: string) =>
      unwrap(api.POST("/api/maps/{mapId}/drills", { params: { path }, body: { id, drill } })),
    onSuccess: async (state) => {
      settle();
      write({ kept: state.id, worth: undefined, place: undefined, how: undefined });
      await again();
    },
  });
  const keepChange = useMutation({
    mutationFn: () =>
      unwrap(
        api.PUT("/api/maps/{mapId}/drills/{drill}", {
          params: { path: { ...path, drill: kept! } },
          body: { version: base, drill },
        }),
      ),
    onSuccess: async () => {
      settle();
      await again();
    },
    // Somebody else's state, if that is why; “Undo all changes” then shows it.
    onError: () => void again(),
  });
  const remove = useMutation({
    mutationFn: () =>
      unwrapNothing(
        api.DELETE("/api/maps/{mapId}/drills/{drill}", { params: { path: { ...path, drill: kept! } } }),
      ),
    onSuccess: async () => {
      settle();
      write({ kept: undefined, removed: kept });
      await askAgain(queries, { queryKey: ["drills", map.id] });
    },
  });
  const keep = () => (kept ? keepChange.mutate() : keepNew.mutate(crypto.randomUUID()));
  const nothingToKeep = keepNew.isPending || keepChange.isPending || (kept !== undefined && !touched);
  useCommand(nothingToKeep ? undefined : { title: "Keep this drill", key: "k", run: keep });
  const failed = [keepNew, keepChange, remove].find((m) => m.isError);
  const sheet = (form: string) => `${paths.drillSheet(map.id)}?${withForm(params, form)}`;
  return (
    <div className="space-y-2">
      <div className="grid grid-cols-[3fr_2fr] gap-2">
        <Link
          className="plate grid place-items-center px-1 whitespace-nowrap no-underline"
          to={sheet("feeder")}
        >
          Feeder’s sheet
        </Link>
        <button type="button" className="plate" onClick={keep} disabled={nothingToKeep}>
          {kept && !touched ? "Kept" : "Keep"}
        </button>
      </div>
      <p className="flex flex-wrap items-baseline gap-x-4">
        <Link className="word" to={`${sheet("feeder")}&print=`}>
          Print it
        </Link>
        <Link className="word" to={sheet("wall")}>
          Wall sheet
        </Link>
        <Link className="word" to={sheet("phone")}>
          On a phone, and spoken
        </Link>
        {kept && (
          <>
            <button type="button" className="word" onClick={() => keepNew.mutate(crypto.randomUUID())}>
              Keep as another
            </button>
            <a className="word" href={`/api/maps/${map.id}/drills/${kept}/file`} download>
              As a file
            </a>
            <a
              className="word"
              href={`/api/maps/${map.id}/drills/${kept}/markdown${location.search}`}
              download
            >
              In words
            </a>
            <button type="button" className="word" onClick={() => remove.mutate()}>
              Remove
            </button>
          </>
        )}
        {touched && (
          <button type="button" className="word" onClick={forget}>
            Undo all changes
          </button>
        )}
      </p>
      {touched && (
        <p className="text-quiet">Changed and not kept; it stays on this device until you keep it.</p>
      )}
      {failed && <Refused problem={problemOf(failed.error)} />}
      {found.states && found.states.length > 1 && (
        <details>
          <summary>Earlier states, {found.states.length - 1}</summary>
          <ul>
            {found.states.slice(1).map((state) => (
              <li key={state.version} className="flex justify-between gap-2 border-b border-rule py-1">
                <span>
                  {state.author}, {new Date(state.at).toLocaleDateString()}
                </span>
                <button type="button" className="word" onClick={() => change(state.drill)}>
                  Take this one
                </button>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

function withForm(params: URLSearchParams, form: string): URLSearchParams {
  const next = new URLSearchParams(params);
  next.set("form", form);
  return next;
}

/** After a drill was taken out: the way back, until something else is done. */
export function PutBack({ mapId }: { mapId: string }) {
  const queries = useQueryClient();
  const [params, write] = useAddress();
  const removed = params.get("removed");
  const restore = useMutation({
    mutationFn: (drill: string) =>
      unwrap(api.POST("/api/maps/{mapId}/drills/{drill}/restore", { params: { path: { mapId, drill } } })),
    onSuccess: async (state) => {
      await askAgain(queries, { queryKey: ["drills", mapId] });
      write({ removed: undefined, kept: state.id, worth: undefined, place: undefined, how: undefined });
    },
  });
  if (!removed) return null;
  return (
    <div role="status" className="mb-3 border-b border-rule pb-2">
      The drill is out of the library.{" "}
      <button type="button" className="word" onClick={() => restore.mutate(removed)}>
        Put it back
      </button>
      {restore.isError && <Refused problem={problemOf(restore.error)} />}
    </div>
  );
}
