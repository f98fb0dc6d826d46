import type { SecretFault } from "./secrets";

/** Why somebody is not let in. What is not said: whether there is such a person. */
export type SignInFailure =
  | { readonly kind: "wrong" }
  /** Too often wrong: minutes until the next try. */
  | { readonly kind: "locked"; readonly minutes: number; readonly whom: "name" | "address" }
  | { readonly kind: "wrong-pin"; readonly left: number }
  | { readonly kind: "pin-lost" }
  | { readonly kind: "wrong-code" }
  | { readonly kind: "code-ran-out" }
  | { readonly kind: "keeper-is-there" }
  | { readonly kind: "no-name" }
  | { readonly kind: "passkey-unknown" }
  | { readonly kind: "passkey-refused" }
  | { readonly kind: "secret"; readonly of: "password" | "pin"; readonly fault: SecretFault };
