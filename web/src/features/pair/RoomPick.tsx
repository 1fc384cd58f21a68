import { useMay } from "../session";
import { gapsInWords, thirdOf, useRoom, type Third } from "./pair";

/** Oneself against the room: a third of it, since who does not see the roster names nobody. */
export function RoomPick({
  room,
  onChange,
}: {
  room: Third | undefined;
  onChange: (room: Third | undefined) => void;
}) {
  const named = useMay("see-people");
  // Who sees the roster names two of it, and finds here only what an address brought along.
  const shown = !named || room !== undefined;
  const asked = useRoom(shown).data;
  if (!shown) return null;
  return (
    <div className="col-span-full flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule pt-1">
      <label className="flex min-w-0 grow items-center gap-3 lg:grow-0">
        <span className="shrink-0 text-quiet max-lg:w-20">Against the room</span>
        <select
          className="box min-w-0 font-semibold"
          value={room ?? ""}
          disabled={asked === undefined || asked.thirds.length === 0}
          onChange={(event) => onChange(thirdOf(event.target.value))}
        >
          <option value="">nobody in particular</option>
          {asked?.thirds.map((one) => (
            <option key={one.third} value={one.third}>
              {[`the ${one.third} third`, gapsInWords(one)].filter(Boolean).join(", ")}
            </option>
          ))}
        </select>
      </label>
      {asked?.missing && <p className="min-w-0 text-quiet">{asked.missing}</p>}
    </div>
  );
}
