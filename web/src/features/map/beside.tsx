import type { Schemas } from "../../api/client";
import { hundred } from "../../labels";
import { useAddress } from "../../ui/address";
import { indexOf } from "../../model/mapIndex";
import {
  ByWhom,
  matchupOf,
  NOBODY,
  useByRecord,
  useOtherOverview,
  useWas,
  useWhose,
  useWrittenSetting,
  type ByRecord,
  type Overview,
} from "../odds";

/** What the map is laid beside: itself as it was before something changed here, or another pair. */
export interface Beside {
  odds?: Overview;
  /** The other pair's name; missing where it is the map itself. */
  pair?: string;
  /** What is known by what was logged, where the odds that are shown are by that; then the map's own are laid beside. */
  learned?: ByRecord;
  clear: () => void;
  choose: (matchup: string | undefined) => void;
}

/** The comparison that stands until it is cleared; the other pair lives in the address. */
export function useBeside(map: Schemas["Map"] | undefined, odds: Overview | undefined): Beside {
  const [params, write] = useAddress();
  const id = params.get("beside") ?? undefined;
  const pair = map && indexOf(map).matchup(id);
  const other = useOtherOverview(map, pair && { matchup: pair.id, ...NOBODY });
  const { was, clear } = useWas(odds);
  const learned = useByRecord(map, odds);
  const [, by] = useWhose();
  const choose = (matchup: string | undefined) => write({ beside: matchup });
  if (learned) return { odds, learned, clear: () => by(undefined), choose };
  return {
    odds: pair ? other.data : was,
    pair: pair?.title,
    clear: () => {
      clear();
      choose(undefined);
    },
    choose,
  };
}

/** Picks the pair that is laid beside, says what is, and clears it. */
export function CompareWith({ map, beside }: { map: Schemas["Map"]; beside: Beside }) {
  const setting = useWrittenSetting();
  const others = map.matchups.filter((m) => m.id !== matchupOf(map, setting)?.id);
  const { odds, pair, learned } = beside;
  return (
    <span className="ml-auto flex items-baseline gap-x-2">
      <ByWhom map />
      {learned ? null : odds ? (
        <>
          <span className="font-semibold" role="status">
            beside it: {pair ? `${pair}, ${hundred(odds.start)}` : `as it was, ${hundred(odds.start)}`}
          </span>
          <button type="button" className="word" onClick={beside.clear}>
            clear
          </button>
        </>
      ) : (
        others.length > 0 && (
          <label>
            <span className="sr-only">Compare with</span>
            <select
              className="word [field-sizing:content] bg-ground"
              value=""
              onChange={(event) => beside.choose(event.target.value || undefined)}
            >
              <option value="">compare with …</option>
              {others.map((m) => (
                <option key={m.id} value={m.id}>
                  {m.title}
                </option>
              ))}
            </select>
          </label>
        )
      )}
    </span>
  );
}
