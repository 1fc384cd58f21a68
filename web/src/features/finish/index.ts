export { FinishesPage } from "./FinishesPage";
export { FinishPage } from "./FinishPage";
export { useHoldPreview, useHolds } from "./holds";
export { LeastWork } from "./LeastWork";
