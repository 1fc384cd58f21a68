import type { Schemas } from "../../api/client";
import { readInWords, seconds } from "../../labels";
import { useAim, useMatchupWords, useSetting } from "../odds";

/** Under which setting the figures on a sheet of paper were computed. */
export function SettingLine({ map }: { map: Schemas["Map"] }) {
  const aim = useAim(map);
  const [setting] = useSetting();
  const matchup = useMatchupWords(map, true);
  const { read, late } = setting;
  return <SettingWords map={map} setting={{ matchup, read, late, aim: aim?.title }} />;
}

/** The same of a setting that is told, not chosen. */
export function SettingWords({
  map,
  setting,
}: {
  map: Schemas["Map"];
  setting: { matchup: string; read: number; late: number; aim: string | undefined };
}) {
  return (
    <p className="text-quiet">
      {map.title} as of change {map.revision}. {setting.matchup}; the partner {readInWords(setting.read)};
      started {seconds(setting.late)} late; of 100 that reach {setting.aim?.toLowerCase()}. Defer to your
      instructor on the mat.
    </p>
  );
}
