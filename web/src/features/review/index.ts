export { ReviewPage } from "./ReviewPage";
