import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Differences } from "../history";
import { useMap, useMapChange } from "../map";
import { Faults } from "./Faults";
import { FileField } from "../../ui/FileField";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";

const OUT = [
  {
    path: "file",
    title: "The map",
    what: "one file with everything in it, to keep or to give away",
    name: "map.json",
  },
  {
    path: "folder",
    title: "The map in parts",
    what: "the same as an archive of files, one a family, to look through and to keep in versions",
    name: "map.zip",
  },
  {
    path: "links",
    title: "The links",
    what: "a table with one row a response, for a spreadsheet",
    name: "links.csv",
  },
  {
    path: "graphml",
    title: "A graph, GraphML",
    what: "for programs that draw or count graphs",
    name: "map.graphml",
  },
  { path: "dot", title: "A graph, DOT", what: "for programs that lay graphs out", name: "map.dot" },
];

/** Open formats in and out. */
export function FilesPage() {
  const map = useMap();
  const ready = together({ map });
  if (!ready.data) return <Waiting what="Opening" on={ready} />;
  const data = ready.data;
  const base = `/api/maps/${data.map.id}`;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[minmax(0,1fr)_minmax(0,0.7fr)]">
      <main className="px-5 pt-4 pb-10">
        <Heading>Files</Heading>
        <Reading map={data.map} />
      </main>
      <aside className="border-rule px-5 pt-4 pb-10 max-lg:border-t lg:border-l">
        <h2 className="text-base lg:text-[15px]">Take a file out</h2>
        <ul>
          {OUT.map((format) => (
            <li key={format.path} className="border-b border-rule py-2">
              <a className="link font-semibold" href={`${base}/${format.path}`} download={format.name}>
                {format.title}
              </a>
              <span className="block text-quiet">{format.what}</span>
            </li>
          ))}
          <li className="py-2">
            <a className="link" href="/api/formats/map-schema" download="narrowgate-map-1.schema.json">
              The schema of the map file
            </a>
          </li>
        </ul>
      </aside>
    </div>
  );
}

interface Chosen {
  name: string;
  format: "json" | "csv" | "zip";
  text: string;
}

/** A file as it is sent: its text, and of an archive its bytes in Base64. */
async function opened(file: File): Promise<Chosen> {
  const name = file.name.toLowerCase();
  if (!name.endsWith(".zip")) {
    return { name: file.name, format: name.endsWith(".csv") ? "csv" : "json", text: await file.text() };
  }
  const bytes = new Uint8Array(await file.arrayBuffer());
  let binary = "";
  for (const byte of bytes) binary += String.fromCharCode(byte);
  return { name: file.name, format: "zip", text: btoa(binary) };
}

function Reading({ map }: { map: Schemas["Map"] }) {
  const [file, setFile] = useState<Chosen>();
  const [whole, setWhole] = useState(false);
  const save = useMapChange(map.id);
  const body = (chosen: Chosen, all: boolean) => ({
    revision: map.revision,
    format: chosen.format,
    text: chosen.text,
    whole: all,
  });
  const preview = useMutation({
    mutationFn: ({ chosen, all }: { chosen: Chosen; all: boolean }) =>
      unwrap(
        api.POST("/api/maps/{mapId}/import/preview", {
          params: { path: { mapId: map.id } },
          body: body(chosen, all),
        }),
      ),
  });
  const look = (chosen: Chosen | undefined, all: boolean) => {
    save.reset();
    if (chosen) preview.mutate({ chosen, all });
  };
  const changes = preview.data;
  const nothing = changes?.changes.length === 0;
  return (
    <div className="mt-2 space-y-3">
      <p className="max-w-2xl text-quiet">
        A map file, an archive of its parts, or a table of links from a spreadsheet. Nothing is stored until
        you have seen what it would change, and Undo takes it back.
      </p>
      <FileField
        accept=".json,.csv,.zip,application/json,text/csv,application/zip"
        onChoose={(chosen) =>
          void opened(chosen).then((next) => {
            setFile(next);
            look(next, whole);
          })
        }
      />
      <label className="flex min-h-11 items-center gap-2 lg:min-h-8">
        <input
          type="checkbox"
          className="size-5 accent-ink"
          checked={whole}
          onChange={(event) => {
            setWhole(event.target.checked);
            look(file, event.target.checked);
          }}
        />
        What the file does not hold is taken out of the map
      </label>
      {preview.isPending && <p role="status">Looking at {file?.name} …</p>}
      {preview.isError && (
        <Faults name={file?.name ?? "The file"} text={file?.text} problem={problemOf(preview.error)} />
      )}
      {save.isError && (
        <Faults name={file?.name ?? "The file"} text={file?.text} problem={problemOf(save.error)} />
      )}
      {save.isSuccess && (
        <p role="status" className="border-l-4 border-green pl-3">
          {file?.name} is read in. Undo takes it back.
        </p>
      )}
      {changes && !save.isSuccess && (
        <section aria-label="What it would change">
          <p role="status" className="text-[17px] font-semibold">
            {nothing
              ? "It holds nothing that is not on the map already."
              : `It would add ${changes.added}, change ${changes.changed} and take out ${changes.removed}.`}
          </p>
          {!nothing && file && (
            <>
              <button
                type="button"
                className="plate mt-2"
                disabled={save.isPending}
                onClick={() =>
                  save.mutate(() =>
                    unwrap(
                      api.POST("/api/maps/{mapId}/import", {
                        params: { path: { mapId: map.id } },
                        body: body(file, whole),
                      }),
                    ),
                  )
                }
              >
                Read it in
              </button>
              <Differences changes={changes.changes} />
            </>
          )}
        </section>
      )}
    </div>
  );
}
