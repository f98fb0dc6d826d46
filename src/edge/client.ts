import type { Static, TSchema } from "@sinclair/typebox";
import { err, ok, type Problem, type Result } from "@/core/result";
import { measureClock } from "./clock";
import type { AnswerTo, Contract } from "./contract";

/** Why a call gave no answer. */
export type CallFailure =
  /** Nobody answered: the device has no signal, or the server is down. Nothing is known of what was asked. */
  | { readonly kind: "no-signal"; readonly problems: readonly Problem[] }
  /** The server answered that it cannot store: what was sent stays on the device. */
  | { readonly kind: "cannot-store"; readonly problems: readonly Problem[] }
  /** It was read and refused, for these reasons. */
  | {
      readonly kind: "refused";
      readonly status: number;
      readonly title: string;
      readonly problems: readonly Problem[];
    };

export type Sent<C extends Contract> = {
  readonly params?: Static<C["params"]>;
  readonly query?: Static<C["query"]>;
  readonly body?: C["body"] extends TSchema | undefined ? Static<NonNullable<C["body"]>> | Blob : never;
  readonly signal?: AbortSignal;
};

const NO_SIGNAL: CallFailure = {
  kind: "no-signal",
  problems: [
    { path: "", message: "The server did not answer. Nothing was changed; try again with a signal." },
  ],
};

export function pathOf(contract: Contract, params: Readonly<Record<string, unknown>> = {}): string {
  return contract.path.replaceAll(/\{(\w+)\}/g, (_, name: string) =>
    encodeURIComponent(String(params[name])),
  );
}

/** The address of what is asked by a contract; a list in the query is said entry by entry. */
export function addressOf(
  contract: Contract,
  { params, query }: { params?: unknown; query?: unknown },
): string {
  const asked = Object.entries((query ?? {}) as Record<string, unknown>).flatMap(([name, value]) =>
    [value ?? []].flat().map((each) => [name, String(each)]),
  );
  const search = new URLSearchParams(asked).toString();
  return pathOf(contract, (params ?? {}) as Record<string, unknown>) + (search === "" ? "" : `?${search}`);
}

/** Asks a route of this installation by its contract. */
export async function call<C extends Contract>(
  contract: C,
  sent: Sent<C> = {},
  fetching: typeof fetch = fetch,
): Promise<Result<AnswerTo<C>, CallFailure>> {
  const { body, signal } = sent;
  const isFile = typeof Blob !== "undefined" && body instanceof Blob;
  const begun = Date.now();
  const answer = await fetching(addressOf(contract, sent), {
    method: contract.method,
    ...(body !== undefined && {
      body: isFile ? body : JSON.stringify(body),
      headers: { "content-type": isFile ? body.type : "application/json" },
    }),
    ...(signal !== undefined && { signal }),
  }).catch(() => undefined);
  if (answer === undefined) return err(NO_SIGNAL);
  measureClock(answer, begun);
  if (answer.status === 204) return ok(null as AnswerTo<C>);
  const said = (await answer.json().catch(() => undefined)) as
    | (AnswerTo<C> & { title?: string; kind?: string; errors?: Problem[] })
    | undefined;
  if (answer.ok && said !== undefined) return ok(said);
  const problems = said?.errors ?? NO_SIGNAL.problems;
  if (answer.status === 503 && said?.kind === "cannot-store") return err({ kind: "cannot-store", problems });
  // Half an answer, or that of something in between: it is not known what became of it.
  if (answer.ok || answer.status >= 500) return err({ ...NO_SIGNAL, problems });
  return err({ kind: "refused", status: answer.status, title: said?.title ?? "", problems });
}
