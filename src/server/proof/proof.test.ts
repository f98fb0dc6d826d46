import { sql } from "drizzle-orm";
import { beforeEach, describe, expect, it } from "vitest";
import type { JobDocument } from "@/core/formats";
import { chainStart, seal } from "@/core/job";
import { demoServices } from "../demo.fixtures";
import { appendEvents } from "../jobs/append-events";
import { exportJob } from "../jobs/export-job";
import { noteAt } from "../note.fixtures";
import type { Services } from "../services";
import { passingInstallation } from "./installation";
import { verifyDocument } from "./prove";
import { allDoubts, doubtOfEnd } from "./verify";

const NOW = Date.parse("2027-03-01T09:00:00Z");
const JOB = "demo-h08-done";
let services: Services;
beforeEach(() => {
  services = demoServices(() => NOW);
});

const doubts = () => {
  services.jobs.forget();
  return allDoubts(services).map(({ subject, id, message }) => `${subject} ${id}: ${message}`);
};
const document = (): JobDocument => structuredClone(exportJob(services, JOB)!) as JobDocument;

/** Seals a log anew, as somebody with the database and this source would. */
function sealedAnew(job: string): void {
  const { inputs, events } = services.jobs.find(job)!;
  let previous = chainStart(inputs);
  for (const { event, seal: old } of events) {
    const made = seal(event, old.seq, old.serverAt, previous);
    previous = made.seal.hash;
    services.db.run(
      sql`update job_events set seal = ${JSON.stringify(made.seal)} where job = ${job} and seq = ${old.seq}`,
    );
  }
}

describe("what is stored is verified against what was anchored", () => {
  it("untouched, nothing is in doubt", () => {
    expect(doubts()).toEqual([]);
  });

  it("an entry that was changed is named", () => {
    services.db.run(
      sql`update job_events set event = replace(event, 'Tam Arkle', 'Odd Kerrigan') where job = ${JOB} and seq = 5`,
    );
    expect(doubts()).toEqual([expect.stringMatching(/^job demo-h08-done: Entry 5 does not fit/)]);
  });

  it("a log that was cut is found, though what is left of it is whole", () => {
    services.db.run(
      sql`delete from job_events where job = ${JOB} and seq = (select max(seq) from job_events where job = ${JOB})`,
    );
    expect(doubts()).toEqual([expect.stringMatching(/^job demo-h08-done: 1 of 89 entries are missing/)]);
  });

  it("a log that was changed and sealed anew is found", () => {
    services.db.run(
      sql`update job_events set event = replace(event, 'Tam Arkle', 'Odd Kerrigan') where job = ${JOB}`,
    );
    sealedAnew(JOB);
    expect(doubts()).toEqual([expect.stringMatching(/^job demo-h08-done: The log was sealed anew/)]);
  });

  it("a job that was taken out whole is missed", () => {
    for (const table of ["job_events", "job_summaries"])
      services.db.run(sql.raw(`delete from ${table} where job = '${JOB}'`));
    services.db.run(sql`delete from jobs where id = ${JOB}`);
    expect(doubts()).toEqual([expect.stringMatching(/^job demo-h08-done: .*taken out/)]);
  });

  it.each([
    [
      "changed",
      sql`update readings set si = si * 1.01 where id = (select min(id) from readings where valve = 'NQ-H07')`,
    ],
    [
      "taken away",
      sql`delete from readings where id = (select min(id) from readings where valve = 'NQ-H07')`,
    ],
    [
      "put in",
      sql`insert into readings (valve, at, what, dimension, si, typed, by) values ('NQ-H07', 1, 'static-pressure', 'gauge pressure', 4e5, '4 bar g', 'Tam Arkle')`,
    ],
  ])("a reading that was %s is found, at its valve", (_, tamper) => {
    services.db.run(tamper);
    expect(doubts()).toEqual([expect.stringMatching(/^readings NQ-H07: /)]);
  });

  it("an anchor that was changed, with the head beside it, is found: nobody else has the key", () => {
    services.db.run(sql`update heads set head = ${"0".repeat(64)} where id = ${JOB}`);
    services.db.run(sql`update anchors set heads = replace(heads, ${"demo-h08-done"}, ${"demo-h08-gone"})`);
    expect(doubts()[0]).toMatch(/^anchors : Anchor 1 does not fit/);
  });

  it("a job is not gone on with when its log is in doubt", async () => {
    services.db.run(sql`delete from job_events where job = 'demo-h09-wait' and seq = 8`);
    expect(await appendEvents(services, "demo-h09-wait", [noteAt("n", NOW)])).toMatchObject({
      ok: false,
      error: {
        kind: "tampered",
        problems: [{ message: expect.stringContaining("1 of 8 entries are missing") }],
      },
    });
  });
});

describe("the end of the chain is remembered outside the database", () => {
  const [older, newer] = [
    { seq: 4, hash: "a" },
    { seq: 5, hash: "b" },
  ];
  it.each([
    ["as it was", newer, newer, undefined],
    ["ahead, as after a crash between the two", older, newer, undefined],
    ["never anchored", undefined, undefined, undefined],
    ["cut", newer, older, /lost its end: 1 of 5/],
    ["emptied", newer, undefined, /5 of 5 acknowledged changes/],
    ["written anew", newer, { seq: 5, hash: "c" }, /written anew/],
  ])("%s", (_, witness, last, expected) => {
    const doubt = doubtOfEnd(witness, last)?.message;
    if (expected === undefined) expect(doubt).toBeUndefined();
    else expect(doubt).toMatch(expected);
  });

  it("every acknowledged entry moves it", async () => {
    const before = services.installation.witness()!.seq;
    const note = (id: string) => noteAt(id, NOW);
    await appendEvents(services, "demo-h09-wait", [note("a")]);
    await appendEvents(services, "demo-h09-wait", [note("a"), note("b")]);
    expect(services.installation.witness()).toMatchObject({
      seq: before + 2,
      hash: services.anchors.last()!.hash,
    });
  });
});

describe("a file that was exported is verified by a stranger", () => {
  it("with nothing but itself", () => {
    expect(verifyDocument(document())).toMatchObject({
      ok: true,
      value: { kind: "signed", entries: 89, publicKey: services.installation.publicKey },
    });
  });

  it.each<[string, (job: JobDocument) => void, RegExp]>([
    ["an entry changed", (job) => Object.assign(job.events[3]!.event, { by: "Somebody" }), /Entry 4/],
    ["its end cut off", (job) => job.events.pop(), /88 entries; 89 were signed/],
    ["its inputs changed", (job) => Object.assign(job.inputs, { openedBy: "Somebody" }), /Entry 1/],
    [
      "another key put in",
      (job) => Object.assign(job.proof!, { publicKey: passingInstallation().publicKey }),
      /signature does not fit/,
    ],
    [
      "the anchor changed",
      (job) => Object.assign(job.proof!.anchor, { at: "2020-01-01T00:00:00Z" }),
      /signature does not fit/,
    ],
  ])("with %s it does not pass", (_, tamper, says) => {
    const job = document();
    tamper(job);
    const verdict = verifyDocument(job);
    expect(verdict.ok ? "passed" : verdict.error).toMatch(says);
  });

  it("without its proof it is whole, and no more", () => {
    const { proof: _, ...job } = document();
    expect(verifyDocument(job)).toEqual({ ok: true, value: { kind: "sealed", entries: 89 } });
  });
});
