import { err, ok, type Result } from "@/core/result";
import { type Actor, personNamed } from "@/server/people";
import type { Services } from "@/server/services";
import type { Contract } from "./contract";
import { type Refusal, refused } from "./problem";

export const SETTINGS_COOKIE = "loftbell";
/** Another program says by this header for whom it asks: a name or an id of the crew, percent-encoded. */
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
  const cookie = (request.headers.get("cookie") ?? "")
    .split(/;\s*/)
    .find((each) => each.startsWith(`${SETTINGS_COOKIE}=`));
  const text = cookie && decoded(cookie.slice(SETTINGS_COOKIE.length + 1));
  if (text === undefined) return undefined;
  try {
    const who: unknown = JSON.parse(text)?.who;
    return typeof who === "string" && who.trim() !== "" ? who : undefined;
  } catch {
    return undefined;
  }
}

/**
 * Who is asking: the one chosen on the device, held against the crew. There is no sign-in yet, so this says who it is
 * said to be; free text and nobody are refused where it matters.
 */
export function whoIs(
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
