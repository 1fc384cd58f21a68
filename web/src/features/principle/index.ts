export { PrinciplesPage } from "./PrinciplesPage";
