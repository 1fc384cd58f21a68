export { AskBox } from "./AskBox";
export { useSendingAgain } from "./asked";
export { QuestionsPage } from "./QuestionsPage";
