export { YourselfPage } from "./YourselfPage";
