export { SignIn } from "./SignIn";
export { useSession, useSignOut } from "./session";
