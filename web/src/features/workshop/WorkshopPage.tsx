import { useMemo, useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { useCommand } from "../../ui/commands";
import { find, prepare } from "../../ui/find";
import { Failed } from "../../ui/Notice";
import { paths, useMap } from "../map";
import { SettingLine, settingQuery } from "../odds";
import { beginning, useEditing } from "./editing";
import { isPartList, PART_KINDS, PART_LISTS, partsOf, titleIn, type PartList } from "../../model/partKinds";
import { freeId, takenIds } from "../../model/ids";
import { FIELDS } from "./fields";
import { HouseForm } from "./HouseForm";
import { PartForm } from "./PartForm";
import { textOf, usePart, type Part } from "./parts";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";

const SHOWN = 100;

/** Every kind of part of the map in lists, to make, change, duplicate, move and take out. */
export function WorkshopPage() {
  const { list = "situations" } = useParams();
  const map = useMap();
  const ready = together({ map });
  if (!ready.data) return <Waiting what="Opening the workshop" on={ready} />;
  const data = ready.data;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-52px)] lg:grid-cols-[220px_minmax(0,1fr)]">
      <Kinds map={data.map} list={list} />
      <main className="min-w-0 border-rule px-5 pt-2 pb-10 lg:border-l">
        <SettingLine map={data.map} />
        {isPartList(list) ? (
          <Parts key={list} map={data.map} list={list} />
        ) : (
          <p className="mt-4">There is no such kind of part.</p>
        )}
      </main>
    </div>
  );
}

