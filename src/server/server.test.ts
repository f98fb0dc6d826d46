import { sql } from "drizzle-orm";
import { beforeEach, describe, expect, it } from "vitest";
import type { JobEvent, Line } from "@/core/formats";
import { jobRecord, verifyChain } from "@/core/job";
import { Walk } from "@/core/job/job.fixtures";
import { notationOf } from "@/core/quantity";
import { entryWords, speaker, stepWords } from "@/words";
import { demoServices } from "./demo.fixtures";
import { importFiles, previewImport } from "./importing/import-files";
import { loadDemo } from "./importing/load-demo";
import { appendEvents } from "./jobs/append-events";
import { heldShut, openJob } from "./jobs/open-job";
import { readJob } from "./jobs/read-job";
import { jobAt } from "./jobs/take-in-hand";
import { saveLine } from "./lines/save-line";
import { allDoubts } from "./proof/verify";
import type { Services } from "./services";
import { bells } from "./today/bells";
import { today } from "./today/today";

const NOW = Date.parse("2027-03-01T09:00:00Z");
let services: { -readonly [K in keyof Services]: Services[K] };
beforeEach(() => {
  let id = 0;
  services = {
    ...demoServices(
      () => NOW,
      () => `id-${++id}`,
    ),
  };
});

const tam = { id: "tam", name: "Tam Arkle" };
const everyJob = () => services.jobs.ids().map((id) => services.jobs.find(id)!);
const ask = {
  valve: "NQ-H07",
  reason: { kind: "symptom", says: "Weeps" },
  reach: ["disc"],
  policy: "on-condition",
} as const;
const note = (id: string, more = {}): JobEvent =>
  JSON.parse(
    JSON.stringify({
      v: 1,
      id,
      at: new Date(NOW).toISOString(),
      by: "Tam Arkle",
      kind: "note-added",
      text: "hello",
      ...more,
    }),
  );

describe("the demo", () => {
  it("loads by the importer, with its wait running, its impairment open and its chains whole", () => {
    const ringing = bells(services);
    expect(ringing.find((bell) => bell.kind === "wait")?.at).toBe(NOW + 9 * 60_000);
    expect(
      ringing
        .filter((bell) => bell.kind === "impairment")
        .map((bell) => bell.valve)
        .sort(),
    ).toEqual(["NQ-H02", "NQ-H09"]);
    for (const job of everyJob()) expect(verifyChain(job.inputs, job.events).ok, job.inputs.id).toBe(true);
    expect(allDoubts(services)).toEqual([]);
    expect(
      today(services, ringing)
        .held.map((each) => each.link)
        .sort(),
    ).toEqual(["SV-09", "V-11", "V-22"]);
  });

  it("loading it twice changes nothing", () => {
    const before = everyJob();
    loadDemo(services);
    expect(everyJob()).toEqual(before);
  });

  it("a record is read in the units of its reader, and what was typed stays as it was typed", () => {
    const { run, events, inputs } = readJob(services, "demo-h02-stopped")!;
    if (!run.ok) throw new Error(run.error.kind);
    const drain = run.value.plan.steps.find((step) => step.kind === "drain")!;
    const { lines } = jobRecord(run.value, events);
    for (const [system, amount] of [
      ["metric", /^\d+ L$/],
      ["us", /^\d+ US gal$/],
    ] as const) {
      const words = speaker(notationOf(system));
      expect(stepWords(words, drain).cues?.[0]).toMatch(amount);
      expect(lines.map((each) => entryWords(words, each, inputs.sheet).entry)).toContain("0 bar g");
    }
  });
});

