export { PeoplePage } from "./PeoplePage";
export { PersonPage } from "./PersonPage";
export { LEVEL_WORDS } from "./people";
