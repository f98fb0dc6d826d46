import type { Role, SignedInBy } from "@/core/people";
import type { Services } from "../services";

/** Somebody who came in. */
export interface Entered {
  readonly session: string;
  readonly person: string;
  readonly name: string;
  readonly role: Role;
  readonly device: string;
}

const DAY_MS = 86_400_000;
/** A device of one's own may have been without signal for weeks. */
export const OWN_MS = 30 * DAY_MS;
/** A device that several share lets go after a shift. */
export const SHARED_MS = DAY_MS / 2;
/** To write down every request would wear the disk. */
const SEEN_MS = 5 * 60_000;

/** What is known of the device somebody signs in on. */
export interface Device {
  readonly id: string;
  readonly browser: string;
  readonly shared: boolean;
}

export function openSession(services: Services, person: string, how: SignedInBy, device: Device): string {
  const { access, library, newId, now } = services;
  const id = newId();
  const name = library.people().find((each) => each.id === person)?.name ?? person;
  access.endUnseen(now() - OWN_MS, false);
  access.endUnseen(now() - SHARED_MS, true);
  // Who signs in again on a device was there already.
  for (const old of access.sessionsOn(device.id)) if (old.person === person) access.endSession(old.id);
  access.openSession({
    id,
    person,
    device: device.id,
    browser: device.browser,
    how,
    shared: device.shared,
    openedAt: now(),
    seenAt: now(),
  });
  access.note(now(), name, { kind: "signed-in", how, browser: device.browser });
  return id;
}

const isOver = ({ seenAt, shared }: { seenAt: number; shared: boolean }, now: number) =>
  now - seenAt > (shared ? SHARED_MS : OWN_MS);

/** Whose session this is; nobody's when it ended, its account was taken away, or the person left. */
export function holderOf(services: Services, session: string): Entered | undefined {
  const { access, library, now } = services;
  const found = access.session(session);
  if (found === undefined || isOver(found, now())) return undefined;
  const account = access.account(found.person);
  const person = library.crew().find(({ id }) => id === found.person);
  if (account === undefined || person === undefined) return undefined;
  return { session, person: person.id, name: person.name, role: account.role, device: found.device };
}

/** Somebody comes in with a session: it is seen, and lasts on. */
export function enteredBy(services: Services, session: string): Entered | undefined {
  const { access, now } = services;
  const entered = holderOf(services, session);
  if (entered !== undefined && now() - access.session(session)!.seenAt > SEEN_MS) access.seen(session, now());
  return entered;
}

/** Names of those who are signed in on a device: what was entered there can be theirs. */
export const namesOn = (services: Services, device: string): ReadonlySet<string> =>
  new Set(
    services.access.sessionsOn(device).flatMap(({ id }) => {
      const holder = holderOf(services, id);
      return holder === undefined ? [] : [holder.name];
    }),
  );

/** Those signed in, the one seen last first. */
export const openSessions = ({ access, now }: Services) =>
  access.sessions().filter((each) => !isOver(each, now()));

/** Ends a session, and says whose it was. */
export function endSession(services: Services, id: string, by: string): boolean {
  const { access, library, now } = services;
  const found = access.session(id);
  if (found === undefined) return false;
  const name = library.people().find((each) => each.id === found.person)?.name ?? found.person;
  access.endSession(id);
  const { browser } = found;
  access.note(
    now(),
    by,
    name === by ? { kind: "signed-out", browser } : { kind: "session-ended", person: name, browser },
  );
  return true;
}
