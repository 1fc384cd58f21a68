import { useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { PART_KINDS, PART_LISTS, partsOf, type Named, type PartList } from "../../model/partKinds";
import { useCommand } from "../../ui/commands";
import { find, prepare } from "../../ui/find";
import { Heading } from "../../ui/Heading";
import { paths } from "../map";
import { settingQuery } from "../odds";
import type { Editing } from "./editing";

const SHOWN = 100;

/** The parts of one kind by their names, to choose the one that is edited, and the way to the other kinds. */
export function PartsList({
  map,
  list,
  editing,
  open,
}: {
  map: Schemas["Map"];
  list: PartList;
  editing: Editing;
  open: (next: Editing) => void;
}) {
  const kind = PART_KINDS[list];
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const [typed, setTyped] = useState("");
  const parts = useMemo(() => partsOf(map, list), [map, list]);
  const prepared = useMemo(() => prepare(parts), [parts]);
  const found = useMemo(() => find(prepared, typed, typed ? SHOWN : parts.length), [prepared, typed, parts]);
  useCommand({ title: `Add a ${kind.one}`, key: "a", run: () => open("new") });
  const query = settingQuery(params);
  const here = editing && editing !== "new" ? editing.id : undefined;
  // What is edited is always there, wherever it stands in the list.
  const edited = parts.find((part) => part.id === here);
  const first = found.slice(0, SHOWN);
  const shown = edited && !first.includes(edited) ? [edited, ...first] : first;
  const marked = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    marked.current?.scrollIntoView({ block: "nearest" });
  }, [here]);
  return (
    <>
      <div className="sticky top-0 z-10 bg-ground px-5 pt-3 pb-2 mid:max-lg:px-4">
        <Heading>Edit the map</Heading>
        <div className="mt-1.5 flex gap-2">
          <label className="min-w-0 grow">
            <span className="sr-only">Which kind</span>
            <select
              className="box font-semibold"
              value={list}
              onChange={(event) =>
                void navigate(paths.workshop(map.id, event.target.value as PartList) + query)
              }
            >
              {PART_LISTS.map((other) => (
                <option key={other} value={other}>
                  {PART_KINDS[other].title}, {partsOf(map, other).length}
                </option>
              ))}
            </select>
          </label>
          <button type="button" className="plate" onClick={() => open("new")}>
            New<span className="sr-only"> {kind.one}</span>
          </button>
        </div>
        <label className="mt-2 flex items-center gap-2">
          <span className="text-quiet">Find</span>
          <input
            className="box"
            type="search"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
      </div>
      <nav aria-label={kind.title} className="px-5 pb-10 mid:max-lg:px-4">
        <ul>
          {shown.map((part, at) => (
            <li key={part.id}>
              {kind.sorted && part.detail !== shown[at - 1]?.detail && (
                <p className="mt-2 border-b border-rule pb-0.5 text-quiet">{part.detail}</p>
              )}
              <Link
                ref={part.id === here ? marked : undefined}
                to={paths.edit(map.id, list, part.id, query)}
                aria-current={part.id === here ? "page" : undefined}
                className="flex min-h-11 scroll-mt-40 scroll-mb-24 items-center border-l-4 border-transparent py-0.5 pl-2 no-underline hover:underline aria-[current]:border-ink aria-[current]:font-semibold lg:min-h-7"
              >
                <Name part={part} sorted={kind.sorted} />
              </Link>
            </li>
          ))}
        </ul>
        {found.length > first.length && (
          <p className="mt-2 text-quiet">
            {found.length - first.length} more; type the name of the one you look for.
          </p>
        )}
        {parts.length === 0 && <p className="mt-2">There is none yet.</p>}
        {parts.length > 0 && found.length === 0 && <p className="mt-2">None is called so.</p>}
      </nav>
    </>
  );
}

function Name({ part, sorted = false }: { part: Named; sorted?: boolean }) {
  return (
    <span className="min-w-0">
      {part.title}
      {part.detail && (
        <span className={sorted ? "sr-only" : "text-quiet"}>
          {sorted ? ", " : " "}
          {part.detail}
        </span>
      )}
    </span>
  );
}
