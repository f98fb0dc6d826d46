import {
  type AuthenticationResponseJSON,
  generateAuthenticationOptions,
  generateRegistrationOptions,
  type RegistrationResponseJSON,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from "@simplewebauthn/server";
import type { SignInFailure } from "@/core/people";
import { err, ok, type Result } from "@/core/result";
import type { Services } from "../services";
import { tryOnce } from "./limits";
import { type Entered, openSession } from "./sessions";
import type { CameIn, Trying } from "./sign-in";

/** Under which name and address the browser knows this server: a passkey is good for that alone. */
export interface Site {
  /** Without a port. */
  readonly host: string;
  readonly origin: string;
}

const CHALLENGE_MS = 5 * 60_000;
const MOST_CHALLENGES = 1000;
type Challenges = Map<string, { readonly challenge: string; readonly until: number }>;

const challenges = ({ kept }: Services): Challenges => {
  const known = (kept.get("challenges") as Challenges | undefined) ?? new Map();
  kept.set("challenges", known);
  return known;
};

/** One for each device: the newest. */
function remember(services: Services, device: string, challenge: string): void {
  const all = challenges(services);
  all.delete(device);
  all.set(device, { challenge, until: services.now() + CHALLENGE_MS });
  for (const old of [...all.keys()].slice(0, Math.max(0, all.size - MOST_CHALLENGES))) all.delete(old);
}

/** Each is good once. */
function taken(services: Services, device: string): string | undefined {
  const all = challenges(services);
  const found = all.get(device);
  all.delete(device);
  return found !== undefined && found.until >= services.now() ? found.challenge : undefined;
}

/** What the browser needs to make a passkey for somebody who is signed in. */
export async function passkeyToMake(services: Services, entered: Entered, site: Site) {
  const options = await generateRegistrationOptions({
    rpName: "Loft Bell",
    rpID: site.host,
    userID: new Uint8Array(Buffer.from(entered.person)),
    userName: entered.name,
    attestationType: "none",
    authenticatorSelection: { residentKey: "required", userVerification: "required" },
    excludeCredentials: services.access.passkeysOf(entered.person).map(({ id }) => ({ id })),
  });
  remember(services, entered.device, options.challenge);
  return options;
}

export async function keepPasskey(
  services: Services,
  entered: Entered,
  {
    name,
    answer,
    site,
  }: { readonly name: string; readonly answer: RegistrationResponseJSON; readonly site: Site },
): Promise<Result<null, SignInFailure>> {
  const challenge = taken(services, entered.device);
  if (challenge === undefined) return err({ kind: "passkey-refused" });
  const checked = await verifyRegistrationResponse({
    response: answer,
    expectedChallenge: challenge,
    expectedOrigin: site.origin,
    expectedRPID: site.host,
  }).catch(() => undefined);
  if (checked === undefined || !checked.verified) return err({ kind: "passkey-refused" });
  const { credential } = checked.registrationInfo;
  services.access.savePasskey({
    id: credential.id,
    person: entered.person,
    name,
    publicKey: Buffer.from(credential.publicKey),
    counter: credential.counter,
    transports: credential.transports ?? [],
    madeAt: services.now(),
  });
  services.access.note(services.now(), entered.name, { kind: "passkey-added", name });
  return ok(null);
}

/** What the browser needs to sign in by a passkey; it knows itself whose it has. */
export async function passkeyToUse(services: Services, device: string, site: Site) {
  const options = await generateAuthenticationOptions({ rpID: site.host, userVerification: "required" });
  remember(services, device, options.challenge);
  return options;
}

export async function byPasskey(
  services: Services,
  { answer, site }: { readonly answer: AuthenticationResponseJSON; readonly site: Site },
  { device, address }: Trying,
): Promise<CameIn> {
  const tried = await tryOnce(services, `passkey ${device.id}`, address);
  if (!tried.ok) return tried;
  const challenge = taken(services, device.id);
  const kept = services.access.passkey(answer.id);
  const here = services.library.crew().some(({ id }) => id === kept?.person);
  if (kept === undefined || !here || services.access.account(kept.person) === undefined)
    return err({ kind: "passkey-unknown" });
  if (challenge === undefined) return err({ kind: "passkey-refused" });
  const checked = await verifyAuthenticationResponse({
    response: answer,
    expectedChallenge: challenge,
    expectedOrigin: site.origin,
    expectedRPID: site.host,
    credential: { id: kept.id, publicKey: new Uint8Array(kept.publicKey), counter: kept.counter },
  }).catch(() => undefined);
  if (checked === undefined || !checked.verified) return err({ kind: "passkey-refused" });
  services.access.savePasskey({ ...kept, counter: checked.authenticationInfo.newCounter });
  await tried.value();
  return ok(openSession(services, kept.person, "passkey", device));
}

export function removePasskey(services: Services, entered: Entered, id: string): boolean {
  const kept = services.access.passkey(id);
  if (kept === undefined || kept.person !== entered.person) return false;
  services.access.removePasskey(id);
  services.access.note(services.now(), entered.name, { kind: "passkey-removed", name: kept.name });
  return true;
}