describe("a job", () => {
  const open = () => {
    const made = openJob(services, ask, tam);
    if (!made.ok) throw new Error(JSON.stringify(made.error));
    return made.value.id;
  };

  it("knows which valves another job holds shut", () => {
    open();
    expect([...heldShut(services, "north-quay").keys()].sort()).toEqual(["SV-09", "V-11", "V-22"]);
    const inputs = services.jobs.find(services.summaries.openOfValve("NQ-H07")!.job)!.inputs;
    expect(inputs.line?.links.find((link) => link.id === "V-22")).toMatchObject({ normally: "open" });
    expect(inputs.held).toEqual([
      { link: "SV-09", job: expect.any(String), valve: "NQ-H09" },
      { link: "V-11", job: expect.any(String), valve: "NQ-H02" },
      { link: "V-22", job: expect.any(String), valve: "NQ-H02" },
    ]);
  });

  it("takes nothing for shut that another line's valve of the same name is", () => {
    const links = services.library.line("south-quay")!.links.map(({ id }) => id);
    expect(links).toEqual(expect.arrayContaining(["V-11", "V-22", "SV-09"]));
    expect(heldShut(services, "south-quay").size).toBe(0);
    const made = openJob(services, { ...ask, valve: "SQ-H07" }, tam);
    if (!made.ok) throw new Error(JSON.stringify(made.error));
    const { inputs } = services.jobs.find(made.value.id)!;
    expect(inputs).not.toHaveProperty("held");
    expect(inputs.line?.links.find(({ id }) => id === "V-11")).toMatchObject({ operable: true });
  });

  it("is opened once a valve", () => {
    open();
    expect(openJob(services, ask, tam)).toMatchObject({ ok: false, error: [{ path: "/valve" }] });
  });

  it.each([
    [{ valve: "NO-SUCH" }, "/valve"],
    [{ reach: [] }, "/reach"],
    [{ reach: ["body"] }, "/reach"],
    [{ reason: { kind: "due", says: " " } }, "/reason/says"],
    [{ reason: { kind: "symptom", says: "Weeps", symptom: "no-such" } }, "/reason/symptom"],
  ])("is not opened with %j", (change, path) => {
    expect(openJob(services, { ...ask, ...change } as typeof ask, tam)).toMatchObject({
      ok: false,
      error: [{ path }],
    });
    expect(services.summaries.openOfValve("NQ-H07")).toBeUndefined();
  });

  it.each([
    [[{ topic: "threads", way: "dry" }], "/schools/0/why", /why/i],
    [
      [{ topic: "lubricant", way: "silicone", why: "It is in the van." }],
      "/schools/0/way",
      /its sheet has none/,
    ],
    [[{ topic: "cleaning", way: "acid" }], "/schools/0/topic", /Nothing in this job/],
  ] as const)("is not worked by %j", (schools, path, message) => {
    expect(openJob(services, { ...ask, schools }, tam)).toMatchObject({
      ok: false,
      error: [{ path, message: expect.stringMatching(message) }],
    });
    expect(services.summaries.openOfValve("NQ-H07")).toBeUndefined();
  });

  it("keeps how it is worked: the usual way where nothing was asked, another one with its reason", () => {
    const why = "The owner wants no paste.";
    const made = openJob(services, { ...ask, schools: [{ topic: "threads", way: "dry", why }] }, tam);
    const kept = made.ok && services.jobs.find(made.value.id)?.inputs.schools;
    expect(kept).toContainEqual({ topic: "threads", way: "dry", usual: "anti-seize", why });
    expect(kept).toContainEqual({ topic: "lubricant", way: "food-grade", usual: "food-grade" });
  });

  it("takes an event once, however often it is sent", async () => {
    const job = open();
    expect(await appendEvents(services, job, [note("a")])).toMatchObject({ ok: true, value: { length: 1 } });
    expect(await appendEvents(services, job, [note("a"), note("b")])).toMatchObject({
      ok: true,
      value: { length: 2 },
    });
    expect(services.jobs.find(job)?.events.map((each) => each.event.id)).toEqual(["a", "b"]);
  });

  it("stores a batch whole or not at all", async () => {
    const job = open();
    const refused = await appendEvents(services, job, [
      note("a"),
      note("b", { kind: "step-done", step: "tray", text: undefined }),
    ]);
    expect(refused).toMatchObject({
      ok: false,
      error: { problems: [{ path: expect.stringMatching(/^\/events\/1/) }] },
    });
    expect(services.jobs.find(job)?.events).toEqual([]);
  });

  it.each([
    [[note("a", { v: 7 })], "unreadable", "/events/0/v"],
    [[{ ...note("a"), kind: "teleported" }], "unreadable", "/events/0/kind"],
    [[], "unreadable", "/events"],
    ["nonsense", "unreadable", "/events"],
    [[note("a", { at: new Date(NOW + 3_600_000).toISOString() })], "refused", "/events/0/at"],
  ])("refuses %j", async (batch, kind, path) => {
    expect(await appendEvents(services, open(), batch)).toMatchObject({
      ok: false,
      error: { kind, problems: [{ path }] },
    });
  });

  it("does not go on with a log that was changed", async () => {
    const job = open();
    await appendEvents(services, job, [note("a")]);
    services.db.run(sql`update job_events set event = replace(event, 'hello', 'goodbye') where job = ${job}`);
    services.inHand.forget();
    expect(await appendEvents(services, job, [note("b")])).toMatchObject({
      ok: false,
      error: { kind: "tampered" },
    });
  });

  it("closed at triage leaves the valve due", async () => {
    const job = open();
    const before = services.register.valve("NQ-H07")?.serviced;
    const closed = await appendEvents(services, job, [
      note("a", { kind: "signed-off", statement: "Only the cap gasket", text: undefined }),
    ]);
    expect(closed.ok).toBe(true);
    expect(services.jobs.find(job)?.closedAt).toBe(NOW);
    expect(services.register.valve("NQ-H07")?.serviced).toBe(before);
  });

  it("replays from the database to the state it had", () => {
    const stored = services.jobs.find("demo-h02-stopped")!;
    const at = jobAt(stored);
    expect(at.ok && at.value.status.kind).toBe("stopped");
    expect(at.ok && at.value.shut).toEqual(["V-11", "V-22"]);
  });
});

