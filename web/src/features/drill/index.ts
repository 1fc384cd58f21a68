export { DrillPage } from "./DrillPage";
