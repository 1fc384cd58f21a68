export { Box } from "./Box";
export { Keys } from "./Keys";
