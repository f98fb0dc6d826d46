import type { Role } from "./roles";

/** By what somebody signed in. */
export type SignedInBy = "password" | "pin" | "passkey" | "code";

/** What happened to who may come in, as a fact; words are made of it where it is shown. */
export type AccessFact =
  | { readonly kind: "signed-in"; readonly how: SignedInBy; readonly browser: string }
  | { readonly kind: "signed-out"; readonly browser: string }
  /** The name as it was typed: it may be nobody's. */
  | { readonly kind: "refused"; readonly how: SignedInBy }
  | { readonly kind: "locked"; readonly minutes: number }
  | { readonly kind: "given"; readonly person: string; readonly role: Role }
  | { readonly kind: "role-changed"; readonly person: string; readonly from: Role; readonly to: Role }
  | { readonly kind: "taken-away"; readonly person: string }
  | { readonly kind: "code-made"; readonly person: string }
  | { readonly kind: "password-set" }
  | { readonly kind: "pin-set" | "pin-lost" }
  | { readonly kind: "passkey-added" | "passkey-removed"; readonly name: string }
  | { readonly kind: "session-ended"; readonly person: string; readonly browser: string }
  | { readonly kind: "switched"; readonly on: boolean };
