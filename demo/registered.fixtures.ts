import { readFileSync } from "node:fs";
import type { JobInputs, Sheet, Valve } from "@/core/formats";
import { readCsv } from "@/server/importing/read-csv";

/** The valves of the demo that are in service, as its register is brought in. */
export function registered(): Valve[] {
  const read = readCsv(readFileSync(new URL("register.csv", import.meta.url), "utf8"));
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  if (read.value.kind !== "register") throw new Error("demo/register.csv is no register");
  return (read.value.value.map(({ set }) => set) as Valve[]).filter(({ retired }) => retired === undefined);
}

/** What a reason of the sheet asks of a job: parts to reach, or looks alone. */
export const asked = ({ reach, looks }: Sheet["symptoms"][number]): Pick<JobInputs, "reach" | "looks"> => ({
  reach,
  ...(looks !== undefined && reach.length === 0 && { looks }),
});

/** The valve as registered, and lacking each option of its sheet in turn. */
export const lacking = (valve: Valve, { options = [] }: Sheet): Valve[] => [
  valve,
  ...options.map(({ id }) => ({ ...valve, fitted: { ...valve.fitted, [id]: "no" as const } })),
];
