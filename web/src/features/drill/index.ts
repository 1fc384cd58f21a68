export { BenchPage } from "./BenchPage";
export { SheetPage } from "./SheetPage";
export { TrainerPage } from "./TrainerPage";
