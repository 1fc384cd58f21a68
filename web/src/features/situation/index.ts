export { SituationPage } from "./SituationPage";
