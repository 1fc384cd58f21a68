export { ClassPage } from "./ClassPage";
export { ClassesPage } from "./ClassesPage";
export { TonightPage } from "./TonightPage";
