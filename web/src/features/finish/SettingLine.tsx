import { useState } from "react";
import type { Schemas } from "../../api/client";
import { seconds } from "../../labels";
import { matchupOf, OddsControls, useSetting } from "../odds";

/** For whom it is reckoned, in one line that opens in place. */
export function SettingLine({ map }: { map: Schemas["Map"] }) {
  const [setting] = useSetting();
  const [opened, setOpened] = useState(false);
  const pair = matchupOf(map, setting)?.title ?? "Even pair";
  return (
    <div>
      <p>
        {pair} · {setting.late > 0 ? `${seconds(setting.late)} late` : "in time"} ·{" "}
        <button type="button" className="word" aria-expanded={opened} onClick={() => setOpened(!opened)}>
          {opened ? "close" : "change"}
        </button>
      </p>
      {opened && (
        <div className="mt-1 border-y border-rule py-2">
          <OddsControls map={map} />
        </div>
      )}
    </div>
  );
}
