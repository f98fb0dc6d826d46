import { readdirSync, readFileSync } from "node:fs";
import type { Sheet } from "@/core/formats";
import { seeded } from "@/core/seeded";
import { importFiles } from "@/server/importing/import-files";
import { appendEvents } from "@/server/jobs/append-events";
import { openJob } from "@/server/jobs/open-job";
import type { Services } from "@/server/services";

const KINDS = [
  "Hydrant",
  "Stop valve",
  "Mixer",
  "Trap",
  "Relief valve",
  "Cock",
  "Solenoid",
  "Check valve",
  "Softener",
];
const AT = [
  "gate",
  "yard",
  "cellar",
  "roof",
  "pier",
  "boiler room",
  "lock",
  "mill",
  "store",
  "ward",
  "kitchen",
  "quay",
];
const SIDES = ["north", "south", "east", "west", "upper", "lower", "inner", "outer"];
const STREETS = [
  "Net",
  "Rope",
  "Salt",
  "Tar",
  "Kelp",
  "Gull",
  "Eel",
  "Lamp",
  "Bell",
  "Mast",
  "Oar",
  "Tide",
  "Drift",
  "Sand",
];
const ENDS = ["Street", "Lane", "Wharf", "Court", "Row", "Steps", "Hill", "Close"];
const DAY = 86_400_000;

const demo = (folder: string) =>
  readdirSync(`demo/${folder}`)
    .filter((name) => name.endsWith(".json"))
    .map((name) => ({ name, text: readFileSync(`demo/${folder}/${name}`, "utf8") }));

/** The tag of a made-up valve, by its number. */
export const tagOf = (number: number): string =>
  `${STREETS[number % STREETS.length]!.slice(0, 2).toUpperCase()}-${String(number).padStart(6, "0")}`;

function registerOf(size: number, sheets: readonly Sheet[], now: number): string {
  const next = seeded(size);
  const one = <T>(of: readonly T[]) => of[Math.floor(next() * of.length)]!;
  const places = Array.from(
    { length: Math.max(5, Math.round(size / 60)) },
    (_, index) => `${one(STREETS)} ${one(ENDS)} ${index + 1}`,
  );
  const rows = Array.from({ length: size }, (_, number) => {
    const sheet = one(sheets);
    const serviced = new Date(now - Math.floor(next() * 420) * DAY).toISOString().slice(0, 10);
    return [
      tagOf(number),
      `${one(KINDS)} at the ${one(SIDES)} ${one(AT)}`,
      one(places),
      sheet.id,
      sheet.generations[0] ?? "",
      sheet.builds[0]?.id ?? "",
      `SN-${Math.floor(next() * 1e7)}`,
      serviced,
      next() < 0.02 ? "Weeps when shut" : "",
    ].join(",");
  });
  return `tag,name,place,sheet,generation,build,serial,serviced,symptom\n${rows.join("\n")}\n`;
}

const must = <T, E>(result: { ok: true; value: T } | { ok: false; error: E }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.error).slice(0, 800));
  return result.value;
};

/** A town of so many valves, brought in by the importer, with open jobs begun by the use cases. */
export async function makeTown(services: Services, size: number, jobs: number): Promise<string[]> {
  const sheetFiles = demo("../library");
  must(
    importFiles(
      services,
      [
        ...sheetFiles,
        ...demo("lines"),
        ...demo("stores"),
        { name: "house.json", text: readFileSync("demo/house.json", "utf8") },
        { name: "crew.csv", text: readFileSync("demo/crew.csv", "utf8") },
        { name: "demo.csv", text: readFileSync("demo/register.csv", "utf8") },
      ],
      "Bench",
    ),
  );
  const sheets = sheetFiles.map(({ text }) => JSON.parse(text) as Sheet);
  const csv = registerOf(size, sheets, services.now());
  must(importFiles(services, [{ name: "register.csv", text: csv }], "Bench"));
  const actor = { id: "tam", name: "Tam Arkle" };
  const next = seeded(jobs);
  const opened: string[] = [];
  for (let number = 0; opened.length < jobs; number++) {
    const valve = services.register.valve(tagOf(Math.floor(next() * size)))!;
    const reach = services.library.sheet(valve.sheet)?.symptoms[0]?.reach ?? [];
    const job = openJob(
      services,
      { valve: valve.tag, reason: { kind: "due", says: "Due this week" }, reach, policy: "on-condition" },
      actor,
    );
    if (!job.ok) {
      if (number > jobs * 4) throw new Error(JSON.stringify(job.error));
      continue;
    }
    opened.push(job.value.id);
    const notes = Array.from({ length: 3 }, (_, index) => ({
      v: 1,
      id: `${job.value.id}-${index}`,
      at: new Date(services.now()).toISOString(),
      by: actor.name,
      kind: "note-added",
      text: "Looked at it",
    }));
    must(await appendEvents(services, job.value.id, notes));
  }
  return opened;
}
