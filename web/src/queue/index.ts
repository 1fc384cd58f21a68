export { dropEdit, keepEdit, useSendingEdits } from "./edits";
export { letGo, outbox, QUEUE, queued, useAgain, useQueued, useWaiting, type Told } from "./outbox";
export { pressOf, PRESSES, steers, useSendingPresses, type OnItsWay } from "./presses";
export { useReadings, useSendingReadings } from "./readings";
