export { ClassPage } from "./ClassPage";
export { ClassesPage } from "./ClassesPage";
export { PapersPage } from "./PapersPage";
export { TonightPage } from "./TonightPage";
export { nearest, nextClassToKeep, useClasses, useKeepClass, useLeftOut } from "./lesson";
export { lineTitle, shortNames } from "./words";
