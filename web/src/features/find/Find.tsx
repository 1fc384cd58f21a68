import { useId, useMemo, useRef, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { useCommands } from "../../ui/commands";
import { find, prepare } from "../../ui/find";
import { Panel } from "../../ui/Panel";
import { useMapById } from "../map";
import { settingQuery } from "../odds";
import { entriesOf, type Entry } from "./entries";
import { pressables } from "./pressables";

const MOST = 40;

/** Finds anything on the map, and does anything that can be done here, by typing a few letters. */
export function Find({
  mapId,
  open,
  onOpenChange,
}: {
  mapId: string | undefined;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  return (
    <Panel
      title="Find or do"
      hidden
      open={open}
      onOpenChange={onOpenChange}
      className="top-0 flex max-h-dvh flex-col sm:top-[9vh] sm:max-h-[80vh] sm:w-[640px]"
    >
      <Search mapId={mapId} close={() => onOpenChange(false)} />
    </Panel>
  );
}

function useEntries(mapId: string | undefined): Entry[] {
  const map = useMapById(mapId);
  const commands = useCommands();
  const [params] = useSearchParams();
  const query = settingQuery(params);
  // As the page is when the list is opened.
  const [onPage] = useState(pressables);
  return useMemo(() => {
    const offered = new Set(commands.map((c) => c.title));
    return [
      // Before anything is typed, what can be done here comes first; then names of places.
      ...commands.map((c) => ({ kind: "Do", title: c.title, key: c.key, run: c.run })),
      ...(map.data ? entriesOf(map.data, query) : []),
      ...onPage.filter((entry) => !offered.has(entry.title)),
    ];
  }, [map.data, commands, query, onPage]);
}

function Search({ mapId, close }: { mapId: string | undefined; close: () => void }) {
  const entries = useEntries(mapId);
  const navigate = useNavigate();
  const prepared = useMemo(() => prepare(entries), [entries]);
  const [typed, setTyped] = useState("");
  const [at, setAt] = useState(0);
  const list = useRef<HTMLUListElement>(null);
  const id = useId();
  const found = useMemo(() => find(prepared, typed, MOST), [prepared, typed]);
  const chosen = Math.min(at, found.length - 1);
  const move = (to: number) => {
    const next = (to + found.length) % Math.max(found.length, 1);
    setAt(next);
    list.current?.children[next]?.scrollIntoView({ block: "nearest" });
  };
  const take = (entry: Entry | undefined) => {
    if (!entry) return;
    close();
    if (entry.to) void navigate(entry.to);
    // The dialog gives the focus back first; what the command opens then keeps it.
    else if (entry.run) setTimeout(entry.run, 0);
  };
  return (
    <>
      <input
        role="combobox"
        aria-label="Find a place, what you do, what they do, or a command"
        aria-expanded="true"
        aria-controls={id}
        aria-activedescendant={found.length > 0 ? `${id}-${chosen}` : undefined}
        className="w-full border-b border-rule bg-lane px-4 py-3 text-[18px] outline-none"
        placeholder="A few letters of anything"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === "ArrowDown") move(chosen + 1);
          else if (event.key === "ArrowUp") move(chosen - 1);
          else if (event.key === "Enter") take(found[chosen]);
          else return;
          event.preventDefault();
        }}
      />
      <ul ref={list} id={id} role="listbox" aria-label="Found" className="min-h-0 overflow-y-auto py-1">
        {found.map((entry, index) => (
          // The field above has the focus and takes the keys, as the ARIA practice for a combobox says.
          // eslint-disable-next-line jsx-a11y-x/click-events-have-key-events
          <li
            key={`${index} ${entry.kind} ${entry.title}`}
            id={`${id}-${index}`}
            role="option"
            aria-selected={index === chosen}
            className="grid min-h-11 cursor-pointer grid-cols-[76px_minmax(0,1fr)_auto] items-baseline gap-x-3 px-4 py-1.5 aria-selected:bg-ink aria-selected:text-ground lg:min-h-0"
            onMouseMove={() => index !== chosen && setAt(index)}
            onClick={() => take(entry)}
          >
            <span className={index === chosen ? "" : "text-quiet"}>{entry.kind}</span>
            <span className="min-w-0">
              <span className="font-semibold">{entry.title}</span>
              {entry.detail && (
                <span className={`block truncate ${index === chosen ? "" : "text-quiet"}`}>
                  {entry.detail}
                </span>
              )}
            </span>
            {entry.key && <kbd className="key px-1 font-sans">{keyName(entry.key)}</kbd>}
          </li>
        ))}
      </ul>
      {found.length === 0 && (
        <p role="status" className="px-4 py-3">
          Nothing on this map has these letters.
        </p>
      )}
    </>
  );
}

const KEY_NAMES: Record<string, string> = { ArrowLeft: "←", ArrowRight: "→" };

export function keyName(key: string): string {
  return KEY_NAMES[key] ?? key.toUpperCase();
}
