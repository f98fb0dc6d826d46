import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import Database from "better-sqlite3";
import { afterEach, beforeEach, expect, it } from "vitest";
import { chainStart, type Run, run, seal } from "@/core/job";
import { Walk, wetJob } from "@/core/job/job.fixtures";
import { ok } from "@/core/result";
import { NEVER, openDatabase } from "@/data";
import { bringUp } from "./bring-up";
import { demoServices } from "./demo.fixtures";
import { find } from "./find/find";
import { appendEvents } from "./jobs/append-events";
import { jobInputs } from "./jobs/open-job";
import { SUMMARY_MADE, summaryOf } from "./jobs/summary";
import { listJobs, listValves } from "./lists/lists";
import { noteAt } from "./note.fixtures";
import { passingInstallation } from "./proof/installation";
import { store } from "./proof/ledger";
import { allDoubts } from "./proof/verify";
import { type Services, servicesOn } from "./services";
import { bells } from "./today/bells";

const NOW = Date.parse("2026-06-02T09:00:00Z");
const inputs = wetJob();
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "loftbell-old-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

it("a job that took another line's lock for one of its own is told anew", async () => {
  const services = demoServices(() => NOW);
  const sheet = services.library.sheet("brae-quaywall-4")!;
  const { id, says, reach } = sheet.symptoms[0]!;
  const ask = {
    valve: "SQ-H07",
    reason: { kind: "symptom", says, symptom: id },
    reach,
    policy: "on-condition",
  } as const;
  const opened = jobInputs(services, ask, "Tam Arkle");
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  const wrong = { ...opened.value, id: "wrong", held: [{ link: "V-12", job: "elsewhere", valve: "NQ-H02" }] };
  const before = run(wrong, []);
  if (!before.ok) throw new Error(before.error.kind);
  store(services, (ledger) => {
    services.jobs.create(wrong);
    ledger.job(wrong.id, 0, chainStart(wrong));
    services.summaries.save({ ...summaryOf(before.value, { origin: "here" }), made: SUMMARY_MADE - 1 });
    return ok(undefined);
  });
  const heldFor = ({ plan }: Run) => {
    const shut = plan.steps.find(({ id }) => id === "shut:V-12");
    if (shut?.kind !== "shut" || shut.by.kind !== "closure") throw new Error("it shuts no V-12");
    return shut.by.heldFor;
  };
  expect(heldFor(before.value)).toBe("NQ-H02");

  bringUp(services);
  const events = services.jobs.find("wrong")!.events.map(({ event }) => event);
  expect(events).toMatchObject([{ kind: "others-hold", held: [], by: "Tam Arkle" }]);
  const after = run(wrong, events);
  if (!after.ok) throw new Error(after.error.kind);
  expect(heldFor(after.value)).toBeUndefined();
  expect(allDoubts(services)).toEqual([]);
  expect((await appendEvents(services, "wrong", [noteAt("n", NOW)])).ok).toBe(true);
});

it("valves ring by their readings, which an older version let be", () => {
  const services = demoServices(() => NOW);
  const rings = () => services.register.dueNext(500).find(({ tag }) => tag === "LD-M2");
  const at = rings()!.at;
  const valve = services.register.valve("LD-M2")!;
  services.register.save(valve, { family: "mixing-valve-shuttle", due: { at: NEVER, what: "", why: "" } });
  const job = services.summaries.of(services.summaries.open()[0]!.job)!;
  services.summaries.save({ ...job, made: SUMMARY_MADE - 1 });
  expect(rings()?.at).not.toBe(at);
  bringUp(services);
  expect(rings()?.at).toBe(at);
});

