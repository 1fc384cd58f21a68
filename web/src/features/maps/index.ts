export { MapsPage } from "./MapsPage";
