import { useEffect } from "react";
import type { Schemas } from "../../api/client";
import { readInWords, seconds } from "../../labels";
import { useAddress } from "../../ui/address";
import { Measure } from "../../ui/Measure";
import { PairPick, RoomPick } from "../pair";
import { letGo } from "./moving";
import { useAim } from "./odds";
import { matchupOf, useChange, useSetting, useWrittenSetting } from "./setting";

/** Partner's read, late start and aim; everything re-solves while they move. */
export function OddsControls({ map }: { map: Schemas["Map"] }) {
  const aim = useAim(map);
  const setting = useWrittenSetting();
  const change = useChange();
  const [params, write] = useAddress();
  // What is under the hand belongs to this page; another one begins with what its address says.
  useEffect(() => letGo, []);
  return (
    <div className="@container">
      <div className="grid gap-x-6 gap-y-1 @xl:grid-cols-2 lg:@2xl:grid-cols-[minmax(0,0.85fr)_minmax(0,1.4fr)_minmax(0,1.1fr)_minmax(0,0.8fr)]">
        <Pick
          label="Matchup"
          value={matchupOf(map, setting)?.id ?? ""}
          options={map.matchups}
          onChange={(id) => change({ matchup: id })}
        />
        <Moved name="read" label="Partner’s read" inWords={readInWords} max={1} step={0.05} />
        <Moved name="late" label="Starts late by" inWords={seconds} max={5} step={0.1} />
        <Pick label="Aim" value={aim?.id ?? ""} options={map.aims} onChange={(id) => change({ aim: id })} />
        <PairPick
          you={params.get("you") ?? undefined}
          they={params.get("they") ?? undefined}
          onChange={({ you, they }) => write({ you, they, room: undefined })}
        />
        <RoomPick room={setting.room} onChange={(room) => write({ room })} />
      </div>
    </div>
  );
}

/** A slider apart from what stands beside it: only what moves is drawn anew. */
function Moved({
  name,
  inWords,
  ...scale
}: {
  name: "read" | "late";
  label: string;
  inWords: (value: number) => string;
  max: number;
  step: number;
}) {
  const [{ [name]: value }, , drag] = useSetting();
  return (
    <Measure {...scale} words={inWords(value)} value={value} min={0} onChange={(next) => drag(name, next)} />
  );
}

function Pick({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: { id: string; title: string }[];
  onChange: (id: string) => void;
}) {
  if (options.length === 0) return null;
  return (
    <label className="flex min-w-0 items-center gap-3 lg:block">
      <span className="block shrink-0 text-quiet max-lg:w-20">{label}</span>
      <select
        className="box font-semibold lg:-ml-[5px] lg:min-h-0 lg:border-transparent lg:bg-transparent lg:p-0"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      >
        {options.map((option) => (
          <option key={option.id} value={option.id} className="bg-lane text-ink">
            {option.title}
          </option>
        ))}
      </select>
    </label>
  );
}
