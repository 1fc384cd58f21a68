/** The rules of the job in workers of this browser: answers under the finger, and without a network. */
export { bring, onBrought, solverOf, type Solver } from "./solver";
