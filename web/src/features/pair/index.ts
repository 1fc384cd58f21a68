export { PairPick } from "./PairPick";
export { RoomPick } from "./RoomPick";
export {
  gapsInWords,
  pairInWords,
  roomInWords,
  thirdOf,
  usePair,
  usePeople,
  useRoom,
  type Third,
} from "./pair";
