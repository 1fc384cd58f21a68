export { FlowPage } from "./FlowPage";
