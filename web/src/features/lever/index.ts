export { LeveragePage } from "./LeveragePage";
export { LeverLink } from "./LeverLink";
