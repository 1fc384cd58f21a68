export { May } from "./May";
export { SignIn } from "./SignIn";
export { SignOut, useLeave } from "./SignOut";
export { Only } from "./Only";
export { PasswordFields, passwordProblem } from "./PasswordFields";
export { ROLE_ABOUT, ROLES, roleTitle } from "./roles";
export { useMay, useRights, useRightsTable, type Right } from "./rights";
export { markEnded, useComeIn, useSession } from "./session";
