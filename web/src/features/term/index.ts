export { TermPage } from "./TermPage";
