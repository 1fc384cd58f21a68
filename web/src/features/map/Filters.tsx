import { Popover } from "radix-ui";
import { useMemo } from "react";
import type { Schemas } from "../../api/client";
import { FILTERS, type Filter } from "./marks";
import { useAddress } from "../../ui/address";

const param = (name: keyof Filter) => `only-${name}`;

/** What the map is narrowed to; it lives in the address. */
export function useFilter(): [Filter, (change: Partial<Filter>) => void] {
  const [params, write] = useAddress();
  const text = FILTERS.map((name) => params.get(param(name)) ?? "").join("\n");
  const filter = useMemo(() => {
    const values = text.split("\n");
    return Object.fromEntries(
      FILTERS.map((name, i) => [name, values[i]]).filter(([, value]) => value),
    ) as Filter;
  }, [text]);
  const change = (part: Partial<Filter>) =>
    write(
      Object.fromEntries(
        (Object.keys(part) as (keyof Filter)[]).map((name) => [param(name), part[name] || undefined]),
      ),
    );
  return [filter, change];
}

/** Narrows the map to what is taught by a stance, up to a level, with a movement, with or without cautions, to children. */
export function Filters({ map }: { map: Schemas["Map"] }) {
  const [filter, change] = useFilter();
  const stances = map.principles.flatMap((p) =>
    p.stances.map((s) => ({ id: `${p.id}/${s.id}`, title: `${p.title}: ${s.title}` })),
  );
  const active = FILTERS.filter((name) => filter[name]).length;
  return (
    <Popover.Root>
      <Popover.Trigger className="word">
        show only …{active > 0 && <span className="font-semibold text-ink"> {active} set</span>}
      </Popover.Trigger>
      <Popover.Content
        align="end"
        sideOffset={4}
        collisionPadding={8}
        aria-label="Show only"
        className="z-20 w-80 max-w-[calc(100vw-16px)] space-y-1.5 border-2 border-ink bg-ground p-3"
      >
        <Choice
          label="Level up to"
          value={filter.level}
          options={[
            { id: "novice", title: "novice" },
            { id: "intermediate", title: "intermediate" },
          ]}
          onChange={(level) => change({ level })}
        />
        <Choice
          label="Movement"
          value={filter.movement}
          options={map.movements}
          onChange={(movement) => change({ movement })}
        />
        <Choice
          label="Stance"
          value={filter.stance}
          options={stances}
          onChange={(stance) => change({ stance })}
        />
        <Choice
          label="Caution"
          value={filter.caution}
          options={[
            { id: "any", title: "with a caution" },
            { id: "none", title: "without a caution" },
          ]}
          onChange={(caution) => change({ caution })}
        />
        <Choice
          label="Children"
          value={filter.children}
          options={[{ id: "yes", title: "may do it" }]}
          onChange={(children) => change({ children })}
        />
        {active > 0 && (
          <button
            type="button"
            className="word"
            onClick={() => change(Object.fromEntries(FILTERS.map((name) => [name, undefined])))}
          >
            Show everything
          </button>
        )}
      </Popover.Content>
    </Popover.Root>
  );
}

function Choice({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string | undefined;
  options: { id: string; title: string }[];
  onChange: (value: string | undefined) => void;
}) {
  return (
    <label className="flex items-center gap-2">
      <span className="w-20 shrink-0 text-quiet">{label}</span>
      <select
        className="box min-w-0 lg:min-h-8 lg:py-0"
        value={value ?? ""}
        onChange={(event) => onChange(event.target.value || undefined)}
      >
        <option value="">all</option>
        {options.map((option) => (
          <option key={option.id} value={option.id}>
            {option.title}
          </option>
        ))}
      </select>
    </label>
  );
}
