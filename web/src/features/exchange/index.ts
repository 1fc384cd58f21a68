export { Faults } from "./Faults";
export { FilesPage } from "./FilesPage";
