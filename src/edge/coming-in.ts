import Bowser from "bowser";
import { NextResponse } from "next/server";
import type { SignInFailure } from "@/core/people";
import { err, ok, type Result } from "@/core/result";
import type { Site } from "@/server/access/passkeys";
import { sealed, unsealed } from "@/server/access/seals";
import { type Entered, enteredBy, OWN_MS, SHARED_MS } from "@/server/access/sessions";
import type { CameIn, Trying } from "@/server/access/sign-in";
import type { Services } from "@/server/services";
import { signInWords, speaker } from "@/words";
import { cookieIn, DEVICE_COOKIE, FROM_HEADER, SESSION_COOKIE } from "./entered";
import { type Refusal, refused } from "./problem";

const YEAR_S = 365 * 86_400;

/** The device a cookie tells of; nothing when it was never here. */
export async function deviceIn(services: Services, seal: string | undefined): Promise<string | undefined> {
  if (seal === undefined) return undefined;
  return (await unsealed<{ device: string }>(services, decodeURIComponent(seal))).device;
}

function browserOf(request: Request): string {
  const agent = request.headers.get("user-agent");
  if (agent === null || agent === "") return "a program";
  const { browser, os } = Bowser.parse(agent);
  return [browser.name ?? "a browser", os.name].filter(Boolean).join(" on ").slice(0, 60);
}

/** From where and on what somebody tries to come in. */
export async function tryingOf(request: Request, services: Services, shared = false): Promise<Trying> {
  const seal = cookieIn(request.headers.get("cookie"), DEVICE_COOKIE);
  return {
    // One that was never here gets an id of its own.
    device: { id: (await deviceIn(services, seal)) ?? services.newId(), browser: browserOf(request), shared },
    address: addressOf(request),
  };
}

export const addressOf = (request: Request): string => request.headers.get(FROM_HEADER) ?? "";

/** Where this server is to the browser that asks: the guard has held its host against ours. */
export function siteOf(request: Request): Site {
  const host = request.headers.get("host") ?? "";
  const origin = request.headers.get("origin") ?? `http://${host}`;
  return { host: new URL(`http://${host}`).hostname, origin };
}

/** A refusal to let somebody in: 429 when it was too often, 422 at the field of what was chosen. */
export function notLetIn(failure: SignInFailure): Refusal {
  const message = signInWords(speaker(), failure);
  if (failure.kind === "locked") return refused(429, "Wait", message);
  if (failure.kind === "secret") return refused(422, "Choose another", message, `/${failure.of}`);
  return refused(401, "Not let in", message, FIELD[failure.kind]);
}

const FIELD: Readonly<Partial<Record<SignInFailure["kind"], string>>> = {
  wrong: "/password",
  "wrong-pin": "/pin",
  "pin-lost": "/pin",
  "wrong-code": "/code",
  "code-ran-out": "/code",
  "no-name": "/name",
};

/** The answer to somebody who was let in: with the session and the device as cookies. */
export async function letIn(
  request: Request,
  services: Services,
  came: CameIn,
  { device }: Trying,
): Promise<Result<Response, Refusal>> {
  if (!came.ok) return err(notLetIn(came.error));
  const entered = enteredBy(services, came.value) as Entered;
  const answer = NextResponse.json({ name: entered.name });
  await setSession(request, services, answer, { session: came.value, device });
  return ok(answer);
}

export async function setSession(
  request: Request,
  services: Services,
  answer: NextResponse,
  { session, device }: { readonly session: string; readonly device: Trying["device"] },
): Promise<void> {
  const maxAge = (device.shared ? SHARED_MS : OWN_MS) / 1000;
  answer.cookies.set(SESSION_COOKIE, await sealed(services, { session }, 0), { ...usual(request), maxAge });
  await setDevice(request, services, answer, device.id);
}

/** The device is known again by this: a PIN is good on it alone. */
export async function setDevice(
  request: Request,
  services: Services,
  answer: NextResponse,
  device: string,
): Promise<void> {
  const seal = await sealed(services, { device }, 0);
  answer.cookies.set(DEVICE_COOKIE, seal, { ...usual(request), maxAge: YEAR_S });
}

/** No program in a page reads them, and no page of somebody else's sends them along. */
const usual = (request: Request) =>
  ({
    httpOnly: true,
    sameSite: "lax",
    path: "/",
    secure: request.headers.get("x-forwarded-proto") === "https",
  }) as const;

/** The answer to somebody who left. */
export function signedOut(): Response {
  const answer = new NextResponse(null, { status: 204 });
  answer.cookies.delete(SESSION_COOKIE);
  return answer;
}

/** What only somebody with a session can ask. */
export const needsSession = (entered: Entered | undefined): Result<Entered, Refusal> =>
  entered === undefined
    ? err(
        refused(
          409,
          "No sign-in here",
          "Sign-in is switched off on this machine: there is nothing of your own to change. Switch it on in the Loft first.",
        ),
      )
    : ok(entered);
