export { HeldPage } from "./HeldPage";
