export { BookletPage } from "./BookletPage";
export { CardPage } from "./CardPage";
export { PosterPage } from "./PosterPage";
