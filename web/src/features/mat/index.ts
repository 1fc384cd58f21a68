export { MatNowPage } from "./MatNowPage";
export { MatPage } from "./MatPage";
export { ScreenPage } from "./ScreenPage";
