export { ClassPage } from "./ClassPage";
export { ClassesPage } from "./ClassesPage";
export { TonightPage } from "./TonightPage";
export { nearest, useClasses, useLeftOut } from "./lesson";
export { isoDay } from "./days";
export { lineTitle } from "./words";
