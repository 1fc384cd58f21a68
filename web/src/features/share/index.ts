export { LinksPage } from "./LinksPage";
export { ShareCard } from "./ShareCard";
