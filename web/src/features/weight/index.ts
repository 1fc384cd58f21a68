export { WeightHere } from "./WeightHere";
export { WeightPage } from "./WeightPage";
export { WeightsPage } from "./WeightsPage";
export { useWeights } from "./weight";
