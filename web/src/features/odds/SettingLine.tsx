import { useSyncExternalStore, type ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { readInWords, seconds } from "../../labels";
import { useAim, useSolvesHere } from "./odds";
import { useIsOvertaken } from "./overtaken";
import { controlsSoon, OddsControls } from "./Controls";
import { useMatchupWords } from "./matchup";
import { settle } from "./moving";
import { useSetting } from "./setting";

let opened = false;
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function turn(): void {
  settle();
  opened = !opened;
  listeners.forEach((listener) => listener());
}

/** Under which setting everything is reckoned, in one line that opens in place; open on one page it is so on the next. */
export function SettingLine({ map, children }: { map: Schemas["Map"]; children?: ReactNode }) {
  const [setting] = useSetting();
  const aim = useAim(map);
  const isOpen = useSyncExternalStore(subscribe, () => opened);
  const matchup = useMatchupWords(map);
  const words = [
    matchup,
    readInWords(setting.read),
    setting.late > 0 ? `${seconds(setting.late)} late` : "in time",
    aim?.title.toLowerCase(),
  ];
  const solvesHere = useSolvesHere(map);
  const isOvertaken = useIsOvertaken(map);
  const told = words.filter(Boolean).join(" · ");
  return (
    <>
      <p
        data-solved={solvesHere ? "here" : "there"}
        className={`flex min-w-0 flex-wrap items-baseline gap-x-2.5 ${children ? "max-xl:w-full xl:flex-1 xl:flex-nowrap" : ""}`}
      >
        {/* The words get longer and shorter while a handle is drawn; they may not push anything onto another line. */}
        <span
          className={`flex min-w-0 items-baseline gap-x-2.5 ${children ? "max-xl:basis-full" : "max-mid:basis-full"}`}
        >
          <span className={`min-w-0 ${children ? "truncate" : "max-mid:truncate"}`} title={told}>
            {told}
          </span>
          <button
            type="button"
            className="word shrink-0"
            aria-expanded={isOpen}
            onClick={turn}
            onPointerEnter={controlsSoon}
            onFocus={controlsSoon}
          >
            {isOpen ? "close" : "change"}
            <span className="sr-only"> the setting</span>
          </button>
        </span>
        {children}
      </p>
      {isOvertaken && (
        <p role="status" className="w-full text-quiet">
          Somebody changed this map meanwhile. What you see is as it is now.
        </p>
      )}
      {isOpen && (
        <div className="w-full border-t border-rule py-1.5">
          <OddsControls map={map} />
        </div>
      )}
    </>
  );
}
