export { ComeInPage } from "./ComeInPage";
export { Door } from "./Door";
export { OpenGymPage } from "./OpenGymPage";
