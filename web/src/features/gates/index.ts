export { GatesPage } from "./GatesPage";
