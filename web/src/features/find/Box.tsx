import { useCombobox } from "downshift";
import { useCallback, useEffect, useId, useMemo, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { useCommand, useCommands } from "../../ui/commands";
import { useWide } from "../../ui/media";
import { paths, useMapById } from "../map";
import { settingQuery, useOverview } from "../odds";
import { entriesOf } from "./entries";
import { KeptQuestions } from "./KeptQuestions";
import { allowed, isKeep, offersOf, preferred, type Offer } from "./offers";
import { OfferLine } from "./OfferLine";
import { pressables } from "./pressables";
import { Search } from "./search";
import { useKeep } from "./useKeep";
import { useRights } from "../session";

/** The one box: a coach's sentence finds the place and its answer; what is not there is kept as a question. */
export function Box({ mapId, situation }: { mapId: string; situation: string | undefined }) {
  const map = useMapById(mapId).data;
  const [open, setOpen] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const label = useId();
  const focus = () => {
    input.current?.focus();
    input.current?.select();
  };
  useCommand({ title: "What if they …", key: "/", run: focus });
  useCommand({ title: "Find, or keep a question", key: "w", run: focus });
  useFindKey(focus);
  const wide = useWide();
  return (
    <search
      aria-labelledby={label}
      className={
        wide ? "relative max-w-[340px] min-w-0 grow basis-0" : "relative border-t-2 border-ink bg-lane"
      }
    >
      <span id={label} className="sr-only">
        What if they …
      </span>
      <Typed
        key={situation}
        map={map}
        situation={situation}
        input={input}
        open={open}
        setOpen={setOpen}
        wide={wide}
      />
    </search>
  );
}

function useSearch(map: Schemas["Map"] | undefined, query: string, wanted: boolean) {
  // Built when it is first wanted, and again only for another state of the map.
  const onMap = useMemo(
    () => (map && wanted ? new Search(entriesOf(map, query)) : undefined),
    [map, query, wanted],
  );
  const commands = useCommands();
  const onPage = useMemo(() => {
    if (!wanted) return undefined;
    const offered = new Set(commands.map((c) => c.title));
    return new Search([
      ...commands.map((c) => ({ kind: "Do" as const, title: c.title, key: c.key, run: c.run })),
      ...pressables().filter((entry) => !offered.has(entry.title)),
    ]);
  }, [commands, wanted]);
  return { onMap, onPage };
}

function Typed({
  map,
  situation,
  input,
  open,
  setOpen,
  wide,
}: {
  map: Schemas["Map"] | undefined;
  situation: string | undefined;
  input: React.RefObject<HTMLInputElement | null>;
  open: boolean;
  setOpen: (open: boolean) => void;
  wide: boolean;
}) {
  const [params] = useSearchParams();
  const search = useSearch(map, settingQuery(params), open);
  const odds = useOverview(open ? map : undefined).data;
  const navigate = useNavigate();
  const [typed, setTyped] = useState("");
  const keep = useKeep(map, setTyped);
  const place = map && indexOf(map).situation(situation);
  const may = useRights();
  const mayKeep = may("read-maps");
  const mayEdit = may("edit-maps");
  const offered = useCallback(
    (words: string) => allowed(offersOf(search, words, place), { mayKeep, mayEdit }),
    [search, place, mayKeep, mayEdit],
  );
  const offers = useMemo(() => offered(typed), [offered, typed]);
  const close = () => {
    setTyped("");
    setOpen(false);
    input.current?.blur();
  };
  const take = (offer: Offer) => {
    if (isKeep(offer)) {
      void keep.keep(offer.words, offer.about?.id);
      return;
    }
    const { to, run } = offer.entry;
    close();
    if (to) void navigate(to);
    // The box gives the focus back first; what the command opens then keeps it.
    else if (run) setTimeout(run, 0);
  };
  const combobox = useCombobox<Offer>({
    items: offers,
    itemToString: (offer) => (offer && !isKeep(offer) ? offer.entry.title : typed),
    inputValue: typed,
    isOpen: open,
    selectedItem: null,
    stateReducer: (state, { type, changes }) => {
      switch (type) {
        case useCombobox.stateChangeTypes.InputChange:
          return {
            ...changes,
            highlightedIndex: preferred(offered(changes.inputValue ?? "")),
          };
        // The keys go on where they were when the pointer leaves the list.
        case useCombobox.stateChangeTypes.MenuMouseLeave:
          return { ...changes, highlightedIndex: state.highlightedIndex };
        default:
          return changes;
      }
    },
    onStateChange: ({ type, selectedItem }) => {
      // Leaving the field is no choice.
      if (selectedItem && type !== useCombobox.stateChangeTypes.InputBlur) take(selectedItem);
    },
  });
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!open) return;
    const leave = (event: Event) => {
      const target = event.target as Node;
      if (!panel.current?.contains(target) && target !== input.current) setOpen(false);
    };
    document.addEventListener("pointerdown", leave);
    document.addEventListener("focusin", leave);
    return () => {
      document.removeEventListener("pointerdown", leave);
      document.removeEventListener("focusin", leave);
    };
  }, [open, setOpen, input]);
  return (
    <>
      <div className="relative">
        <input
          {...combobox.getInputProps({
            ref: input,
            "aria-label": "What if they …",
            placeholder: "What if they …",
            enterKeyHint: "go",
            maxLength: 390,
            autoComplete: "off",
            onFocus: () => setOpen(true),
            onChange: (event) => {
              setTyped(event.currentTarget.value);
              setOpen(true);
              keep.forget();
            },
            onKeyDown: (event) => {
              if (event.key === "Escape") {
                event.preventDefault();
                close();
              }
              const words = typed.trim();
              if (event.key === "Enter" && event.shiftKey && words !== "") {
                // A coach who knows that it is a question need not look through what was found.
                event.preventDefault();
                (event.nativeEvent as { preventDownshiftDefault?: boolean }).preventDownshiftDefault = true;
                void keep.keep(words, place?.id);
              }
            },
          })}
          className={
            wide
              ? "h-8 w-full border border-quiet-on-band bg-transparent px-2.5 text-[15px] text-on-band placeholder:text-on-band focus:bg-lane focus:text-ink focus:placeholder:text-quiet"
              : "h-[52px] w-full bg-lane px-5 text-[17px] text-ink"
          }
        />
        {wide && !open && (
          <kbd
            aria-hidden="true"
            className="pointer-events-none absolute top-1 right-3 font-sans text-quiet-on-band"
          >
            /
          </kbd>
        )}
      </div>
      <div
        ref={panel}
        className={`absolute z-30 overflow-y-auto border-2 border-ink bg-ground text-base text-ink lg:text-[14px] ${wide ? "top-full right-0 mt-1 max-h-[calc(100dvh-72px)] w-[min(600px,calc(100vw-40px))]" : "inset-x-0 bottom-full max-h-[calc(100dvh-110px)]"} ${open ? "" : "hidden"}`}
      >
        <ul {...combobox.getMenuProps({ "aria-label": "Found" })} hidden={offers.length === 0}>
          {offers.map((offer, index) => (
            <li
              key={
                isKeep(offer)
                  ? `keep ${offer.about?.id ?? ""}`
                  : `${index} ${offer.entry.kind} ${offer.entry.title}`
              }
              {...combobox.getItemProps({ item: offer, index })}
              className={`cursor-pointer border-b border-rule px-3 last:border-b-0 ${index === combobox.highlightedIndex ? "bg-ink text-ground" : ""}`}
            >
              {map && (
                <OfferLine
                  map={map}
                  odds={odds}
                  offer={offer}
                  on={index === combobox.highlightedIndex}
                  isFirst={index === offers.findIndex(isKeep)}
                />
              )}
            </li>
          ))}
        </ul>
        {offers.length === 0 && (
          <p className="px-3 py-2.5 text-quiet">
            {typed.trim() !== "" && !mayKeep && "Nothing on the map answers that. "}A sentence as you would
            say it: “they cup my elbow and sit through”, “shrimp”, “whizzer”.
            {mayKeep && " What is not on the map is kept as a question."}
          </p>
        )}
        <KeptQuestions keep={keep} />
        {map && mayKeep && (
          <p className="border-t border-rule px-3 py-1.5">
            <Link
              className="word inline-flex items-center"
              to={paths.holes(map.id) + settingQuery(params)}
              onClick={() => setOpen(false)}
            >
              All questions
            </Link>
          </p>
        )}
      </div>
    </>
  );
}

/** Ctrl K, wherever the cursor is. */
function useFindKey(focus: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "k") return;
      event.preventDefault();
      focus();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}