/** A database as version 0.4.0 left it: documents inside the jobs, no summaries, no index, no anchors. */
function asLeftBefore(path: string): void {
  const db = new Database(path);
  const journal = JSON.parse(readFileSync("src/data/migrations/meta/_journal.json", "utf8")) as {
    entries: { tag: string; when: number }[];
  };
  db.exec(
    "create table __drizzle_migrations (id integer primary key autoincrement, hash text not null, created_at numeric)",
  );
  for (const { tag, when } of journal.entries.slice(0, 3)) {
    db.exec(
      readFileSync(`src/data/migrations/${tag}.sql`, "utf8").replaceAll("--> statement-breakpoint", ""),
    );
    db.prepare("insert into __drizzle_migrations (hash, created_at) values (?, ?)").run(tag, when);
  }
  const put = (sql: string, ...values: unknown[]) => db.prepare(sql).run(...values);
  put(
    "insert into sheets (id, revision, document) values (?, 1, ?)",
    inputs.sheet.id,
    JSON.stringify({ ...inputs.sheet, revision: 1 }),
  );
  put("insert into lines (id, document) values (?, ?)", inputs.line!.id, JSON.stringify(inputs.line));
  put(
    "insert into people (id, row) values ('tam', ?)",
    JSON.stringify({ id: "tam", name: "Tam Arkle", may: "All" }),
  );
  put(
    "insert into valves (tag, row) values (?, ?)",
    inputs.valve.tag,
    JSON.stringify({ ...inputs.valve, serviced: "2025-01-01T00:00:00Z" }),
  );
  put(
    "insert into readings (valve, at, what, dimension, si, typed, by) values (?, 1, 'static-pressure', 'gauge pressure', 4e5, '4 bar g', 'Tam Arkle')",
    inputs.valve.tag,
  );
  put(
    "insert into jobs (id, valve, opened_at, inputs) values (?, ?, ?, ?)",
    inputs.id,
    inputs.valve.tag,
    Date.parse(inputs.openedAt),
    JSON.stringify(inputs),
  );
  const walk = new Walk(inputs).until((step) => step.id === "shut:V-15");
  let previous = chainStart(inputs);
  for (const [index, event] of walk.events.entries()) {
    const made = seal(event, index + 1, event.at, previous);
    previous = made.seal.hash;
    put(
      "insert into job_events (job, seq, id, event, seal) values (?, ?, ?, ?, ?)",
      inputs.id,
      index + 1,
      event.id,
      JSON.stringify(event),
      JSON.stringify(made.seal),
    );
  }
  db.close();
}

it("data of 0.4.0 opens: listed, found, ringing, anchored, and gone on with", async () => {
  const path = join(folder, "loftbell.db");
  asLeftBefore(path);
  const installation = passingInstallation();
  const services: Services = servicesOn(openDatabase(path), () => NOW, undefined, installation);
  bringUp(services);
  expect(listValves(services, { state: "late" }).rows).toMatchObject([
    { tag: "NQ-H07", place: "North quay", family: "wet-barrel-hydrant", line: "north-quay", job: inputs.id },
  ]);
  expect(listJobs(services, {}).rows).toMatchObject([
    { job: inputs.id, status: "at-work", origin: "here", held: [{ link: "V-12" }] },
  ]);
  expect(find(services, "NQ-H07").hits[0]).toMatchObject({ kind: "valve" });
  expect(find(services, "V-12").hits[0]).toMatchObject({ kind: "link" });
  expect(bells(services).some((bell) => bell.kind === "impairment")).toBe(true);
  expect(services.library.lineVersion("north-quay")).toMatchObject({ revision: 1 });
  expect(services.library.lineAt("north-quay", 1)).toEqual(inputs.line);
  expect(services.jobs.find(inputs.id)?.inputs).toEqual(inputs);
  expect(allDoubts(services)).toEqual([]);
  expect((await appendEvents(services, inputs.id, [noteAt("n", NOW)])).ok).toBe(true);

  // Opened again, nothing is brought up twice.
  const again = servicesOn(openDatabase(path), () => NOW, undefined, installation);
  const anchors = again.anchors.last()!.seq;
  bringUp(again);
  expect(again.anchors.last()!.seq).toBe(anchors);
  expect(allDoubts(again)).toEqual([]);
});
