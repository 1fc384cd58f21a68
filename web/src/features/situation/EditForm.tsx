import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, type ReactNode } from "react";
import { problemOf, type Problem } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { useEdit, useMap, type Edit } from "../map";

/**
 * The frame of a form that changes the map in place: save, cancel, take out; what the server refused; and the choice
 * when somebody else has changed the same part meanwhile.
 */
export function EditForm({
  revision,
  read,
  remove,
  onDone,
  children,
}: {
  /** The revision on screen when the form was opened. */
  revision: number;
  /** The change, or undefined while something typed is wrong. */
  read: () => Edit | undefined;
  remove?: { label: string; edit: Edit };
  onDone: () => void;
  children: ReactNode;
}) {
  const save = useEdit();
  const map = useMap();
  const queries = useQueryClient();
  const form = useRef<HTMLFormElement>(null);
  useEffect(() => form.current?.querySelector<HTMLElement>("input, select")?.focus(), []);
  const send = (edit: Edit | undefined, base: number) => {
    if (edit) save.mutate({ edit, revision: base }, { onSuccess: onDone });
  };
  const problem = save.isError ? problemOf(save.error) : undefined;
  return (
    <form
      ref={form}
      className="my-2 space-y-3 border-2 border-ink bg-ground p-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        send(read(), revision);
      }}
      onKeyDown={(event) => {
        if (event.key === "Escape") {
          event.stopPropagation();
          onDone();
        }
      }}
    >
      {children}
      {problem?.status === 409 ? (
        <Changed
          problem={problem}
          over={() =>
            void map.refetch().then((fresh) => fresh.data && send(save.variables?.edit, fresh.data.revision))
          }
          theirs={() => void queries.invalidateQueries({ queryKey: ["map"] }).then(onDone)}
        />
      ) : (
        problem && <Refused problem={problem} />
      )}
      {problem?.status !== 409 && (
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <button type="submit" className="plate" disabled={save.isPending}>
            Save
          </button>
          <button type="button" className="word" onClick={onDone}>
            Cancel
          </button>
          {remove && (
            <button type="button" className="word ml-auto" onClick={() => send(remove.edit, revision)}>
              {remove.label}
            </button>
          )}
        </div>
      )}
    </form>
  );
}

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
