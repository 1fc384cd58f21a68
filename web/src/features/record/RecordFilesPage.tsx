import { useState } from "react";
import { problemOf, type Schemas } from "../../api/client";
import { FileField } from "../../ui/FileField";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { listed } from "../../ui/listed";
import { dayInWords, whenInWords } from "../../ui/when";
import { Faults } from "../exchange";
import { useMap } from "../map";
import { May } from "../session";
import {
  addsInWords,
  leftInWords,
  opened,
  useImports,
  useLook,
  useReadIn,
  useTakeBack,
  type Preview,
  type RecordFile,
} from "./files";

/** The record in and out as files, and what was read in. */
export function RecordFilesPage() {
  const map = useMap();
  const ready = together({ map });
  if (!ready.data) return <Waiting what="Opening" on={ready} />;
  const mapId = ready.data.map.id;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-76px)] lg:grid-cols-[minmax(0,1fr)_minmax(0,0.7fr)]">
      <main className="px-5 pt-3 pb-10">
        <Heading>In and out</Heading>
        <May right="edit-maps">
          <ReadIn mapId={mapId} />
          <WasReadIn mapId={mapId} />
        </May>
      </main>
      <aside className="border-rule px-5 pt-3 pb-10 max-lg:border-t lg:border-l">
        <TakeOut mapId={mapId} />
      </aside>
    </div>
  );
}

function TakeOut({ mapId }: { mapId: string }) {
  const [from, setFrom] = useState("");
  const [until, setUntil] = useState("");
  const query = new URLSearchParams(
    Object.entries({ from, until }).filter(([, day]) => day !== ""),
  ).toString();
  const at = (path: string) => `/api/maps/${mapId}/record/${path}${query && `?${query}`}`;
  return (
    <>
      <h2 className="text-base lg:text-[15px]">Take the record out</h2>
      <p className="mt-1 text-quiet">Names stand in these files. Give them to nobody who need not know.</p>
      <div className="mt-2 flex flex-wrap gap-x-4 gap-y-2">
        <label className="block">
          <span className="font-semibold">From</span>
          <input className="box mt-0.5" type="date" value={from} onChange={(e) => setFrom(e.target.value)} />
        </label>
        <label className="block">
          <span className="font-semibold">Until</span>
          <input
            className="box mt-0.5"
            type="date"
            value={until}
            onChange={(e) => setUntil(e.target.value)}
          />
        </label>
      </div>
      <ul className="mt-2">
        <li className="border-b border-rule py-2">
          <a className="link font-semibold" href={at("table")} download="record.csv">
            A table
          </a>
          <span className="block text-quiet">
            what counts, one event a row, for a spreadsheet: rounds, repetitions, who came, decisions on gates
          </span>
        </li>
        <li className="border-b border-rule py-2">
          <a className="link font-semibold" href={at("lines")} download="record.jsonl">
            Lines of JSON
          </a>
          <span className="block text-quiet">
            everything, also what was taken out; to keep, or to take to another house
          </span>
        </li>
        <li className="py-2">
          <a className="link" href="/api/formats/record-schema" download="narrowgate-record-1.schema.json">
            The schema of a line
          </a>
        </li>
      </ul>
    </>
  );
}

