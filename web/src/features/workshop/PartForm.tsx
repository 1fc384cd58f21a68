import { useEffect, useRef, useState, type ReactNode } from "react";
import { useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { isLost, problemOf, type Problem, type Schemas } from "../../api/client";
import { dropEdit, keepEdit } from "../../queue";
import { useDraft } from "../../ui/draft";
import { Refused } from "../../ui/Notice";
import { lowerFirst, placeTitle, useMapById, useMapChange } from "../map";
import { cleaned } from "./cleaned";
import { FieldInput } from "./FieldInput";
import type { Field } from "./field";
import { inWordsOfTheForm } from "./fields";
import { HoldPreview } from "./HoldPreview";
import { partsEdit, putParts, type Part, type PartInput } from "./parts";
import { PostureEditor } from "./PostureEditor";
import { Preview } from "./Preview";
import { Removal } from "./Removal";
import { freeId, retiredResponses, takenIds } from "../../model/ids";
import { indexOf } from "../../model/mapIndex";
import { isPartList, type PartList } from "../../model/partKinds";

interface Typed {
  value: Part;
  /** Parts that were made on the way. */
  made: PartInput[];
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** What is kept must still be what the form reads; an older program may have kept something else. */
function isTyped(kept: unknown): kept is Typed {
  return (
    isObject(kept) &&
    isObject(kept.value) &&
    Array.isArray(kept.made) &&
    kept.made.every(
      (m) =>
        isObject(m) &&
        typeof m.list === "string" &&
        isPartList(m.list) &&
        typeof m.id === "string" &&
        isObject(m.part),
    )
  );
}

/**
 * Edits something of a map in place: its fields, the odds as they would be, what the server refused, and the choice when
 * somebody else has changed the same thing. What is typed is kept until it is saved or thrown away.
 */
export function PartForm({
  map,
  draftKey,
  fields,
  initial,
  place = "",
  summary,
  toInput,
  watch,
  remove,
  beside,
  copy,
  again = false,
  onDone,
}: {
  map: Schemas["Map"];
  draftKey: string;
  fields: Field[];
  initial: Part;
  /** Where the fields stand within the part that is sent. */
  place?: string;
  /** What stands in the history. */
  summary: (value: Part) => string;
  /** The part to send for what was typed. */
  toInput: (value: Part) => PartInput;
  /** The situation whose odds are shown beside the start's. */
  watch?: string;
  /** The word for what can be taken out, and how. */
  remove?: { one: string } & (
    { list: PartList; id: string } | { run: (base: number) => Promise<Schemas["Map"]> }
  );
  /** What stands beside the fields of a form that has a page to itself; without it the form stands among other things. */
  beside?: (value: Part) => ReactNode;
  /** Begins another part with the same content. */
  copy?: () => void;
  /** It was here before, with what has changed since; whoever shows it says where the focus goes. */
  again?: boolean;
  onDone: (saved?: PartInput) => void;
}) {
  const { draft, kept, unreadable, change, rebase, drop } = useDraft(
    draftKey,
    map.revision,
    { value: initial, made: [] },
    isTyped,
  );
  const save = useMapChange(map.id);
  const fresh = useMapById(map.id);
  const queries = useQueryClient();
  const form = useRef<HTMLFormElement>(null);
  const [removing, setRemoving] = useState(false);
  const [busy, setBusy] = useState(false);
  // A press on Save while something is on its way is not lost: it counts once that is there.
  const [wanted, want] = useState(false);
  useEffect(() => {
    if (again) return;
    form.current
      ?.querySelector<HTMLElement>("input, select, textarea")
      ?.focus({ preventScroll: beside !== undefined });
    // Only when it comes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const { value, made } = draft.value;
  const clean = cleaned(value, typeof value.id === "string" ? retiredResponses(map, value.id) : []);
  const input = toInput(clean);
  const parts = [...made.filter((m) => isUsed(m.id, [input, ...made])), input];
  const problem = save.isError ? problemOf(save.error) : undefined;
  const [tried, setTried] = useState(false);
  const missing = fields.filter((f) => f.need && !clean[f.name]);
  const errors = new Map<string, string>(tried ? missing.map((f) => [`/${f.name}`, f.need!]) : []);
  const elsewhere: string[] = [];
  problem?.problems?.forEach((p) => {
    const within = p.place.startsWith(`${place}/`) ? p.place.slice(place.length) : undefined;
    if (within && fields.some((f) => within === `/${f.name}` || within.startsWith(`/${f.name}/`))) {
      const place = /^\/places\/(.+)$/.exec(within)?.[1];
      const message = place ? p.message.replace(`“${place}”`, `“${placeTitle(map, place)}”`) : p.message;
      errors.set(within, inWordsOfTheForm(message, fields));
    } else {
      elsewhere.push(inWordsOfTheForm(p.message));
    }
  });
  const done = (saved?: PartInput) => {
    drop();
    dropEdit(draftKey);
    onDone(saved);
  };
  const throwAway = (
    <button type="button" className="word" onClick={() => done()}>
      Throw it away
    </button>
  );
  const send = (base: number) =>
    save.mutate(() => putParts(map.id, base, summary(value), parts), {
      onSuccess: () => done(input),
      onError: (error) => {
        if (!isLost(error)) return;
        // What is typed stays with the form until it has been taken.
        const to = window.location.pathname + window.location.search;
        keepEdit({ mapId: map.id, edit: partsEdit(base, summary(value), parts), draft: draftKey, to });
        onDone();
      },
      onSettled: () => want(false),
    });
  const latest = useRef(() => {});
  useEffect(() => {
    latest.current = () => send(draft.base);
  });
  useEffect(() => {
    if (wanted && !busy) latest.current();
  }, [wanted, busy]);
  const make = (list: PartList, title: string) => {
    const id = freeId(title, [...takenIds(map, list), ...made.map((m) => m.id)]);
    const part = bare(map, list, title, watch);
    change((now) => ({ ...now, made: [...now.made, { list, id, part }] }));
    return id;
  };
  const control = (field: Field) => (
    <FieldInput
      key={field.name}
      map={map}
      field={field}
      place={`/${field.name}`}
      value={value[field.name]}
      errors={errors}
      make={make}
      part={value}
      made={made.map((m) => ({ ...m, title: String(m.part.title) }))}
      onChange={(next) => change((now) => ({ ...now, value: { ...now.value, [field.name]: next } }))}
    />
  );
  const usual = fields.filter((f) => !f.more);
  // The bodies come after their name.
  const own = input.list === "postures" ? 1 : usual.length;
  const more = fields.filter((f) => f.more);
  const isSaid = (f: Field) => f.name in initial || f.name in value;
  const isWrong = (f: Field) =>
    [...errors.keys()].some((at) => at === `/${f.name}` || at.startsWith(`/${f.name}/`));
  const unfolded = more.some((f) => isSaid(f) || isWrong(f));
  const preview =
    input.list === "holds" ? (
      <HoldPreview map={map} parts={missing.length === 0 ? parts : undefined} />
    ) : (
      <Preview map={map} parts={missing.length === 0 ? parts : undefined} watch={watch} />
    );
  const removal = remove && removing && "list" in remove && (
    <Removal
      map={map}
      list={remove.list}
      id={remove.id}
      keep={() => setRemoving(false)}
      onDone={() => done()}
    />
  );
  // A part that stays open once it is saved says so.
  const saved =
    beside !== undefined &&
    remove !== undefined &&
    made.length === 0 &&
    JSON.stringify(value) === JSON.stringify(initial);
  const buttons = problem?.status !== 409 && (
    <div
      className={`flex flex-wrap items-center gap-x-4 gap-y-2 ${beside ? "sticky bottom-28 z-10 -mx-5 border-t border-rule bg-ground px-5 py-1.5 mid:bottom-0" : ""}`}
    >
      <button type="submit" className="plate" disabled={save.isPending || wanted || saved}>
        {saved ? "Saved" : "Save"}
      </button>
      <button type="button" className="word" onClick={() => done()}>
        {saved ? "Close" : "Cancel"}
      </button>
      {copy && (
        <button type="button" className="word ml-auto" onClick={copy}>
          Make a copy
        </button>
      )}
      {remove && !removing && (
        <button
          type="button"
          className={`word ${copy ? "" : "ml-auto"}`}
          onClick={() =>
            "run" in remove
              ? save.mutate(() => remove.run(draft.base), { onSuccess: () => done() })
              : setRemoving(true)
          }
        >
          Take<span className="sr-only"> this {remove.one}</span> out
        </button>
      )}
    </div>
  );
  return (
    // Escape leaves the form from any of its fields.
    // eslint-disable-next-line jsx-a11y-x/no-noninteractive-element-interactions
    <form
      ref={form}
      className={
        beside
          ? "gap-x-5 px-5 pt-2 mid:grid mid:grid-cols-[minmax(0,1fr)_200px] lg:grid-cols-[minmax(0,1fr)_260px] xl:grid-cols-[minmax(0,1fr)_320px]"
          : "my-2 border-2 border-ink bg-ground p-3"
      }
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (missing.length > 0) return;
        if (busy) want(true);
        else send(draft.base);
      }}
      onKeyDown={(event) => {
        if (event.key === "Escape") {
          event.stopPropagation();
          done();
        }
      }}
    >
      <div className="@container min-w-0 space-y-3">
        {unreadable !== undefined && (
          <details className="border-l-4 border-ink pl-3">
            <summary>
              What you typed here before cannot be put back into the form, which has changed since.
            </summary>
            <pre className="my-1 wrap-anywhere whitespace-pre-wrap text-quiet select-all">{unreadable}</pre>
            {throwAway}
          </details>
        )}
        {kept && (
          <p className="flex flex-wrap items-baseline gap-x-4 border-l-4 border-ink pl-3">
            <span>What you typed before is back.</span>
            {throwAway}
          </p>
        )}
        <div className="grid gap-x-5 gap-y-3 @lg:grid-cols-2">{usual.slice(0, own).map(control)}</div>
        {input.list === "postures" && (
          <PostureEditor
            map={map}
            posture={input.id}
            value={value}
            parts={missing.length === 0 ? parts : undefined}
            onValue={(next) => change((now) => ({ ...now, value: next }))}
            onBusy={setBusy}
          />
        )}
        {own < usual.length && (
          <div className="grid gap-x-5 gap-y-3 @lg:grid-cols-2">{usual.slice(own).map(control)}</div>
        )}
        {more.length > 0 && (
          <details open={unfolded || undefined}>
            <summary className="font-semibold">
              More: {more.map((f) => lowerFirst(f.label)).join(", ")}
            </summary>
            <div className="mt-2 grid gap-x-5 gap-y-3 @lg:grid-cols-2">{more.map(control)}</div>
          </details>
        )}
        {problem?.status === 409 ? (
          <Changed
            problem={problem}
            over={() =>
              void fresh.refetch().then(({ data }) => {
                if (!data) return;
                rebase(data.revision);
                send(data.revision);
              })
            }
            theirs={() => void askAgain(queries, { queryKey: ["map"] }).then(() => done())}
          />
        ) : (
          problem &&
          (problem.problems === undefined || elsewhere.length > 0) && (
            <Refused
              problem={{ ...problem, problems: elsewhere.map((message) => ({ place: message, message })) }}
            />
          )
        )}
        {removal}
        {buttons}
        {/* Under the buttons, so that they do not move away from under the hand when the odds come in. */}
        {!beside && preview}
      </div>
      {beside && (
        <div className="space-y-3 pb-10 max-mid:mt-4 mid:sticky mid:top-14 mid:self-start">
          {beside(value)}
          {preview}
        </div>
      )}
    </form>
  );
}

/** True when another part refers to the id. */
function isUsed(id: string, others: PartInput[]): boolean {
  return others.some((other) => other.id !== id && JSON.stringify(other.part).includes(`"${id}"`));
}

/** The least that a new part must say; a place lies in the family of where one is. */
function bare(map: Schemas["Map"], list: PartList, title: string, near: string | undefined): Part {
  if (list !== "situations") return { title };
  const family = indexOf(map).situation(near)?.family ?? map.families[0]?.id;
  return { title, family, stage: "joined", entry: 0 };
}

/** Somebody else has changed the same thing meanwhile: what they did, and what to do about it. */
function Changed({ problem, over, theirs }: { problem: Problem; over: () => void; theirs: () => void }) {
  return (
    <div className="space-y-2">
      <Refused problem={problem} />
      <ul>
        {problem.changed?.map((revision) => (
          <li key={revision.number}>
            <span className="font-semibold">{revision.author}</span>: {revision.summary}{" "}
            <span className="text-quiet">at {new Date(revision.at).toLocaleTimeString()}</span>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-5">
        <button type="button" className="plate" onClick={over}>
          Save mine over it
        </button>
        <button type="button" className="word" onClick={theirs}>
          Take theirs
        </button>
      </div>
    </div>
  );
}
