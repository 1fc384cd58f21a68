import { useCallback, useEffect, useReducer, useRef, useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { Failed } from "../../ui/Notice";
import { paths, useMap } from "../map";
import { SettingLine, settingQuery } from "../odds";
import { beginning, useEditing, type Editing } from "./editing";
import { isPartList, PART_KINDS, partsOf, titleIn, type PartList } from "../../model/partKinds";
import { freeId, takenIds } from "../../model/ids";
import { FIELDS } from "./fields";
import { Kinds } from "./Kinds";
import { PartForm } from "./PartForm";
import { PartPicture } from "./PartPicture";
import { PartsList } from "./PartsList";
import { textOf, usePart, type Part } from "./parts";
import { hasDraft } from "../../ui/draft";
import { Heading } from "../../ui/Heading";
import { useWide } from "../../ui/media";
import { isOut, together, Waiting } from "../../ui/Waiting";

/** Every part of the map: its kind by their names, and beside them the one that is edited. */
export function WorkshopPage() {
  const { list = "situations" } = useParams();
  const map = useMap();
  const ready = together({ map });
  if (!ready.data) return <Waiting what="Opening the workshop" on={ready} />;
  if (!isPartList(list)) {
    return (
      <main className="px-5 pt-4">
        <Heading>Edit the map</Heading>
        <p className="mt-2">
          There is no such kind of part.{" "}
          <Link className="link" to={paths.workshop(ready.data.map.id)}>
            All kinds
          </Link>
        </p>
      </main>
    );
  }
  return <Parts key={list} map={ready.data.map} list={list} />;
}

function Parts({ map, list }: { map: Schemas["Map"]; list: PartList }) {
  const newKey = `${map.id}/${list}/+`;
  const [editing, open] = useEditing(newKey);
  const [params] = useSearchParams();
  // On a phone there is room for one of the two.
  const alone = !useWide() && editing !== undefined;
  const listed = useRef<HTMLDivElement>(null);
  const back = useRef<HTMLAnchorElement>(null);
  // Where the list is not beside the form, the way back to it.
  const toList = useCallback(() => {
    const link = listed.current?.querySelector<HTMLElement>("[aria-current=page]");
    (link?.offsetParent ? link : back.current)?.focus({ preventScroll: true });
  }, []);
  return (
    <div className="mid:grid mid:grid-cols-[240px_minmax(0,1fr)] lg:grid-cols-[300px_minmax(0,1fr)]">
      {alone ? (
        <Heading size="unseen">Edit the map</Heading>
      ) : (
        <div
          ref={listed}
          className="min-w-0 border-rule mid:sticky mid:top-12 mid:max-h-[calc(100dvh-3rem)] mid:self-start mid:overflow-y-auto"
        >
          <PartsList map={map} list={list} editing={editing} open={open} />
        </div>
      )}
      <main
        className={`min-w-0 border-rule mid:min-h-[calc(100dvh-3rem)] mid:border-l ${editing ? "" : "max-mid:hidden"}`}
      >
        {alone && (
          <Link
            ref={back}
            className="word flex items-center px-5"
            to={paths.workshop(map.id, list) + settingQuery(params)}
          >
            All {PART_KINDS[list].title.toLowerCase()}
          </Link>
        )}
        {editing === undefined ? (
          <Kinds map={map} list={list} />
        ) : (
          <Edited map={map} list={list} editing={editing} newKey={newKey} open={open} toList={toList} />
        )}
      </main>
    </div>
  );
}

function Edited({
  map,
  list,
  editing,
  newKey,
  open,
  toList,
}: {
  map: Schemas["Map"];
  list: PartList;
  editing: NonNullable<Editing>;
  newKey: string;
  open: (next: Editing) => void;
  /** Takes the focus to the part in the list. */
  toList: () => void;
}) {
  const [params] = useSearchParams();
  const [made, setMade] = useState<string>();
  const done = (id?: string) => {
    setMade(id);
    open(id === undefined ? undefined : { id });
  };
  if (editing === "new") {
    return (
      <NewPart map={map} list={list} draftKey={newKey} initial={beginning(list, params)} onDone={done} />
    );
  }
  if (!partsOf(map, list).some((part) => part.id === editing.id)) {
    return (
      <>
        <p role="status" className="mx-5 mt-3 border-l-4 border-ink pl-3">
          This {PART_KINDS[list].one} is not on the map any more.
        </p>
        <Kinds map={map} list={list} />
      </>
    );
  }
  if (editing.copy) {
    return <CopiedPart key={editing.id} map={map} list={list} id={editing.id} onDone={done} />;
  }
  return (
    <EditPart
      key={editing.id}
      map={map}
      list={list}
      id={editing.id}
      made={editing.id === made}
      copy={() => open({ id: editing.id, copy: true })}
      toList={toList}
      onDone={done}
    />
  );
}

/** What a new part is called, from which its id is made. */
function nameOf(list: PartList, value: Part): string {
  return list === "reactions"
    ? `${textOf(value, "from")}-${textOf(value, "technique")}`
    : textOf(value, "title");
}

/** What stands beside a form: the setting under which the odds are reckoned, and the bodies. */
function beside(map: Schemas["Map"], list: PartList, id?: string) {
  return (value: Part) => (
    <>
      <SettingLine map={map} />
      <PartPicture map={map} list={list} id={id} value={value} />
    </>
  );
}

function NewPart({
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
      beside={beside(map, list)}
      onDone={(saved) => onDone(saved?.id)}
    />
  );
}

/** A new part with the content of another one. */
function CopiedPart({
  map,
  list,
  id,
  onDone,
}: {
  map: Schemas["Map"];
  list: PartList;
  id: string;
  onDone: (id?: string) => void;
}) {
  const part = usePart(map, list, id);
  if (isOut(part)) return <Failed problem={problemOf(part.error)} retry={() => void part.refetch()} />;
  if (!part.data) return <p className="p-5 text-quiet">Opening …</p>;
  const content = Object.fromEntries(Object.entries(part.data).filter(([name]) => name !== "id"));
  const title = titleIn(map, list, id);
  return (
    <NewPart
      map={map}
      list={list}
      draftKey={`${map.id}/${list}/copy/${id}`}
      initial={"title" in content ? { ...content, title: `${title}, copy`.slice(0, 90) } : content}
      onDone={onDone}
    />
  );
}

/** Edits a part of the map. It stays open when it is saved, and follows the map while nothing is typed. */
function EditPart({
  map,
  list,
  id,
  made,
  copy,
  toList,
  onDone,
}: {
  map: Schemas["Map"];
  list: PartList;
  id: string;
  /** It has just been made here. */
  made: boolean;
  /** Begins another part with the same content. */
  copy: () => void;
  toList: () => void;
  onDone: (id?: string) => void;
}) {
  const draftKey = `${map.id}/${list}/${id}`;
  const [opened] = useState(map.revision);
  const [seen, setSeen] = useState(map.revision);
  const [, look] = useReducer((count: number) => count + 1, 0);
  if (seen !== map.revision && !hasDraft(draftKey)) setSeen(map.revision);
  const again = made || seen !== opened;
  const part = usePart(map, list, id, seen);
  const isThere = part.data !== undefined;
  useEffect(() => {
    if (again && isThere && document.activeElement === document.body) toList();
  }, [again, isThere, seen, toList]);
  const kind = PART_KINDS[list];
  const title = titleIn(map, list, id);
  if (isOut(part)) return <Failed problem={problemOf(part.error)} retry={() => void part.refetch()} />;
  if (!part.data) return <p className="p-5 text-quiet">Opening …</p>;
  const watch = list === "situations" ? id : list === "reactions" ? String(part.data.from) : undefined;
  return (
    <PartForm
      key={seen}
      map={map}
      draftKey={draftKey}
      fields={FIELDS[list]}
      initial={part.data}
      summary={() => `Changed “${title}”`}
      toInput={(value) => ({ list, id, part: value })}
      watch={watch}
      remove={{ one: kind.one, list, id }}
      beside={beside(map, list, id)}
      copy={copy}
      again={again}
      onDone={(saved) => (saved ? look() : onDone())}
    />
  );
}
