export { Differences } from "./Differences";
export { HistoryPage } from "./HistoryPage";
