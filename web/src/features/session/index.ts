export { SignIn } from "./SignIn";
export { SignOut, useLeave } from "./SignOut";
export { useSession } from "./session";
