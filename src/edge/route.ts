import { type TObject, TypeGuard } from "@sinclair/typebox";
import { readAs } from "@/core/formats";
import type { Role } from "@/core/people";
import { err, ok, type Result } from "@/core/result";
import { storageFault } from "@/server/faults/storage-fault";
import type { Actor } from "@/server/people";
import { type Services, services } from "@/server/services";
import { readBytes, readJsonBody, refuseType } from "./body";
import { TIME_HEADER } from "./clock";
import type { AnswerTo, Ask, Contract, Frozen } from "./contract";
import { problemAnswer, type Refusal, refusal, refused } from "./problem";
import { type Asking, whoIs } from "./who-is";

/** What a use case is given: what was asked, read and checked; who asks; what it works with. */
export interface Given<C extends Contract> extends Ask<C> {
  readonly actor: C["asker"] extends "anybody" ? Actor | undefined : Actor;
  /** As what one asks, and by which session; no session where sign-in is not needed. */
  readonly role: C["role"] extends "nobody" ? Asking["role"] : Role;
  readonly entered: Asking["entered"];
  readonly services: Services;
  /** Ends when the one who asked is gone. */
  readonly signal: AbortSignal;
  readonly request: Request;
}

export type Outcome<C extends Contract> = Result<Frozen<AnswerTo<C>> | Response, Refusal>;

/** By the clock that waits are counted by: a device measures its own by it. */
function serverTime(): number {
  try {
    return services().now();
  } catch {
    return Date.now();
  }
}

type Context = { params: Promise<Record<string, string | string[] | undefined> | undefined> };

/** The handler of a contract: reads, asks who it is, hands over, and tells what came of it. */
export function route<C extends Contract>(
  contract: C,
  does: (given: Given<C>) => Outcome<C> | Promise<Outcome<C>>,
): (request: Request, context: Context) => Promise<Response> {
  return async (request, context) => {
    const answer = await answerTo(contract, does, request, context);
    answer.headers.set(TIME_HEADER, String(serverTime()));
    return answer;
  };
}

async function answerTo<C extends Contract>(
  contract: C,
  does: (given: Given<C>) => Outcome<C> | Promise<Outcome<C>>,
  request: Request,
  context: Context,
): Promise<Response> {
  try {
    const all = services();
    // Whoever may not ask is not told what is wrong with it.
    const asking = whoIs(request, all, contract);
    if (!asking.ok) return problemAnswer(asking.error);
    // A route without a name in its path is given none.
    const asked = await readAsk(contract, request, (await context.params) ?? {});
    if (!asked.ok) return problemAnswer(asked.error);
    const given = { ...asked.value, ...asking.value, services: all, signal: request.signal, request };
    const stores = contract.method !== "GET" && contract.asker !== "anybody" && !contract.ownTurn;
    const work = () => does(given as Given<C>);
    const done = await (stores ? all.turns.shared(work) : work());
    if (!done.ok) return problemAnswer(done.error);
    if (done.value instanceof Response) return done.value;
    return contract.status === 204
      ? new Response(null, { status: 204 })
      : Response.json(done.value, { status: contract.status });
  } catch (thrown) {
    const fault = storageFault(thrown);
    if (fault !== undefined)
      return problemAnswer(
        refusal(503, fault.title, [{ path: "", message: fault.message }], { kind: "cannot-store" }),
      );
    console.error(`${contract.method} ${contract.path}`, thrown);
    return problemAnswer(
      refused(
        500,
        "A fault of ours",
        "Loft Bell failed here. Nothing was changed; the server's log says where.",
      ),
    );
  }
}

async function readAsk<C extends Contract>(
  contract: C,
  request: Request,
  raw: Record<string, string | string[] | undefined>,
): Promise<Result<Ask<C>, Refusal>> {
  const named: Record<string, string> = {};
  for (const [name, text] of Object.entries(raw)) {
    const plain = decoded(String(text));
    if (plain === undefined)
      return err(refused(400, "Not readable", `"${text}" is no name that can stand in a path.`));
    named[name] = plain;
  }
  const params = readAs(contract.params, named);
  if (!params.ok) return err(refusal(404, "Nothing is here", params.error));
  const query = readAs(contract.query, typed(contract.query, new URL(request.url).searchParams), "?");
  if (!query.ok) return err(refusal(422, "Not valid", query.error));
  const body = await readContractBody(contract, request);
  if (!body.ok) return body;
  return ok({ params: params.value, query: query.value, body: body.value } as Ask<C>);
}

async function readContractBody(contract: Contract, request: Request): Promise<Result<unknown, Refusal>> {
  if (contract.takes !== undefined) {
    const type = refuseType(request, contract.takes);
    return type === undefined ? readBytes(request, contract.mostBytes) : err(type);
  }
  if (contract.body === undefined) return ok(undefined);
  const type = refuseType(request, ["application/json"]);
  if (type !== undefined) return err(type);
  const body = await readJsonBody(request, contract.mostBytes);
  if (!body.ok) return body;
  const read = readAs(contract.body, body.value);
  return read.ok ? read : err(refusal(422, "Not valid", read.error));
}

/** A query is words; what its schema says is a figure becomes one, what it says are several becomes a list. */
function typed(schema: TObject, query: URLSearchParams): Record<string, unknown> {
  return Object.fromEntries(
    [...query].map(([name, text]) => {
      const field = Object.hasOwn(schema.properties, name) ? schema.properties[name] : undefined;
      if (TypeGuard.IsArray(field)) return [name, query.getAll(name)];
      const isNumber = TypeGuard.IsInteger(field) || TypeGuard.IsNumber(field);
      return [name, isNumber && text.trim() !== "" ? Number(text) : text];
    }),
  );
}

function decoded(text: string): string | undefined {
  try {
    return decodeURIComponent(text);
  } catch {
    return undefined;
  }
}
