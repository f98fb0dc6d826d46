import { type CallFailure, call, type Sent } from "@/edge/client";
import type { AnswerTo, Contract } from "@/edge/contract";
import { REPORT_FAULT } from "@/edge/contracts/own";
import { KEEP_RESULT } from "@/edge/contracts/register";
import { MOVE_STOCK } from "@/edge/contracts/store";
import { KEEP_CASE } from "@/edge/contracts/trouble";
import type { KeptAct } from "./kept";
import { PATIENCE_MS } from "./send-entries";
import type { DeviceStore } from "./store";
import { tellKept } from "./tell-kept";

/** What can wait for a signal besides the entries of jobs: sent twice each of them is done once. */
const WAITING = {
  keepResult: KEEP_RESULT,
  moveStock: MOVE_STOCK,
  keepCase: KEEP_CASE,
  reportFault: REPORT_FAULT,
} as const satisfies Readonly<Record<KeptAct["act"], Contract>>;

interface Asked {
  readonly keepResult: Sent<typeof KEEP_RESULT>;
  readonly moveStock: Sent<typeof MOVE_STOCK>;
  readonly keepCase: Sent<typeof KEEP_CASE>;
  readonly reportFault: Sent<typeof REPORT_FAULT>;
}

/** What became of something that was asked. */
export type Done<C extends Contract> =
  | { readonly kind: "done"; readonly value: AnswerTo<C> }
  /** No signal: it lies on this device, and is sent when there is one. */
  | { readonly kind: "waits" }
  | { readonly kind: "refused"; readonly error: Exclude<CallFailure, { kind: "no-signal" }> };

/**
 * Asks the server, and keeps on this device what it was asked when it is not heard.
 *
 * @param says what it is, for whoever looks at what waits
 */
export async function askOrKeep<A extends KeptAct["act"]>(
  store: DeviceStore,
  act: A,
  asked: Asked[A],
  { id, says, at }: Pick<KeptAct, "id" | "says" | "at">,
): Promise<Done<(typeof WAITING)[A]>> {
  // What was kept before goes first: a count before the one after it.
  if ((await store.acts.where({ state: "waiting" }).count()) === 0) {
    const answer = await call(WAITING[act], { ...asked, signal: AbortSignal.timeout(PATIENCE_MS) } as never);
    if (answer.ok) return { kind: "done", value: answer.value as AnswerTo<(typeof WAITING)[A]> };
    if (answer.error.kind !== "no-signal") return { kind: "refused", error: answer.error };
  }
  const { params, body } = asked as { params?: unknown; body?: unknown };
  await store.acts.put({ id, act, params, body, says, at, state: "waiting" });
  tellKept();
  return { kind: "waits" };
}

/** What stopped a round. */
type Halt =
  | Extract<CallFailure, { kind: "no-signal" | "cannot-store" }>
  | { readonly kind: "nobody"; why: string };

/** Sends what waits, in the order it was kept; what is refused is put aside with the reason. */
export async function sendActs(store: DeviceStore, post: typeof fetch = fetch): Promise<Halt | undefined> {
  for (const each of await store.acts.where({ state: "waiting" }).sortBy("at")) {
    const answer = await call(
      WAITING[each.act],
      { params: each.params, body: each.body, signal: AbortSignal.timeout(PATIENCE_MS) } as never,
      post,
    );
    if (answer.ok) {
      await store.acts.delete(each.id);
      continue;
    }
    const { error } = answer;
    if (error.kind !== "refused") return error;
    const why = error.problems.map(({ message }) => message).join(" ");
    if (error.status === 401 || error.status === 403) return { kind: "nobody", why };
    await store.acts.update(each.id, { state: "refused", why });
  }
  return undefined;
}

/** Sends once more what was refused: what stood against it may be gone. */
export async function tryAgain(store: DeviceStore): Promise<void> {
  await store.acts.where({ state: "refused" }).modify({ state: "waiting" });
  tellKept();
}
