export { StartPage } from "./StartPage";
