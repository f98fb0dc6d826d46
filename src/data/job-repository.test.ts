import { beforeEach, describe, expect, it } from "vitest";
import type { JobInputs, SealedEvent } from "@/core/formats";
import { chainStart, seal } from "@/core/job";
import { dryJob, wetJob } from "@/core/job/job.fixtures";
import { type JobRepository, jobRepository, openDatabase } from ".";

let db: ReturnType<typeof openDatabase>;
let jobs: JobRepository;
beforeEach(() => {
  db = openDatabase(":memory:");
  jobs = jobRepository(db);
});

const inputs = wetJob();
/** So many notes, each sealed to the one before. */
function notes(job: JobInputs, many: number): SealedEvent[] {
  const log: SealedEvent[] = [];
  for (let at = 1; at <= many; at++) {
    const event = {
      v: 1,
      id: `n${at}`,
      at: job.openedAt,
      by: "Tam Arkle",
      kind: "note-added",
      text: `${at}`,
    } as const;
    log.push(seal(event, at, job.openedAt, log.at(-1)?.seal.hash ?? chainStart(job)));
  }
  return log;
}
const photo = (id: string) => ({
  job: inputs.id,
  id,
  mime: "image/jpeg",
  width: 4,
  height: 3,
  bytes: Buffer.from([1, 2, 3]),
});

describe("what a job began with", () => {
  it("comes back as it was, though line, sheet and store lie beside it once", () => {
    jobs.create(inputs);
    jobs.create({ ...inputs, id: "job-9" });
    jobs.create(dryJob());
    for (const each of [inputs, { ...inputs, id: "job-9" }, dryJob()])
      expect(jobs.find(each.id)?.inputs).toEqual(each);
    const rows = db.$client.prepare("select count(*) as many from documents").get() as { many: number };
    // Two sheets, one line, one store.
    expect(rows.many).toBe(4);
  });

  it("may have neither line nor store", () => {
    const { line: _, store: __, ...bare } = inputs;
    jobs.create(bare);
    expect(jobs.find(bare.id)?.inputs).toEqual(bare);
  });

  it("is refused twice", () => {
    jobs.create(inputs);
    expect(() => jobs.create(inputs)).toThrow();
  });

  it("tells where its log came from, and what speaks against it", () => {
    jobs.create(inputs);
    jobs.create({ ...inputs, id: "job-8" }, { origin: "foreign", doubt: "The wait was too short." });
    expect(jobs.provenance(inputs.id)).toEqual({ origin: "here" });
    expect(jobs.provenance("job-8")).toEqual({ origin: "foreign", doubt: "The wait was too short." });
  });
});

describe("its log", () => {
  it("is read whole, from an entry on, and by its head alone", () => {
    const log = notes(inputs, 5);
    jobs.create(inputs);
    expect(jobs.head(inputs.id)).toBeUndefined();
    jobs.append(inputs.id, log.slice(0, 2));
    jobs.append(inputs.id, log.slice(2));
    expect(jobs.find(inputs.id)?.events).toEqual(log);
    expect(jobs.eventsAfter(inputs.id, 3)).toEqual(log.slice(3));
    expect(jobs.head(inputs.id)).toEqual({ entries: 5, hash: log[4]!.seal.hash });
  });

  it("is of one job: another's entries of the same id stand beside it", () => {
    const [first, second] = [inputs, { ...inputs, id: "job-9" }];
    for (const job of [first, second]) {
      jobs.create(job);
      jobs.append(job.id, notes(job, 1));
    }
    expect(jobs.eventsAfter(first.id)).toEqual(notes(first, 1));
    expect(jobs.eventsAfter(second.id)).toEqual(notes(second, 1));
  });
});

describe("open and closed", () => {
  it("open ones come the newest first, a closed one can be opened again", () => {
    jobs.create(inputs);
    jobs.create({ ...inputs, id: "later", openedAt: "2026-07-01T09:00:00.000Z" });
    const open = () => jobs.open().map((job) => job.inputs.id);
    expect(open()).toEqual(["later", inputs.id]);
    jobs.close("later", 123);
    expect([open(), jobs.find("later")?.closedAt]).toEqual([[inputs.id], 123]);
    jobs.close("later", null);
    expect([open(), jobs.find("later")?.closedAt]).toEqual([["later", inputs.id], undefined]);
    expect(jobs.ids()).toEqual([inputs.id, "later"]);
  });

  it("taken away it leaves nothing of itself, and others alone", () => {
    jobs.create(inputs);
    jobs.create({ ...inputs, id: "stays" });
    jobs.append(inputs.id, notes(inputs, 2));
    jobs.savePhoto(photo("p1"));
    jobs.remove(inputs.id);
    expect([jobs.has(inputs.id), jobs.find(inputs.id), jobs.photo(inputs.id, "p1")]).toEqual([
      false,
      undefined,
      undefined,
    ]);
    expect(jobs.eventsAfter(inputs.id)).toEqual([]);
    expect(jobs.find("stays")?.inputs).toEqual({ ...inputs, id: "stays" });
  });
});

describe("photographs", () => {
  it("are kept once: what comes again under the same id changes nothing", () => {
    jobs.create(inputs);
    jobs.savePhoto(photo("p1"));
    jobs.savePhoto({ ...photo("p1"), bytes: Buffer.from([9]) });
    expect(jobs.photo(inputs.id, "p1")).toEqual(photo("p1"));
    expect(jobs.photo(inputs.id, "p2")).toBeUndefined();
  });

  it("belong to a job that is there", () => {
    expect(() => jobs.savePhoto(photo("p1"))).toThrow();
  });
});
