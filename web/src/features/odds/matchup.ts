import type { Schemas } from "../../api/client";
import { gapsInWords, pairInWords, roomInWords, usePair, useRoom } from "../pair";
import { matchupOf, useWrittenSetting } from "./setting";

/**
 * Who is under whom, as one says it: two from the roster, oneself and the room, or a saved matchup. What goes on paper names
 * nobody and says nothing of what hurts them.
 */
export function useMatchupWords(map: Schemas["Map"], onPaper = false): string {
  const setting = useWrittenSetting();
  const pair = usePair(setting.you, setting.they).data;
  const room = useRoom(setting.room !== undefined).data;
  const saved = matchupOf(map, setting)?.title ?? "Even pair";
  if (setting.you) {
    if (onPaper) return (pair && gapsInWords(pair)) || "Two from the roster";
    return pair ? pairInWords(pair) : saved;
  }
  if (setting.room) {
    const third = room?.thirds.find((one) => one.third === setting.room);
    if (onPaper) return (third && gapsInWords(third)) || "The room";
    return room ? roomInWords(room, setting.room) : saved;
  }
  return saved;
}