function Kinds({ map, list }: { map: Schemas["Map"]; list: string }) {
  const [params] = useSearchParams();
  return (
    <nav aria-label="Kinds of parts" className="px-5 pt-4 pb-2 lg:sticky lg:top-0 lg:self-start">
      <ul className="max-lg:flex max-lg:flex-wrap max-lg:gap-x-5">
        {PART_LISTS.map((kind) => (
          <li key={kind}>
            <Link
              to={paths.workshop(map.id, kind) + settingQuery(params)}
              aria-current={kind === list ? "page" : undefined}
              className="flex min-h-11 items-center border-l-4 border-transparent pl-2 no-underline hover:underline aria-[current]:border-ink aria-[current]:font-semibold lg:min-h-8"
            >
              <span>
                {PART_KINDS[kind].title}
                <span className="ml-2 text-quiet">{partsOf(map, kind).length}</span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </nav>
  );
}

function Parts({ map, list }: { map: Schemas["Map"]; list: PartList }) {
  const kind = PART_KINDS[list];
  const [params] = useSearchParams();
  const newKey = `${map.id}/${list}/+`;
  const [editing, open] = useEditing(newKey);
  const [typed, setTyped] = useState("");
  const parts = useMemo(() => partsOf(map, list), [map, list]);
  const prepared = useMemo(() => prepare(parts), [parts]);
  const found = useMemo(() => find(prepared, typed, typed ? SHOWN : parts.length), [prepared, typed, parts]);
  useCommand({ title: `Add a ${kind.one}`, key: "a", run: () => open("new") });
  // What is edited is always there, wherever it stands in the list.
  const edited = editing && editing !== "new" ? parts.find((part) => part.id === editing.id) : undefined;
  const first = found.slice(0, SHOWN);
  const shown = edited && !first.includes(edited) ? [edited, ...first] : first;
  return (
    <>
      <div className="mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
        <Heading className="mr-auto">Edit the map: {kind.title.toLowerCase()}</Heading>
        <label className="flex items-center gap-2">
          <span className="text-quiet">Find</span>
          <input
            className="box lg:min-h-8 lg:w-56 lg:py-0"
            type="search"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <button type="button" className="plate" onClick={() => open("new")}>
          New {kind.one}
        </button>
      </div>
      {list === "matchups" && map.matchups.length > 0 && <HouseForm key={map.revision} map={map} />}
      {editing === "new" && (
        <NewPart
          map={map}
          list={list}
          draftKey={newKey}
          initial={beginning(list, params)}
          onDone={() => open(undefined)}
        />
      )}
      <ul className="mt-3">
        {shown.map((part) => {
          const here = editing && editing !== "new" && editing.id === part.id ? editing : undefined;
          return (
            <li key={part.id} className="border-b border-rule py-1">
              <div className="flex flex-wrap items-baseline gap-x-4">
                <span className="min-w-0">
                  <span className="font-semibold">{part.title}</span>{" "}
                  {part.detail && <span className="text-quiet">{part.detail}</span>}
                </span>
                <span className="ml-auto flex gap-x-4">
                  <button
                    type="button"
                    className="word"
                    aria-label={`Edit: ${part.title} ${part.detail ?? ""}`}
                    onClick={() => open(here && !here.copy ? undefined : { id: part.id })}
                  >
                    Edit
                  </button>
                  <button
                    type="button"
                    className="word"
                    aria-label={`Duplicate: ${part.title} ${part.detail ?? ""}`}
                    onClick={() => open({ id: part.id, copy: true })}
                  >
                    Duplicate
                  </button>
                </span>
              </div>
              {here && (
                <EditPart
                  map={map}
                  list={list}
                  id={part.id}
                  copy={here.copy}
                  onDone={() => open(undefined)}
                />
              )}
            </li>
          );
        })}
      </ul>
      {found.length > first.length && (
        <p className="mt-2 text-quiet">
          {found.length - first.length} more; type the name of the one you look for.
        </p>
      )}
      {parts.length === 0 && <p className="mt-2">There is none yet.</p>}
      {parts.length > 0 && found.length === 0 && <p className="mt-2">None has these letters.</p>}
    </>
  );
}

/** What a new part is called, from which its id is made. */
function nameOf(list: PartList, value: Part): string {
  return list === "reactions"
    ? `${textOf(value, "from")}-${textOf(value, "technique")}`
    : textOf(value, "title");
}

export function NewPart({
  map,
  list,
  draftKey,
  initial,
  onDone,
}: {
  map: Schemas["Map"];
  list: PartList;
  draftKey: string;
  initial: Part;
  onDone: (id?: string) => void;
}) {
  const kind = PART_KINDS[list];
  return (
    <PartForm
      map={map}
      draftKey={draftKey}
      fields={FIELDS[list]}
      initial={initial}
      summary={(value) => `Added “${textOf(value, "title") || kind.one}”`}
      toInput={(value) => ({ list, id: freeId(nameOf(list, value), takenIds(map, list)), part: value })}
      watch={typeof initial.from === "string" ? initial.from : undefined}
      onDone={(saved) => onDone(saved?.id)}
    />
  );
}

/** Edits a part of the map; the copy of one begins as a new part with the same content. */
export function EditPart({
  map,
  list,
  id,
  copy = false,
  onDone,
}: {
  map: Schemas["Map"];
  list: PartList;
  id: string;
  copy?: boolean;
  onDone: () => void;
}) {
  const part = usePart(map, list, id);
  const kind = PART_KINDS[list];
  const title = titleIn(map, list, id);
  if (part.isError) return <Failed problem={problemOf(part.error)} retry={() => void part.refetch()} />;
  if (!part.data) return <p className="text-quiet">Opening …</p>;
  if (copy) {
    const content = Object.fromEntries(Object.entries(part.data).filter(([name]) => name !== "id"));
    const initial = "title" in content ? { ...content, title: `${title}, copy`.slice(0, 90) } : content;
    return (
      <NewPart
        map={map}
        list={list}
        draftKey={`${map.id}/${list}/copy/${id}`}
        initial={initial}
        onDone={() => onDone()}
      />
    );
  }
  const watch = list === "situations" ? id : list === "reactions" ? String(part.data.from) : undefined;
  return (
    <PartForm
      key={`${list}/${id}`}
      map={map}
      draftKey={`${map.id}/${list}/${id}`}
      fields={FIELDS[list]}
      initial={part.data}
      summary={() => `Changed “${title}”`}
      toInput={(value) => ({ list, id, part: value })}
      watch={watch}
      remove={{ title: `Take this ${kind.one} out`, list, id }}
      onDone={() => onDone()}
    />
  );
}
