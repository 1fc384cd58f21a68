export { BookletPage } from "./BookletPage";
export { CardPage } from "./CardPage";
export { SharedCardPage } from "./SharedCardPage";
export { PosterPage } from "./PosterPage";
