import { useCombobox } from "downshift";
import { useMemo, useState, type FocusEvent } from "react";
import { find, prepare } from "./find";

export interface Choice {
  id: string;
  title: string;
  detail?: string;
}

/** What can be taken from the list: one of the choices, or what was typed as something new. */
interface Offer extends Choice {
  made?: boolean;
}

const MOST = 50;

/** Picks one of many by typing a few letters; what is not there can be made on the spot. */
export function Picker({
  control,
  label,
  value,
  choices,
  none,
  onChange,
  onNew,
  invalid = false,
  describedBy,
}: {
  /** The id of the field, where a label names it. */
  control?: string;
  label: string;
  value: string;
  choices: Choice[];
  /** What picking nothing means; missing where something must be picked. */
  none?: string;
  onChange: (id: string) => void;
  /** Makes something new of what was typed. */
  onNew?: (title: string) => void;
  invalid?: boolean;
  describedBy?: string;
}) {
  const [typed, setTyped] = useState<string>();
  const all = useMemo(
    () => (none === undefined ? choices : [{ id: "", title: none }, ...choices]),
    [choices, none],
  );
  const prepared = useMemo(() => prepare(all), [all]);
  const open = typed !== undefined;
  const name = typed?.trim() ?? "";
  const exact = choices.some((c) => c.title.toLowerCase() === name.toLowerCase());
  const found: Offer[] = open ? find(prepared, typed, MOST) : [];
  const offers =
    open && onNew && name !== "" && !exact
      ? [...found, { id: name, title: `New: “${name}”`, made: true }]
      : found;
  const shown = all.find((c) => c.id === value)?.title ?? "";
  const take = (offer: Offer) => {
    if (offer.made) onNew?.(offer.id);
    else onChange(offer.id);
  };
  const combobox = useCombobox<Offer>({
    items: offers,
    itemToString: (offer) => offer?.title ?? "",
    inputId: control,
    inputValue: typed ?? shown,
    isOpen: open,
    // What is picked is the caller's; here every pick is a new one.
    selectedItem: null,
    defaultHighlightedIndex: 0,
    stateReducer: ({ highlightedIndex }, { type, changes }) => {
      switch (type) {
        case useCombobox.stateChangeTypes.InputClick:
          return { ...changes, isOpen: true, highlightedIndex: Math.max(0, highlightedIndex) };
        case useCombobox.stateChangeTypes.InputBlur:
          // Leaving is no choice; who goes on with Tab has made one before.
          return { ...changes, selectedItem: null };
        case useCombobox.stateChangeTypes.MenuMouseLeave:
          // The keys go on where they were.
          return { ...changes, highlightedIndex };
        default:
          return changes;
      }
    },
    onStateChange: ({ type, isOpen, selectedItem }) => {
      // What is typed has been taken already.
      if (type === useCombobox.stateChangeTypes.InputChange) return;
      if (isOpen !== undefined) setTyped(isOpen ? "" : undefined);
      if (selectedItem) take(selectedItem);
    },
  });
  return (
    <div className="relative mt-0.5">
      <input
        {...combobox.getInputProps({
          "aria-label": label,
          "aria-invalid": invalid,
          "aria-describedby": describedBy,
          className: "box",
          placeholder: none === undefined ? "type its name" : undefined,
          onFocus: (event) => {
            if (!open) event.target.select();
          },
          onBlur: (event) => {
            if (!takenByPanel(event)) return;
            Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
          },
          // At once, or the cursor would jump to the end of what is typed in the middle.
          onChange: (event) => setTyped(event.currentTarget.value),
          onKeyDown: (event) => {
            if (event.key === "Tab" && open && name !== "") {
              const chosen = offers[Math.max(0, combobox.highlightedIndex)];
              if (chosen) take(chosen);
              setTyped(undefined);
            }
            if (event.key !== "Escape") return;
            // Open, it closes the list and no more; closed, it is for what the field stands in.
            if (open) event.stopPropagation();
            else Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
          },
        })}
      />
      <ul
        {...combobox.getMenuProps({ "aria-label": label })}
        hidden={offers.length === 0}
        className="absolute inset-x-0 top-full z-20 max-h-72 overflow-y-auto border-2 border-ink bg-ground"
      >
        {offers.map((offer, index) => (
          <li
            key={offer.made ? "+" : offer.id}
            {...combobox.getItemProps({ item: offer, index })}
            className="flex min-h-11 cursor-pointer items-center gap-x-1.5 px-2 py-1 aria-selected:bg-ink aria-selected:text-ground lg:min-h-0"
          >
            <span>
              {offer.title}
              {offer.detail && (
                <span className={index === combobox.highlightedIndex ? "" : "text-quiet"}>
                  {" "}
                  {offer.detail}
                </span>
              )}
            </span>
          </li>
        ))}
      </ul>
      <p
        role="status"
        className={
          open && offers.length === 0
            ? "absolute inset-x-0 top-full z-20 border-2 border-ink bg-ground px-2 py-1.5 text-quiet"
            : "sr-only"
        }
      >
        {open && (offers.length === 0 ? "Nothing is called so." : fit(offers.length))}
      </p>
    </div>
  );
}

/** A panel that comes up by itself and takes the focus is not the person leaving: what was typed is there when it goes. */
function takenByPanel({ relatedTarget, currentTarget }: FocusEvent): boolean {
  const panel = relatedTarget instanceof Element && relatedTarget.closest('[role="dialog"]');
  return !!panel && !panel.contains(currentTarget);
}

function fit(count: number): string {
  return count === 1 ? "One fits." : `${count} fit.`;
}
