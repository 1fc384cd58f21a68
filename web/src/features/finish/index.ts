export { useHoldPreview, useHolds } from "./holds";
export { LeastWork } from "./LeastWork";