describe("bringing in", () => {
  const file = (name: string, text: string) => ({ name, text });
  const refusal = (...files: { name: string; text: string }[]) => {
    const done = importFiles(services, files, "Tam Arkle");
    return done.ok ? "taken" : done.error.map((each) => `${each.path} ${each.message}`).join("\n");
  };

  it.each([
    ["not JSON", file("x.json", "{"), "x.json Not readable as JSON"],
    ["unknown format", file("x.json", '{"format":"other"}'), "x.json/format Set format"],
    ["unknown columns", file("x.csv", "a,b\n1,2"), "x.csv/row 1 The columns are not known"],
    [
      "a register without its sheet",
      file("x.csv", "tag,name,place,sheet\nA-1,Valve,Yard,nowhere"),
      'x.csv/row 2/sheet There is no sheet "nowhere"',
    ],
    [
      "a doubled tag",
      file("x.csv", "tag,name,place,sheet\nA-1,V,Y,brae-quaywall-4\nA-1,V,Y,brae-quaywall-4"),
      "x.csv/row 3/tag",
    ],
    [
      "a place the line lacks",
      file("x.csv", "tag,name,place,sheet,line,node\nA-1,V,Y,brae-quaywall-4,north-quay,Q"),
      'has no place "Q"',
    ],
    [
      "a reading that is no figure",
      file(
        "x.csv",
        "tag,at,what,dimension,value,unit,by\nA-1,2026-01-01T00:00:00Z,p,gauge pressure,high,bar g,T",
      ),
      "x.csv/row 2/value",
    ],
    [
      "a reading in the wrong unit",
      file("x.csv", "tag,at,what,dimension,value,unit,by\nA-1,2026-01-01T00:00:00Z,p,gauge pressure,3,mm,T"),
      '"mm" is not a unit of gauge pressure',
    ],
  ])("refuses %s and changes nothing", (_name, incoming, message) => {
    const before = services.register.valves();
    expect(refusal(incoming, file("good.csv", "id,name,may\nzz,Zed,All"))).toContain(message);
    expect(services.register.valves()).toEqual(before);
    expect(services.library.people().some((person) => person.id === "zz")).toBe(false);
  });

  it("says what would change before it does", () => {
    const preview = previewImport(services, [
      file("x.csv", "tag,name,place,sheet\nA-1,Valve,Yard,brae-quaywall-4"),
    ]);
    expect(preview).toMatchObject({ ok: true, value: { lines: [{ effect: "new" }] } });
    expect(services.register.valve("A-1")).toBeUndefined();
  });

  it("refuses a job whose log was changed", () => {
    const { inputs, events } = services.jobs.find("demo-h08-done")!;
    const text = JSON.stringify({
      format: "loftbell.job",
      version: 1,
      inputs: { ...inputs, id: "copy" },
      events,
    });
    expect(refusal(file("job.json", text))).toContain("the log was changed");
  });
});

