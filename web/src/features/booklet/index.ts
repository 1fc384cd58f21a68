export { BookletPage } from "./BookletPage";
export { CardPage } from "./CardPage";
