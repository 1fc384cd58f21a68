import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useId, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { plain } from "../../ui/find";
import { Refused } from "../../ui/Notice";
import { paths, useMaps, useMapById, useTaken } from "../map";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { Begin } from "./Begin";
import { Compared } from "./Compared";
import { namesOf, Taken, type Summary } from "./names";
import { May, useMay } from "../session";

/** All maps: begin one, copy, rename, put away, and compare one with another. */
export function MapsPage() {
  const maps = useMaps();
  const [params] = useSearchParams();
  const mayRead = useMay("read-maps");
  const mayEdit = useMay("edit-maps");
  const ready = together({ maps });
  if (!ready.data) return <Waiting what="Looking for maps" on={ready} />;
  const data = ready.data;
  const open = data.maps.filter((m) => !m.archived);
  const away = data.maps.filter((m) => m.archived);
  const one = data.maps.find((m) => m.id === params.get("map"));
  const other = data.maps.find((m) => m.id === params.get("with"));
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,1fr)_minmax(0,0.8fr)]">
      <main className="px-5 pt-4 pb-10">
        <Heading>Maps</Heading>
        {data.maps.length === 0 && (
          <p className="mt-2 text-quiet">
            {mayEdit ? "None yet. Begin the first one." : "Nothing is shared with you so far."}
          </p>
        )}
        <ul className="mt-2">
          {open.map((map) => (
            <Row key={map.id} map={map} all={data.maps} />
          ))}
        </ul>
        {away.length > 0 && (
          <details className="mt-4">
            <summary className="font-semibold">Put away, {away.length}</summary>
            <ul>
              {away.map((map) => (
                <Row key={map.id} map={map} all={data.maps} />
              ))}
            </ul>
          </details>
        )}
      </main>
      <aside className="border-rule px-5 pt-4 pb-10 max-lg:border-t lg:border-l">
        {one && other ? (
          <Compared map={one} other={other} />
        ) : (
          <>
            <May right="edit-maps">
              <Begin all={open} />
            </May>
            {open.length > 1 && mayRead && <Compare all={open} />}
          </>
        )}
      </aside>
    </div>
  );
}

function Row({ map, all }: { map: Summary; all: Summary[] }) {
  const [, setParams] = useSearchParams();
  const [renaming, setRenaming] = useState(false);
  const queries = useQueryClient();
  const source = all.find((m) => m.id === map.copiedFrom && !m.archived);
  const archive = useMutation({
    mutationFn: () =>
      unwrapNothing(
        api.PUT("/api/maps/{mapId}/archived", {
          params: { path: { mapId: map.id }, query: { away: !map.archived } },
        }),
      ),
    onSettled: () => askAgain(queries, { queryKey: ["maps"] }),
  });
  const share = useMutation({
    mutationFn: () =>
      unwrapNothing(
        api.PUT("/api/maps/{mapId}/shared", {
          params: { path: { mapId: map.id }, query: { shared: !map.shared } },
        }),
      ),
    onSettled: () => askAgain(queries, { queryKey: ["maps"] }),
  });
  const mayShare = useMay("share");
  const mayRead = useMay("read-maps");
  const sharing = map.shared ? "Share no longer" : "Share with students";
  const away = map.archived ? "Take out again" : "Put away";
  return (
    <li className="border-b border-rule py-2">
      <div className="flex flex-wrap items-baseline gap-x-5">
        <Link className="link min-w-0 text-[17px] font-semibold" to={paths.map(map.id)}>
          {map.title}
        </Link>
        <span className="text-quiet">
          {changesInWords(map.revision - 1)}
          {map.shared && mayShare && ", students read it"}
        </span>
        <span className="ml-auto flex flex-wrap gap-x-5">
          {source && !map.archived && mayRead && (
            <button
              type="button"
              className="word"
              aria-label={`What differs from ${source.title}: ${map.title}`}
              onClick={() => setParams({ map: map.id, with: source.id })}
            >
              What differs from {source.title}
            </button>
          )}
          <May right="share">
            <button
              type="button"
              className="word"
              aria-label={`${sharing}: ${map.title}`}
              disabled={share.isPending}
              onClick={() => share.mutate()}
            >
              {sharing}
            </button>
          </May>
          <May right="edit-maps">
            <button
              type="button"
              className="word"
              aria-label={`Rename: ${map.title}`}
              aria-expanded={renaming}
              onClick={() => setRenaming(!renaming)}
            >
              Rename
            </button>
            <button
              type="button"
              className="word"
              aria-label={`${away}: ${map.title}`}
              onClick={() => archive.mutate()}
            >
              {away}
            </button>
          </May>
        </span>
      </div>
      {renaming && <Rename id={map.id} taken={namesOf(all, map.id)} onDone={() => setRenaming(false)} />}
      {archive.isError && <Refused problem={problemOf(archive.error)} />}
      {share.isError && <Refused problem={problemOf(share.error)} />}
    </li>
  );
}

