import { passwordFault, pinFault, plainCode, type SignInFailure } from "@/core/people";
import { err, ok, type Result } from "@/core/result";
import { personNamed } from "../people";
import type { Services } from "../services";
import { hashed, isRight } from "./hashing";
import { tryOnce } from "./limits";
import { type Device, openSession } from "./sessions";

/** From where somebody tries to come in. */
export interface Trying {
  readonly device: Device;
  readonly address: string;
}
/** The id of the session that was opened. */
export type CameIn = Result<string, SignInFailure>;

const WRONG: SignInFailure = { kind: "wrong" };
const refuse = (failure: SignInFailure) => err(failure);

/** Notes a refusal; where it was one too many, that too. */
async function counted(
  services: Services,
  { key, name, address }: { readonly key: string; readonly name: string; readonly address: string },
): Promise<Result<() => Promise<void>, SignInFailure>> {
  const tried = await tryOnce(services, key, address);
  if (!tried.ok) services.access.note(services.now(), name, { kind: "locked", minutes: tried.error.minutes });
  return tried;
}

/** By name and password. Refused alike whether there is no such person, no account, or another password. */
export async function byPassword(
  services: Services,
  { name, password }: { readonly name: string; readonly password: string },
  { device, address }: Trying,
): Promise<CameIn> {
  const tried = await counted(services, { key: name, name, address });
  if (!tried.ok) return tried;
  const person = personNamed(services, name);
  const account = person && services.access.account(person.id);
  if (!(await isRight(account?.password, password)) || person === undefined) {
    services.access.note(services.now(), name, { kind: "refused", how: "password" });
    return refuse(WRONG);
  }
  await tried.value();
  return ok(openSession(services, person.id, "password", device));
}

const WRONG_PINS = 5;

/** By a PIN, on a device this person signed in on before; after five wrong ones it is gone. */
export async function byPin(
  services: Services,
  { person, pin }: { readonly person: string; readonly pin: string },
  { device, address }: Trying,
): Promise<CameIn> {
  const { access, library, now } = services;
  const name = library.crew().find(({ id }) => id === person)?.name;
  const there = () => access.pin(device.id, person);
  if (name === undefined || access.account(person) === undefined || there() === undefined)
    return refuse({ kind: "pin-lost" });
  const tried = await counted(services, { key: `pin ${device.id} ${person}`, name, address });
  if (!tried.ok) return tried;
  const kept = there();
  if (kept === undefined) return refuse({ kind: "pin-lost" });
  // Counted before it is looked at, so that many at once are not more than five.
  const wrong = kept.wrong + 1;
  if (wrong >= WRONG_PINS) access.removePin(device.id, person);
  else access.savePin({ ...kept, wrong });
  if (!(await isRight(kept.pin, pin))) {
    access.note(now(), name, wrong >= WRONG_PINS ? { kind: "pin-lost" } : { kind: "refused", how: "pin" });
    return refuse(
      wrong >= WRONG_PINS ? { kind: "pin-lost" } : { kind: "wrong-pin", left: WRONG_PINS - wrong },
    );
  }
  await tried.value();
  // Unless others typed it away meanwhile.
  if (there() !== undefined) access.savePin({ ...kept, wrong: 0 });
  return ok(openSession(services, person, "pin", { ...device, shared: true }));
}

export interface WithCode {
  readonly name: string;
  readonly code: string;
  /** The one chosen. */
  readonly password: string;
}

/** By the code that a keeper gave: once, and to choose a password. */
export async function byCode(
  services: Services,
  { name, code, password }: WithCode,
  { device, address }: Trying,
): Promise<CameIn> {
  const { access, now } = services;
  const fault = passwordFault(password, name);
  if (fault !== undefined) return refuse({ kind: "secret", of: "password", fault });
  const tried = await counted(services, { key: `code ${name}`, name, address });
  if (!tried.ok) return tried;
  const person = personNamed(services, name);
  const account = person && access.account(person.id);
  if (!(await isRight(account?.code, plainCode(code))) || person === undefined || account === undefined) {
    access.note(now(), name, { kind: "refused", how: "code" });
    return refuse({ kind: "wrong-code" });
  }
  if ((account.codeUntil ?? 0) < now()) return refuse({ kind: "code-ran-out" });
  const kept = await hashed(password);
  // Once only, even where two try at the same time.
  if (access.account(person.id)?.code !== account.code) return refuse({ kind: "wrong-code" });
  access.saveAccount({ ...account, password: kept, code: null, codeUntil: null });
  // Whoever had the old password is out.
  access.endSessionsOf(person.id);
  access.removePinsOf(person.id);
  access.note(now(), person.name, { kind: "password-set" });
  await tried.value();
  return ok(openSession(services, person.id, "code", device));
}

/** Another password, by who knows the old one; everywhere else this person is signed out. */
export async function changePassword(
  services: Services,
  { person, name, session }: { readonly person: string; readonly name: string; readonly session: string },
  { old, password, address }: { readonly old: string; readonly password: string; readonly address: string },
): Promise<Result<null, SignInFailure>> {
  const { access, now } = services;
  const fault = passwordFault(password, name);
  if (fault !== undefined) return refuse({ kind: "secret", of: "password", fault });
  const tried = await counted(services, { key: name, name, address });
  if (!tried.ok) return tried;
  const account = access.account(person);
  if (account === undefined || !(await isRight(account.password, old))) return refuse(WRONG);
  await tried.value();
  access.saveAccount({ ...account, password: await hashed(password) });
  access.endSessionsOf(person, session);
  access.removePinsOf(person);
  access.note(now(), name, { kind: "password-set" });
  return ok(null);
}

/** A PIN for this person on this device. */
export async function setPin(
  { access, now }: Services,
  { person, name, device }: { readonly person: string; readonly name: string; readonly device: string },
  pin: string,
): Promise<Result<null, SignInFailure>> {
  const fault = pinFault(pin);
  if (fault !== undefined) return refuse({ kind: "secret", of: "pin", fault });
  access.savePin({ device, person, pin: await hashed(pin), wrong: 0 });
  access.note(now(), name, { kind: "pin-set" });
  return ok(null);
}
