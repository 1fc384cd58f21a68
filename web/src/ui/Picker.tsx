import { useId, useMemo, useRef, useState, type ReactNode } from "react";
import { find, prepare } from "./find";

export interface Choice {
  id: string;
  title: string;
  detail?: string;
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
  const id = useId();
  const [typed, setTyped] = useState<string>();
  const [at, setAt] = useState(0);
  const list = useRef<HTMLUListElement>(null);
  const all = useMemo(
    () => (none === undefined ? choices : [{ id: "", title: none }, ...choices]),
    [choices, none],
  );
  const prepared = useMemo(() => prepare(all), [all]);
  const open = typed !== undefined;
  const found: Choice[] = open ? find(prepared, typed, MOST) : [];
  const name = typed?.trim() ?? "";
  const exact = choices.some((c) => c.title.toLowerCase() === name.toLowerCase());
  const canMake = open && onNew !== undefined && name !== "" && !exact;
  const count = found.length + (canMake ? 1 : 0);
  const chosen = Math.min(at, count - 1);
  const shown = all.find((c) => c.id === value)?.title ?? "";
  const take = (index: number) => {
    const choice = found[index];
    if (choice) onChange(choice.id);
    else if (canMake) onNew(name);
    setTyped(undefined);
  };
  const move = (step: number) => {
    const next = (chosen + step + count) % Math.max(count, 1);
    setAt(next);
    list.current?.children[next]?.scrollIntoView({ block: "nearest" });
  };
  return (
    <div className="relative mt-0.5">
      <input
        id={control}
        role="combobox"
        aria-label={label}
        aria-expanded={open}
        aria-controls={`${id}-list`}
        aria-autocomplete="list"
        aria-activedescendant={open && count > 0 ? `${id}-${chosen}` : undefined}
        aria-invalid={invalid}
        aria-describedby={describedBy}
        autoComplete="off"
        className="box"
        placeholder={none === undefined ? "a few letters" : undefined}
        value={typed ?? shown}
        onFocus={(event) => event.target.select()}
        onMouseDown={() => {
          if (!open) {
            setTyped("");
            setAt(0);
          }
        }}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
        }}
        onBlur={() => setTyped(undefined)}
        onKeyDown={(event) => {
          if (event.key === "ArrowDown" || event.key === "ArrowUp") {
            event.preventDefault();
            if (open) move(event.key === "ArrowDown" ? 1 : -1);
            else setTyped("");
          } else if (open && event.key === "Enter") {
            event.preventDefault();
            take(chosen);
          } else if (open && event.key === "Tab" && name !== "") {
            take(chosen);
          } else if (open && event.key === "Escape") {
            event.stopPropagation();
            setTyped(undefined);
          }
        }}
      />
      {open && (
        <ul
          ref={list}
          id={`${id}-list`}
          role="listbox"
          aria-label={label}
          className="absolute inset-x-0 top-full z-20 max-h-72 overflow-y-auto border-2 border-ink bg-ground"
        >
          {found.map((choice, index) => (
            <Option key={choice.id} id={`${id}-${index}`} chosen={index === chosen} take={() => take(index)}>
              {choice.title}
              {choice.detail && (
                <span className={index === chosen ? "" : "text-quiet"}> {choice.detail}</span>
              )}
            </Option>
          ))}
          {canMake && (
            <Option
              id={`${id}-${found.length}`}
              chosen={chosen === found.length}
              take={() => take(found.length)}
            >
              New: “{name}”
            </Option>
          )}
          {count === 0 && <li className="px-2 py-1.5 text-quiet">Nothing has these letters.</li>}
        </ul>
      )}
    </div>
  );
}

function Option({
  id,
  chosen,
  take,
  children,
}: {
  id: string;
  chosen: boolean;
  take: () => void;
  children: ReactNode;
}) {
  return (
    <li
      id={id}
      role="option"
      aria-selected={chosen}
      className="flex min-h-11 cursor-pointer items-center gap-x-1.5 px-2 py-1 hover:bg-lane aria-selected:bg-ink aria-selected:text-ground lg:min-h-0"
      // Before the field loses the focus.
      onMouseDown={(event) => {
        event.preventDefault();
        take();
      }}
    >
      <span>{children}</span>
    </li>
  );
}
