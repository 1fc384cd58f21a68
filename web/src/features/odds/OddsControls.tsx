import type { Schemas } from "../../api/client";
import { readInWords, seconds } from "../../labels";
import { Measure } from "../../ui/Measure";
import { useAim } from "./odds";
import { useSetting } from "./setting";

/** Partner's read, late start and aim; everything re-solves while they move. */
export function OddsControls({ map }: { map: Schemas["Map"] }) {
  const aim = useAim(map);
  const [setting, change] = useSetting();
  return (
    <div className="grid gap-x-8 gap-y-1 md:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,0.8fr)]">
      <Measure
        label="Partner’s read"
        words={readInWords(setting.read)}
        value={setting.read}
        min={0}
        max={1}
        step={0.05}
        onChange={(read) => change({ read })}
      />
      <Measure
        label="Starts late by"
        words={seconds(setting.late)}
        value={setting.late}
        min={0}
        max={5}
        step={0.1}
        onChange={(late) => change({ late })}
      />
      <label className="flex items-center gap-3 md:block">
        <span className="block shrink-0 text-quiet">Aim</span>
        <select
          className="box font-semibold lg:-ml-[9px] lg:min-h-0 lg:border-transparent lg:bg-transparent lg:py-0"
          value={aim?.id ?? ""}
          onChange={(event) => change({ aim: event.target.value })}
        >
          {map.aims.map((a) => (
            <option key={a.id} value={a.id} className="bg-lane text-ink">
              {a.title}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
