export { PeoplePage } from "./PeoplePage";
export { PersonPage } from "./PersonPage";
