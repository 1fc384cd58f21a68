export { KEPT_AT, wipeAnswers } from "./keeping";
export { install, keepOnDevice, onNewer, newer, takeNewer } from "./install";
