export { HolesPage } from "./HolesPage";
