export { BenchPage } from "./BenchPage";
export { FeederSheet } from "./FeederSheet";
export { SheetPage } from "./SheetPage";
export { Starts } from "./Starts";
export { TrainerPage } from "./TrainerPage";
export { usePlan } from "./design";
