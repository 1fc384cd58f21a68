export { AuditPage } from "./AuditPage";
export { GymPage } from "./GymPage";
export { LettersPage } from "./LettersPage";
