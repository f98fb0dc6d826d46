import { timingSafeEqual } from "node:crypto";
import { passwordFault, plainCode } from "@/core/people";
import { err, ok, type Problem, type Result } from "@/core/result";
import { signInWords, speaker } from "@/words";
import { addPerson } from "../own/add-person";
import { type Actor, personNamed } from "../people";
import type { Services } from "../services";
import { freshCode } from "./accounts";
import { hashed } from "./hashing";
import { tryOnce } from "./limits";
import { hasKeeper, isAlwaysNeeded, signInNeeded, switchSignIn } from "./needed";
import { openSession } from "./sessions";
import type { CameIn, Trying, WithCode } from "./sign-in";

const KEPT = "first-code";

/** The code by which the first keeper comes in, made anew with every start; nothing where there is one, or none is needed. */
export function firstCode(services: Services): string | undefined {
  if (!signInNeeded(services) || hasKeeper(services)) return undefined;
  const known = services.kept.get(KEPT);
  if (typeof known === "string") return known;
  const code = freshCode();
  services.kept.set(KEPT, code);
  return code;
}

const same = (a: string, b: string) =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

/** Whoever set this up comes in: by the code that the server wrote where it was started. */
export async function firstKeeper(
  services: Services,
  { name, code, password }: WithCode,
  { device, address }: Trying,
): Promise<CameIn> {
  if (hasKeeper(services)) return err({ kind: "keeper-is-there" });
  const fault = passwordFault(password, name);
  if (fault !== undefined) return err({ kind: "secret", of: "password", fault });
  const tried = await tryOnce(services, "first code", address);
  if (!tried.ok) return tried;
  const right = firstCode(services);
  if (right === undefined || !same(plainCode(code), plainCode(right))) return err({ kind: "wrong-code" });
  const kept = await hashed(password);
  if (hasKeeper(services)) return err({ kind: "keeper-is-there" });
  const person = personNamed(services, name) ?? added(services, name);
  if (person === undefined) return err({ kind: "no-name" });
  await tried.value();
  services.kept.delete(KEPT);
  makeKeeper(services, person, kept);
  return ok(openSession(services, person.id, "code", device));
}

function added(services: Services, name: string): Pick<Actor, "id" | "name"> | undefined {
  const made = addPerson(services, { name, may: "" }, name.trim());
  return made.ok ? made.value : undefined;
}

function makeKeeper(
  { access, now }: Services,
  { id, name }: Pick<Actor, "id" | "name">,
  password: string,
): void {
  access.saveAccount({ person: id, role: "keeper", password, code: null, codeUntil: null });
  access.note(now(), name, { kind: "given", person: name, role: "keeper" });
}

/** Switches sign-in on, on this machine: whoever does is the first keeper, where there is none. */
export async function switchOn(
  services: Services,
  who: Pick<Actor, "id" | "name">,
  { password, device }: { readonly password: string | undefined; readonly device: Trying["device"] },
): Promise<Result<string | undefined, Problem[]>> {
  const { access, now } = services;
  let session: string | undefined;
  if (!hasKeeper(services)) {
    if (password === undefined || passwordFault(password, who.name) !== undefined)
      return err([
        {
          path: "/password",
          message: signInWords(speaker(), {
            kind: "secret",
            of: "password",
            fault: passwordFault(password ?? "", who.name) ?? { kind: "is-the-name" },
          }),
        },
      ]);
    makeKeeper(services, who, await hashed(password));
    session = openSession(services, who.id, "password", device);
  }
  switchSignIn(services, true);
  access.note(now(), who.name, { kind: "switched", on: true });
  return ok(session);
}

/** Switches it off again: not where others than this machine reach the server. */
export function switchOff(services: Services, by: string): Result<null, Problem[]> {
  if (isAlwaysNeeded())
    return err([
      {
        path: "/on",
        message:
          "The server was started so that others reach it (HOST, LOFTBELL_HOSTS), or with LOFTBELL_SIGN_IN: it is not used without sign-in. Start it without these on 127.0.0.1, then switch it off.",
      },
    ]);
  switchSignIn(services, false);
  services.access.note(services.now(), by, { kind: "switched", on: false });
  return ok(null);
}
