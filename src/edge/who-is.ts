import { mayAs, type Role } from "@/core/people";
import { err, ok, type Result } from "@/core/result";
import { signInNeeded } from "@/server/access/needed";
import type { Entered } from "@/server/access/sessions";
import { type Actor, personNamed } from "@/server/people";
import type { Services } from "@/server/services";
import { speaker } from "@/words";
import type { Contract } from "./contract";
import { cookieIn, enteredIn } from "./entered";
import { type Refusal, refusal, refused } from "./problem";

export const SETTINGS_COOKIE = "loftbell";
/** Another program says by this header for whom it asks, where no sign-in is needed: a name or an id of the crew, percent-encoded. */
export const PERSON_HEADER = "loftbell-person";

/** Until there is a crew, somebody has to bring it in. */
const FIRST: Actor = { id: "first", name: "Whoever set this up" };

function decoded(text: string): string | undefined {
  try {
    return decodeURIComponent(text);
  } catch {
    return undefined;
  }
}

/** Who the device, or the program, says is asking; nothing is presumed. */
function saidToBe(request: Request): string | undefined {
  const header = request.headers.get(PERSON_HEADER);
  if (header !== null) return decoded(header);
  const cookie = cookieIn(request.headers.get("cookie"), SETTINGS_COOKIE);
  const text = cookie && decoded(cookie);
  if (text === undefined) return undefined;
  try {
    const who: unknown = JSON.parse(text)?.who;
    return typeof who === "string" && who.trim() !== "" ? who : undefined;
  } catch {
    return undefined;
  }
}

/** Who asks, and as what. */
export interface Asking {
  readonly actor: Actor | undefined;
  /** As what; whoever works on this machine itself, without sign-in, keeps it. */
  readonly role: Role | undefined;
  readonly entered: Entered | undefined;
}

/**
 * Who is asking, and whether this use case is for such a one: here, and nowhere else, every route asks. Where sign-in is
 * needed it is who signed in, whatever else is said; without it, the one chosen on the device, held against the crew.
 */
export function whoIs(
  request: Request,
  services: Services,
  { asker, role }: Pick<Contract, "asker" | "role">,
): Result<Asking, Refusal> {
  if (!signInNeeded(services)) {
    const said = saidOnDevice(request, services, asker);
    return said.ok ? ok({ actor: said.value, role: "keeper", entered: undefined }) : said;
  }
  const entered = enteredIn(request.headers);
  if (entered === undefined)
    return role === "nobody" ? ok({ actor: undefined, role: undefined, entered }) : err(SIGN_IN);
  const allowed = role === "nobody" ? undefined : refusedAs(entered.role, role);
  return allowed === undefined
    ? ok({ actor: { id: entered.person, name: entered.name }, role: entered.role, entered })
    : err(allowed);
}

const SIGN_IN = refusal(
  401,
  "Sign in first",
  [
    {
      path: "",
      message: "You are not signed in, or no longer. Sign in, then send it again: nothing is lost.",
    },
  ],
  { kind: "signed-out" },
);

/** Why one with this role is not given what is asked as another; nothing when it is. */
export function refusedAs(role: Role | undefined, asked: Role): Refusal | undefined {
  if (role !== undefined && mayAs(role, asked)) return undefined;
  const { roles } = speaker().say.access;
  return refused(
    403,
    "Not for you to do",
    `This is for a ${roles[asked].name}${asked === "keeper" ? "" : " or above"}; you signed in as ${role === undefined ? "nobody" : `a ${roles[role].name}`}. Ask a keeper.`,
  );
}

function saidOnDevice(
  request: Request,
  services: Services,
  asker: Contract["asker"],
): Result<Actor | undefined, Refusal> {
  const said = saidToBe(request);
  const actor = said === undefined ? undefined : personNamed(services, said);
  if (actor !== undefined || asker === "anybody") return ok(actor);
  const crew = services.library.crew().length;
  if (crew === 0 && asker === "crew-if-any") return ok(FIRST);
  const message =
    crew === 0
      ? "Nobody is in the crew yet. Add yourself in the Loft first."
      : said === undefined
        ? "Choose who is holding this device first: in the Loft, or where the screen asks."
        : `Nobody of the crew is called "${said.slice(0, 80)}". Choose your name as it stands in the Loft.`;
  return err(refused(401, "Who is this?", message));
}
