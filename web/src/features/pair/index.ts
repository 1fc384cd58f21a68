export { PairPick } from "./PairPick";
export { pairInWords, usePair, usePeople } from "./pair";
