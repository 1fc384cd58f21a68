export { closedInWords, insteadInWords } from "./closing";
export { ResponseForm } from "./ResponseForm";
export { SituationPage } from "./SituationPage";
