export { ComeInPage } from "./ComeInPage";
export { OpenGymPage } from "./OpenGymPage";
