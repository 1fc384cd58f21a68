export { Find } from "./Find";
export { Keys } from "./Keys";
