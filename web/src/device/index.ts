export { keepOnDevice, KEPT_AT, wipeAnswers } from "./keeping";
export { newer, onNewer, takeNewer } from "./newer";
