import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { Faults } from "../exchange";
import { paths, useMaps, useMapById, useTaken } from "../map";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { Compared } from "./Compared";

type Summary = Schemas["MapSummary"];

/** All maps: begin one, copy, rename, put away, and compare one with another. */
export function MapsPage() {
  const maps = useMaps();
  const [params] = useSearchParams();
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
        {one && other ? <Compared map={one} other={other} /> : <Begin all={open} />}
      </aside>
    </div>
  );
}

function Row({ map, all }: { map: Summary; all: Summary[] }) {
  const [, setParams] = useSearchParams();
  const [renaming, setRenaming] = useState(false);
  const queries = useQueryClient();
  const source = all.find((m) => m.id === map.copiedFrom);
  const others = all.filter((m) => m.id !== map.id);
  const archive = useMutation({
    mutationFn: () =>
      unwrapNothing(
        api.PUT("/api/maps/{mapId}/archived", {
          params: { path: { mapId: map.id }, query: { away: !map.archived } },
        }),
      ),
    onSettled: () => askAgain(queries, { queryKey: ["maps"] }),
  });
  const compare = (other: string) => setParams({ map: map.id, with: other });
  return (
    <li className="border-b border-rule py-2">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <Link className="link text-[17px] font-semibold" to={paths.map(map.id)}>
          {map.title}
        </Link>
        <span className="text-quiet">
          revision {map.revision}
          {source && `, began as a copy of ${source.title}`}
        </span>
      </p>
      <p className="flex flex-wrap items-baseline gap-x-5">
        <button
          type="button"
          className="word"
          aria-label={`Rename: ${map.title}`}
          onClick={() => setRenaming(!renaming)}
        >
          Rename
        </button>
        {source && (
          <button
            type="button"
            className="word"
            aria-label={`Compare with ${source.title}: ${map.title}`}
            onClick={() => compare(source.id)}
          >
            Compare with {source.title}
          </button>
        )}
        {others.length > (source ? 1 : 0) && (
          <label className="flex items-center gap-2">
            <span className="sr-only">Compare {map.title} with another map</span>
            <select
              className="box lg:min-h-7 lg:py-0"
              value=""
              onChange={(event) => event.target.value && compare(event.target.value)}
            >
              <option value="">compare with …</option>
              {others.map((o) => (
                <option key={o.id} value={o.id}>
                  {o.title}
                </option>
              ))}
            </select>
          </label>
        )}
        <button
          type="button"
          className="word"
          aria-label={`${map.archived ? "Take out again" : "Put away"}: ${map.title}`}
          onClick={() => archive.mutate()}
        >
          {map.archived ? "Take out again" : "Put away"}
        </button>
      </p>
      {renaming && <Rename id={map.id} onDone={() => setRenaming(false)} />}
      {archive.isError && <Refused problem={problemOf(archive.error)} />}
    </li>
  );
}

function Rename({ id, onDone }: { id: string; onDone: () => void }) {
  const map = useMapById(id);
  if (!map.data) return null;
  return <RenameForm key={map.data.revision} map={map.data} onDone={onDone} />;
}

function RenameForm({ map, onDone }: { map: Schemas["Map"]; onDone: () => void }) {
  const [title, setTitle] = useState(map.title);
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
        if (title.trim()) save.mutate();
      }}
    >
      <label className="block">
        <span className="font-semibold">Name</span>
        <input
          className="box mt-0.5"
          autoFocus
          maxLength={90}
          value={title}
          onChange={(event) => setTitle(event.target.value)}
        />
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
        <button type="submit" className="plate" disabled={title.trim() === "" || save.isPending}>
          Save
        </button>
        <button type="button" className="word" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  );
}

type Source = "reference" | "empty" | "copy" | "file";

/** A new map: from the reference map, from another one, from a file, or from empty. */
function Begin({ all }: { all: Summary[] }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [source, setSource] = useState<Source>("reference");
  const [title, setTitle] = useState("");
  const [from, setFrom] = useState(all[0]?.id ?? "");
  const [file, setFile] = useState<{ name: string; text: string }>();
  const save = useMutation({
    mutationFn: () =>
      source === "file"
        ? unwrap(
            api.POST("/api/maps", {
              body: file!.text as never,
              bodySerializer: (body: unknown) => body as string,
            }),
          )
        : unwrap(
            api.POST("/api/maps/new", { body: { title: title.trim(), source, from: from || undefined } }),
          ),
    onSuccess: async (made) => {
      await askAgain(queries, { queryKey: ["maps"] });
      void navigate(source === "empty" ? paths.start(made.id) : paths.map(made.id));
    },
  });
  const ready =
    source === "file" ? file !== undefined : title.trim() !== "" && (source !== "copy" || from !== "");
  return (
    <form
      className="max-w-md space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) save.mutate();
      }}
    >
      <h2 className="text-base lg:text-[15px]">A new map</h2>
      <label className="block">
        <span className="font-semibold">It begins</span>
        <select
          className="box mt-0.5"
          value={source}
          onChange={(event) => setSource(event.target.value as Source)}
        >
          <option value="reference">from the reference map</option>
          <option value="copy">as a copy of another map</option>
          <option value="file">from a file</option>
          <option value="empty">empty</option>
        </select>
      </label>
      {source === "copy" && (
        <label className="block">
          <span className="font-semibold">Copy of</span>
          <select className="box mt-0.5" value={from} onChange={(event) => setFrom(event.target.value)}>
            {all.map((m) => (
              <option key={m.id} value={m.id}>
                {m.title}
              </option>
            ))}
          </select>
        </label>
      )}
      {source === "file" ? (
        <label className="block">
          <span className="font-semibold">Map file</span>
          <input
            className="box mt-0.5"
            type="file"
            accept=".json,application/json"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              save.reset();
              if (chosen) void chosen.text().then((text) => setFile({ name: chosen.name, text }));
            }}
          />
        </label>
      ) : (
        <label className="block">
          <span className="font-semibold">Its name</span>
          <input
            className="box mt-0.5"
            maxLength={90}
            placeholder="Thursday beginners"
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
        </label>
      )}
      {save.isError &&
        (source === "file" ? (
          <Faults name={file?.name ?? "The file"} problem={problemOf(save.error)} />
        ) : (
          <Refused problem={problemOf(save.error)} />
        ))}
      <button type="submit" className="plate" disabled={!ready || save.isPending}>
        Begin it
      </button>
    </form>
  );
}
