import type { Schemas } from "../../api/client";
import { readInWords, seconds } from "../../labels";
import { matchupOf, useAim, useSetting } from "../odds";

/** Under which setting the figures on a sheet of paper were computed. */
export function SettingLine({ map }: { map: Schemas["Map"] }) {
  const aim = useAim(map);
  const [setting] = useSetting();
  const matchup = matchupOf(map, setting);
  return (
    <p className="text-quiet">
      {map.title} as of change {map.revision}. {matchup ? `${matchup.title}; the` : "The"} partner{" "}
      {readInWords(setting.read)}; started {seconds(setting.late)} late; of 100 that reach{" "}
      {aim?.title.toLowerCase()}. Defer to your instructor on the mat.
    </p>
  );
}
