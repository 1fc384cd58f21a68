import { useCallback, useMemo, useSyncExternalStore } from "react";
import { useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { isMoving, letGo, move, onMove, underTheHand } from "./moving";
import { thirdOf, type Third } from "../pair";
import { indexOf } from "../../model/mapIndex";
import { numberOf, rewritten, useAddress, type Written } from "../../ui/address";

/** What the odds are asked for; it lives in the address, so that a link opens the same view. */
export interface Setting {
  aim?: string;
  matchup?: string;
  read: number;
  late: number;
  /** Two from the roster, who is below and who is on top; what is known of them holds over the matchup's. */
  you?: string;
  they?: string;
  /** Oneself below and a third of the room on top, for whoever does not see the roster. */
  room?: Third;
  /** Stances tried out, each principle/stance or principle/any, over the house's own. */
  stance?: string[];
}

/** For a saved matchup as it is, whoever is chosen from the roster. */
export const NOBODY = { you: undefined, they: undefined, room: undefined };

const hundredths = (value: number) => Math.round(value * 100) / 100;

const USUAL = { read: 0.25, late: 0.5 };

function useSettingOf(params: URLSearchParams, moved: Partial<Setting>): Setting {
  const aim = params.get("aim") ?? undefined;
  const matchup = params.get("matchup") ?? undefined;
  const read = moved.read ?? numberOf(params, "read", { min: 0, max: 1, usual: USUAL.read });
  const late = moved.late ?? numberOf(params, "late", { min: 0, max: 30, usual: USUAL.late });
  const stances = params.getAll("stance").join(" ");
  // One alone makes no pair.
  const isPair = params.has("you") && params.has("they");
  const you = isPair ? params.get("you")! : undefined;
  const they = isPair ? params.get("they")! : undefined;
  const room = isPair ? undefined : thirdOf(params.get("room"));
  return useMemo(
    () => ({
      aim,
      matchup,
      read,
      late,
      stance: stances === "" ? undefined : stances.split(" "),
      you,
      they,
      room,
    }),
    [aim, matchup, read, late, stances, you, they, room],
  );
}

const NOTHING: Partial<Setting> = {};

/** The setting as the address says it, for what is too dear to follow a hand: it changes once the hand rests. */
export function useWrittenSetting(): Setting {
  const [params] = useSearchParams();
  return useSettingOf(params, NOTHING);
}

/** Changes the setting at once, and writes down with it what is under the hand. */
export function useChange(): (change: Partial<Setting>) => void {
  const [, write] = useAddress();
  return useCallback(
    (part: Partial<Setting>) => {
      write(namesOf({ ...underTheHand(), ...part }));
      letGo();
    },
    [write],
  );
}

/** The setting, with what is under the hand; a change of it, and a change that may go on as long as a hand moves. */
export function useSetting(): [
  Setting,
  (change: Partial<Setting>) => void,
  (name: "read" | "late", value: number) => void,
] {
  const [params] = useSearchParams();
  const setting = useSettingOf(params, useSyncExternalStore(onMove, underTheHand));
  const change = useChange();
  const drag = useCallback(
    (name: "read" | "late", value: number) => move({ [name]: hundredths(value) }, change),
    [change],
  );
  return [setting, change, drag];
}

/** The matchup that is solved: the one that is set, else the house's own, as the server takes it. */
export function matchupOf(map: Schemas["Map"], setting: Setting): Schemas["Matchup"] | undefined {
  const id = setting.matchup ?? map.house.matchup;
  return indexOf(map).matchup(id);
}

/** True while a hand moves a part of the setting. */
export function useMoving(): boolean {
  return useSyncExternalStore(onMove, isMoving);
}

function namesOf(part: Partial<Setting>): Written {
  return Object.fromEntries(
    Object.entries(part).map(([name, value]: [string, Setting[keyof Setting]]) => [
      name,
      typeof value === "number" ? hundredths(value) : value,
    ]),
  );
}

/** The part of the address that keeps the setting, and whose figures are shown, when moving on. */
export function settingQuery(params: URLSearchParams): string {
  const kept = new URLSearchParams();
  const now = rewritten(params, namesOf(underTheHand()));
  for (const name of ["aim", "matchup", "read", "late", "you", "they", "room", "by"]) {
    const value = now.get(name);
    if (value !== null) kept.set(name, value);
  }
  now.getAll("stance").forEach((stance) => kept.append("stance", stance));
  const text = kept.toString();
  return text ? `?${text}` : "";
}
