import { bring } from "@/core/bring";
import { BRING_QUESTION, TROUBLE_QUESTION } from "@/core/formats";
import { checkStore } from "@/core/store";
import { advise } from "@/core/trouble";
import { highsSolver } from "./highs";
import { readTask } from "./read-task";
import type { TaskResult } from "./tasks";
import { troubleAsked } from "./trouble-asked";

/** What may be wrong by these answers, and what to look at next; nothing stored. */
export function troubleTask(body: Uint8Array): TaskResult {
  const read = readTask(body, TROUBLE_QUESTION);
  if (!read.ok) return read.error;
  const asked = troubleAsked(read.value);
  if (!asked.ok) return asked.error;
  return { ok: true, value: advise(read.value.knowledge, asked.value.facts, asked.value.given) };
}

/** What to bring for it; nothing stored. */
export async function bringTask(body: Uint8Array): Promise<TaskResult> {
  const read = readTask(body, BRING_QUESTION);
  if (!read.ok) return read.error;
  const { knowledge, sheet, store, generation, goes } = read.value;
  const asked = troubleAsked(read.value);
  if (!asked.ok) return asked.error;
  const faults = [
    ...(store === undefined
      ? []
      : checkStore(store).map((each) => ({ ...each, path: `/store${each.path}` }))),
    ...vanFaults(store?.places ?? [], goes?.van),
  ];
  if (faults.length > 0) return { ok: false, status: 422, title: "Not valid", problems: faults };
  const value = bring(
    {
      knowledge,
      facts: asked.value.facts,
      answers: asked.value.given,
      sheet,
      ...(store !== undefined && { store }),
      ...(generation !== undefined && { generation }),
      ...(goes !== undefined && { goes }),
    },
    await highsSolver(),
  );
  return { ok: true, value };
}

function vanFaults(
  places: readonly { readonly id: string; readonly kind: string }[],
  van: string | undefined,
) {
  const vans = places.filter(({ kind }) => kind === "van").map(({ id }) => id);
  return van === undefined || vans.includes(van)
    ? []
    : [
        {
          path: "/goes/van",
          message:
            vans.length === 0
              ? `There is no van "${van}": the store has none. Leave it out.`
              : `There is no van "${van}". There are: ${vans.join(", ")}.`,
        },
      ];
}
