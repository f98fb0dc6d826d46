import { randomBytes } from "node:crypto";
import { codeOf, type Role } from "@/core/people";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { Actor } from "../people";
import type { Services } from "../services";
import { hashed } from "./hashing";

const DAY_MS = 86_400_000;
const CODE_DAYS = 3;
/** More than needed: some are passed over. */
const CODE_BYTES = 40;

export const freshCode = (): string => codeOf(randomBytes(CODE_BYTES));

/** A code as it is handed over, once: it is not kept as it is. */
export interface HandedCode {
  readonly code: string;
  readonly until: number;
}

const gone = (what: string): Result<never, Problem[]> => err([{ path: "", message: what }]);

/** Lets somebody of the crew in, or gives another role. Who is let in for the first time gets a code. */
export async function giveRole(
  services: Services,
  person: string,
  role: Role,
  by: string,
): Promise<Result<HandedCode | undefined, Problem[]>> {
  const { access, library, now } = services;
  const who = library.crew().find(({ id }) => id === person);
  if (who === undefined) return gone("Nobody of the crew goes by this. Add the person to the crew first.");
  const known = access.account(person);
  if (known === undefined) {
    access.saveAccount({ person, role, password: null, code: null, codeUntil: null });
    access.note(now(), by, { kind: "given", person: who.name, role });
    return handCode(services, person, by);
  }
  if (known.role === role) return ok(undefined);
  if (known.role === "keeper" && isLastKeeper(services, person)) return gone(LAST_KEEPER);
  access.saveAccount({ ...known, role });
  access.note(now(), by, { kind: "role-changed", person: who.name, from: known.role, to: role });
  return ok(undefined);
}

const LAST_KEEPER =
  "This is the only keeper who can come in: nobody could let anybody in any more. Make somebody else a keeper first.";

const isLastKeeper = ({ access, library }: Services, person: string): boolean => {
  const crew = new Set(library.crew().map(({ id }) => id));
  return !access
    .accounts()
    .some(
      (each) =>
        each.person !== person && each.role === "keeper" && each.password !== null && crew.has(each.person),
    );
};

/** Makes somebody a keeper, whatever this person was, with a code to come in by. */
export async function makeKeeper(
  services: Services,
  { id, name }: Pick<Actor, "id" | "name">,
  by: string,
): Promise<Result<HandedCode, Problem[]>> {
  const { access, now } = services;
  const known = access.account(id) ?? { person: id, password: null, code: null, codeUntil: null };
  access.saveAccount({ ...known, role: "keeper" });
  access.note(now(), by, { kind: "given", person: name, role: "keeper" });
  return handCode(services, id, by);
}

/** A new code for somebody, by which a password is chosen: for the first time, or when it was forgotten. */
export async function handCode(
  { access, library, now }: Services,
  person: string,
  by: string,
): Promise<Result<HandedCode, Problem[]>> {
  const account = access.account(person);
  if (account === undefined) return gone("This person has no account any more.");
  const code = freshCode();
  const until = now() + CODE_DAYS * DAY_MS;
  access.saveAccount({ ...account, code: await hashed(code.replace("-", "")), codeUntil: until });
  const name = library.people().find(({ id }) => id === person)?.name ?? person;
  access.note(now(), by, { kind: "code-made", person: name });
  return ok({ code, until });
}

/** Lets somebody in no more, at once and everywhere. What this person did stays. */
export function takeAccount(services: Services, person: string, by: string): Result<null, Problem[]> {
  const { access, library, now } = services;
  const account = access.account(person);
  if (account === undefined) return gone("This person has no account any more.");
  if (account.role === "keeper" && isLastKeeper(services, person)) return gone(LAST_KEEPER);
  access.removeAccount(person);
  const name = library.people().find(({ id }) => id === person)?.name ?? person;
  access.note(now(), by, { kind: "taken-away", person: name });
  return ok(null);
}