describe("saving a line", () => {
  const quay = () => structuredClone(services.library.line("north-quay")!);

  it("stores a sound one whole, and lists it by its new name", () => {
    const saved = saveLine(services, { ...quay(), name: "Quay" }, "north-quay", "Tam Arkle");
    expect(saved.ok).toBe(true);
    expect(services.library.lineSummaries().find((each) => each.id === "north-quay")?.name).toBe("Quay");
  });

  it.each<[string, (line: Line) => unknown, string | undefined, string, string]>([
    [
      "another format",
      (line) => ({ ...line, format: "loftbell.store" }),
      "north-quay",
      "/nodes",
      "Unknown field",
    ],
    [
      "a link to nowhere",
      (line) => ({ ...line, nodes: line.nodes.slice(1) }),
      "north-quay",
      "/links/0/from",
      "no node",
    ],
    ["a new line under a taken id", (line) => line, undefined, "/id", "already"],
    ["a line under another id", (line) => ({ ...line, id: "quay-2" }), "north-quay", "/id", "keeps its id"],
    [
      "a line without the place of a registered valve",
      (line) => {
        const renamed = (id: string) => (id === "NQ-H09" ? "elsewhere" : id);
        return {
          ...line,
          nodes: line.nodes.map((node) =>
            node.id === "NQ-H09" ? { ...node, id: "elsewhere", asset: "X-1" } : node,
          ),
          links: line.links.map((link) => ({ ...link, from: renamed(link.from), to: renamed(link.to) })),
        };
      },
      "north-quay",
      "/nodes",
      "The register has NQ-H09",
    ],
  ])("refuses %s and changes nothing", (_name, edit, known, path, message) => {
    const before = quay();
    const saved = saveLine(services, edit(quay()), known, "Tam Arkle");
    if (saved.ok) throw new Error("it was taken");
    expect(saved.error.some((each) => each.path.startsWith(path) && each.message.includes(message))).toBe(
      true,
    );
    expect(quay()).toEqual(before);
  });

  it("an import of a line that leaves a registered valve without its place is refused as well", () => {
    const line = quay();
    line.nodes = line.nodes.map((node) =>
      node.id === "NQ-H05" ? { ...node, id: "elsewhere", asset: "elsewhere" } : node,
    );
    line.links = line.links.map((link) => ({
      ...link,
      from: link.from === "NQ-H05" ? "elsewhere" : link.from,
      to: link.to === "NQ-H05" ? "elsewhere" : link.to,
    }));
    const read = importFiles(services, [{ name: "quay.json", text: JSON.stringify(line) }], "Tam Arkle");
    expect(read.ok ? "" : read.error[0]?.message).toContain('The register has NQ-H05 at "NQ-H05"');
  });
});

it("a closure found to pass is marked on the line for the next job, and the mark goes with the finding", async () => {
  const opened = openJob(services, { ...ask, valve: "NQ-H05" }, tam);
  if (!opened.ok) throw new Error("not opened");
  const { inputs } = { inputs: opened.value };
  const walk = new Walk(inputs, {}, NOW);
  walk.until((step) => step.id === "prove:gauge");
  const link = walk.job.shut[0]!;
  walk.add({ kind: "closure-passes", link });
  services.now = () => walk.now;
  expect((await appendEvents(services, inputs.id, walk.events)).ok).toBe(true);
  const mark = () => services.library.line("north-quay")?.links.find((each) => each.id === link);
  expect(mark()).toMatchObject({ passes: true });
  const finding = walk.events.at(-1)!;
  expect(
    (
      await appendEvents(
        services,
        inputs.id,
        [{ ...note("u"), kind: "undone", event: finding.id, text: undefined, at: finding.at }].map((each) =>
          JSON.parse(JSON.stringify(each)),
        ),
      )
    ).ok,
  ).toBe(true);
  expect(mark()).not.toHaveProperty("passes");
});