function ReadIn({ mapId }: { mapId: string }) {
  const [file, setFile] = useState<RecordFile>();
  const [id, setId] = useState("");
  const [add, setAdd] = useState(true);
  const look = useLook(mapId);
  const save = useReadIn(mapId);
  const preview = look.data;
  const adds = preview && addsInWords(preview);
  const problem = look.error ?? save.error;
  return (
    <section className="mt-2 space-y-3">
      <p className="max-w-2xl text-quiet">
        A table from a spreadsheet, or lines of JSON: a term that was kept elsewhere, or what was taken out of
        here. Nothing is kept until you have seen what it would add, and it can be taken back.
      </p>
      <FileField
        accept=".csv,.jsonl,.ndjson,.json,text/csv,application/jsonl"
        onChoose={(chosen) => {
          save.reset();
          void opened(chosen).then((next) => {
            setFile(next);
            setId(crypto.randomUUID());
            look.mutate(next);
          });
        }}
      />
      <details className="max-w-2xl">
        <summary className="w-fit cursor-pointer text-quiet">How must a table look?</summary>
        <p className="mt-1">
          The first row names the columns. A round has <b>kind</b> (round), <b>at</b> (2026-09-14, or with the
          time), <b>person</b> (who was below), <b>partner</b>, <b>start</b> (the place as it is called here)
          and <b>ending</b> (guard, reversal, standing, counter, half, turtle, neutral, tap or held). Whoever
          came has <b>kind</b> (attendance), <b>at</b> and <b>person</b>. Take a table out to see the others.
        </p>
      </details>
      {look.isPending && <p role="status">Looking at {file?.name} …</p>}
      {problem && <Faults name={file?.name ?? "The file"} problem={problemOf(problem)} />}
      {save.data && (
        <p role="status" className="border-l-4 border-green pl-3">
          {save.data.file} is read in: {save.data.events.toLocaleString("en")} events that were not in the
          record before.
        </p>
      )}
      {preview && file && !save.isSuccess && (
        <section aria-label="What it would add">
          <p role="status" className="text-[17px] font-semibold">
            {adds ? `It would add ${adds}${daysInWords(preview)}.` : "It holds nothing that would be added."}
          </p>
          {leftInWords(preview).map((sentence) => (
            <p key={sentence} className="text-quiet">
              {sentence}
            </p>
          ))}
          {preview.strangers.length > 0 && (
            <Strangers strangers={preview.strangers} add={add} setAdd={setAdd} />
          )}
          {adds && (
            <button
              type="button"
              className="plate mt-3"
              disabled={save.isPending}
              onClick={() => save.mutate({ id, file, addPeople: add })}
            >
              {save.isPending ? "Reading it in …" : "Read it in"}
            </button>
          )}
        </section>
      )}
    </section>
  );
}

function daysInWords({ first, last }: Preview): string {
  if (!first || !last) return "";
  const [from, until] = [dayInWords(first), dayInWords(last)];
  return from === until ? `, of ${from}` : `, from ${from} to ${until}`;
}

/** So many names are told. */
const NAMED = 12;

function Strangers({
  strangers,
  add,
  setAdd,
}: {
  strangers: Schemas["RecordStranger"][];
  add: boolean;
  setAdd: (add: boolean) => void;
}) {
  const named = strangers.slice(0, NAMED).map((one) => `${one.name} (${one.times})`);
  const more = strangers.length - named.length;
  return (
    <fieldset className="mt-3 max-w-2xl border-l-4 border-ink pl-3">
      <legend className="float-left mb-1 w-full font-semibold">
        {strangers.length === 1 ? "One name is" : `${strangers.length} names are`} not on the roster
      </legend>
      <p className="clear-left">{listed(more > 0 ? [...named, `${more} more`] : named)}.</p>
      {[
        { value: true, title: "Put them on the roster, as grown-ups, with their names alone" },
        { value: false, title: "Leave away what is said of them; where they were on top, the round stays" },
      ].map((choice) => (
        <label key={String(choice.value)} className="flex min-h-11 items-center gap-2 lg:min-h-8">
          <input
            type="radio"
            name="strangers"
            className="size-5 shrink-0 accent-ink"
            checked={add === choice.value}
            onChange={() => setAdd(choice.value)}
          />
          {choice.title}
        </label>
      ))}
    </fieldset>
  );
}

/** Files that were read in, the newest first; each can be taken back. */
function WasReadIn({ mapId }: { mapId: string }) {
  const imports = useImports(mapId);
  const back = useTakeBack(mapId);
  if (!imports.data || imports.data.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="text-base lg:text-[15px]">What was read in</h2>
      {back.isError && (
        <p role="alert" className="text-rust">
          {problemOf(back.error).detail}
        </p>
      )}
      <ul className="mt-1 border-t-[3px] border-ink">
        {imports.data.map((one) => (
          <li
            key={one.id}
            className="grid grid-cols-[1fr_auto] items-center gap-x-4 border-b border-rule py-1"
          >
            <span className={one.undone ? "text-quiet" : undefined}>
              <strong className="wrap-anywhere">{one.file}</strong>, {whenInWords(one.at)}
              {one.author ? `, by ${one.author}` : ""}:{" "}
              {one.undone ? "taken back; it does not count." : `${one.events.toLocaleString("en")} events.`}
            </span>
            <button
              type="button"
              className="word min-h-11"
              disabled={back.isPending}
              aria-label={`${one.undone ? "Let it count again" : "Take back"}: ${one.file}`}
              onClick={() => back.mutate({ id: one.id, undone: !one.undone })}
            >
              {one.undone ? "Let it count again" : "Take back"}
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-quiet">Whoever was put on the roster with a file stays there.</p>
    </section>
  );
}