function changesInWords(changes: number): string {
  if (changes === 0) return "as it began";
  return changes === 1 ? "one change" : `${changes} changes`;
}

function Rename({ id, taken, onDone }: { id: string; taken: Set<string>; onDone: () => void }) {
  const map = useMapById(id);
  if (!map.data) return null;
  return <RenameForm key={map.data.revision} map={map.data} taken={taken} onDone={onDone} />;
}

function RenameForm({
  map,
  taken,
  onDone,
}: {
  map: Schemas["Map"];
  /** The names that other maps have. */
  taken: Set<string>;
  onDone: () => void;
}) {
  const [title, setTitle] = useState(map.title);
  const isTaken = taken.has(plain(title.trim()));
  const said = useId();
  const [about, setAbout] = useState(map.about);
  const queries = useQueryClient();
  const take = useTaken(map.id);
  const save = useMutation({
    mutationFn: () =>
      unwrap(
        api.PUT("/api/maps/{mapId}", {
          params: { path: { mapId: map.id } },
          body: { revision: map.revision, title, about },
        }),
      ),
    onSuccess: async (next) => {
      await take(next);
      void askAgain(queries, { queryKey: ["maps"] });
      onDone();
    },
  });
  return (
    <form
      className="my-2 space-y-2 border-2 border-ink p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (title.trim() && !isTaken) save.mutate();
      }}
    >
      <label className="block">
        <span className="font-semibold">Name</span>
        <input
          className="box mt-0.5"
          autoFocus
          maxLength={90}
          aria-invalid={isTaken}
          aria-describedby={isTaken ? said : undefined}
          value={title}
          onChange={(event) => setTitle(event.target.value)}
        />
        {isTaken && <Taken id={said} />}
      </label>
      <label className="block">
        <span className="font-semibold">What a reader should know before trusting its figures</span>
        <textarea
          className="box mt-0.5"
          rows={3}
          maxLength={1000}
          value={about}
          onChange={(event) => setAbout(event.target.value.replace(/\n/g, " "))}
        />
      </label>
      {save.isError && <Refused problem={problemOf(save.error)} />}
      <div className="flex gap-5">
        <button type="submit" className="plate" disabled={title.trim() === "" || isTaken || save.isPending}>
          Save
        </button>
        <button type="button" className="word" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  );
}

/** Two maps to lay side by side. */
function Compare({ all }: { all: Summary[] }) {
  const [, setParams] = useSearchParams();
  const [map, setMap] = useState("");
  const [other, setOther] = useState("");
  const pick = (label: string, value: string, not: string, onChange: (id: string) => void) => (
    <label className="block">
      <span className="font-semibold">{label}</span>
      <select className="box mt-0.5" value={value} onChange={(event) => onChange(event.target.value)}>
        <option value="">choose a map</option>
        {all
          .filter((m) => m.id !== not)
          .map((m) => (
            <option key={m.id} value={m.id}>
              {m.title}
            </option>
          ))}
      </select>
    </label>
  );
  return (
    <form
      className="mt-8 max-w-md space-y-3 border-t border-rule pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (map && other) setParams({ map, with: other });
      }}
    >
      <h2 className="text-base lg:text-[15px]">What differs between two maps</h2>
      {pick("This one", map, other, setMap)}
      {pick("From that one", other, map, setOther)}
      <button type="submit" className="plate" disabled={!map || !other}>
        Compare
      </button>
    </form>
  );
}
