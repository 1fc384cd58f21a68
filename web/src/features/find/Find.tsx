import { useCombobox } from "downshift";
import { useMemo, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { useCommands } from "../../ui/commands";
import { find, prepare } from "../../ui/find";
import { Panel } from "../../ui/Panel";
import { useMapById } from "../map";
import { settingQuery } from "../odds";
import { PlacePicture } from "../picture";
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
  const map = useMapById(mapId);
  const entries = useEntries(mapId);
  const navigate = useNavigate();
  const prepared = useMemo(() => prepare(entries), [entries]);
  const [typed, setTyped] = useState("");
  const found = useMemo(() => find(prepared, typed, MOST), [prepared, typed]);
  const take = (entry: Entry) => {
    close();
    if (entry.to) void navigate(entry.to);
    // The dialog gives the focus back first; what the command opens then keeps it.
    else if (entry.run) setTimeout(entry.run, 0);
  };
  const combobox = useCombobox<Entry>({
    items: found,
    itemToString: (entry) => entry?.title ?? "",
    inputValue: typed,
    isOpen: true,
    selectedItem: null,
    initialHighlightedIndex: 0,
    defaultHighlightedIndex: 0,
    // The keys go on where they were when the pointer leaves the list.
    stateReducer: ({ highlightedIndex }, { type, changes }) =>
      type === useCombobox.stateChangeTypes.MenuMouseLeave ? { ...changes, highlightedIndex } : changes,
    onStateChange: ({ type, selectedItem }) => {
      // Leaving the field is no choice.
      if (selectedItem && type !== useCombobox.stateChangeTypes.InputBlur) take(selectedItem);
    },
  });
  return (
    <>
      <input
        {...combobox.getInputProps({
          "aria-label": "Find a place, what you do, what they do, or a command",
          className: "w-full border-b border-rule bg-lane px-4 py-3 text-[18px] outline-none",
          placeholder: "A few letters of anything",
          onChange: (event) => setTyped(event.currentTarget.value),
        })}
      />
      <ul
        {...combobox.getMenuProps({ "aria-label": "Found" })}
        hidden={found.length === 0}
        className="min-h-0 overflow-y-auto py-1"
      >
        {found.map((entry, index) => (
          <li
            key={`${index} ${entry.kind} ${entry.title}`}
            {...combobox.getItemProps({ item: entry, index })}
            className="grid min-h-11 cursor-pointer grid-cols-[76px_minmax(0,1fr)_auto] items-center gap-x-3 px-4 py-1.5 aria-selected:bg-ink aria-selected:text-ground lg:min-h-0"
          >
            <span className={index === combobox.highlightedIndex ? "" : "text-quiet"}>{entry.kind}</span>
            <span className="min-w-0">
              <span className="font-semibold">{entry.title}</span>
              {entry.detail && (
                <span className={`block truncate ${index === combobox.highlightedIndex ? "" : "text-quiet"}`}>
                  {entry.detail}
                </span>
              )}
            </span>
            {entry.place && map.data && (
              <PlacePicture map={map.data} place={entry.place} width={56} className="h-10 w-14" silent />
            )}
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
