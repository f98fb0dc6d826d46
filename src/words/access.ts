import type { AccessFact, SignInFailure } from "@/core/people";
import { unreachable } from "@/core/result";
import type { Speaker } from "./speaker";

/** Why somebody is not let in, and what to do. */
export function signInWords({ say: { access } }: Speaker, failure: SignInFailure): string {
  switch (failure.kind) {
    case "wrong":
      return access.wrong;
    case "locked":
      return access.locked[failure.whom](failure.minutes);
    case "wrong-pin":
      return access.wrongPin(failure.left);
    case "pin-lost":
      return access.pinLost;
    case "wrong-code":
      return access.wrongCode;
    case "code-ran-out":
      return access.codeRanOut;
    case "keeper-is-there":
      return access.keeperIsThere;
    case "no-name":
      return access.noName;
    case "passkey-unknown":
      return access.passkeyUnknown;
    case "passkey-refused":
      return access.passkeyRefused;
    case "secret":
      return secretWords(access, failure);
    default:
      return unreachable(failure);
  }
}

function secretWords(
  access: Speaker["say"]["access"],
  { of, fault }: Extract<SignInFailure, { kind: "secret" }>,
): string {
  switch (fault.kind) {
    case "too-short":
      return access.tooShort(fault.least);
    case "too-long":
      return access.tooLong(fault.most);
    case "is-the-name":
      return access.isTheName;
    case "too-even":
      return access.tooEven[of];
    case "figures-only":
      return access.figuresOnly(fault.least, fault.most);
    default:
      return unreachable(fault);
  }
}

/** What happened to who may come in, said of whoever did it. */
export function accessWords({ say: { access } }: Speaker, fact: AccessFact): string {
  const { log } = access;
  switch (fact.kind) {
    case "signed-in":
      return log.signedIn(access.by[fact.how], fact.browser);
    case "signed-out":
      return log.signedOut(fact.browser);
    case "refused":
      return log.refused(access.by[fact.how]);
    case "locked":
      return log.locked(fact.minutes);
    case "given":
      return log.given(fact.person, access.roles[fact.role].name);
    case "role-changed":
      return log.roleChanged(fact.person, access.roles[fact.from].name, access.roles[fact.to].name);
    case "taken-away":
      return log.takenAway(fact.person);
    case "code-made":
      return log.codeMade(fact.person);
    case "password-set":
      return log.passwordSet;
    case "pin-set":
      return log.pinSet;
    case "pin-lost":
      return log.pinLost;
    case "passkey-added":
      return log.passkeyAdded(fact.name);
    case "passkey-removed":
      return log.passkeyRemoved(fact.name);
    case "session-ended":
      return log.sessionEnded(fact.person, fact.browser);
    case "switched":
      return fact.on ? log.switchedOn : log.switchedOff;
    default:
      return unreachable(fact);
  }
}
