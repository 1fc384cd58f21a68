export { useAsk, useSendingAgain } from "./asked";
export { Questions } from "./Questions";
