import type { Services } from "../services";
import { sealed, unsealed } from "./seals";
import type { Entered } from "./sessions";

interface Feed {
  readonly feed: string;
  /** The end of the hash of the password: with another password the address is no longer good. */
  readonly of: string;
}

const endOf = (password: string | null): string => password?.slice(-12) ?? "";

/** What a calendar shows at the door in place of a session: it cannot sign in. It lets in as a reader of the calendar alone. */
export async function feedKey(services: Services, person: string): Promise<string> {
  const of = endOf(services.access.account(person)?.password ?? null);
  return sealed(services, { feed: person, of } satisfies Feed, 0);
}

/** Whose key this is; nobody's when it is none, or the account was taken away or has another password since. */
export async function enteredByFeed(services: Services, key: string): Promise<Entered | undefined> {
  const { feed, of } = await unsealed<Feed>(services, key);
  const account = feed === undefined ? undefined : services.access.account(feed);
  const person = services.library.crew().find(({ id }) => id === feed);
  if (account === undefined || person === undefined || endOf(account.password) !== of) return undefined;
  return { session: "", person: person.id, name: person.name, role: "reader", device: "" };
}
