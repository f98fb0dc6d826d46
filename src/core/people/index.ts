export type { AccessFact, SignedInBy } from "./access-fact";
export { mayAs, ROLES, type Role, roleToChange } from "./roles";
export { codeOf, passwordFault, pinFault, plainCode } from "./secrets";
export type { SignInFailure } from "./sign-in-failure";
