export { ResponseForm } from "./ResponseForm";
export { SituationPage } from "./SituationPage";
