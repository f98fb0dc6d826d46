import { describe, expect, it } from "vitest";
import { entryWords, recordBlocks, renewalWhy, speaker, stepTitle } from "@/words";
import { chainStart, jobRecord, type RecordLine, seal } from ".";
import { START, Walk, wetJob } from "./job.fixtures";

/** The record of a walk, its log sealed as the server seals it. */
function recordOf(walk: Walk) {
  let previous = chainStart(walk.inputs);
  const sealed = walk.events.map((event, index) => {
    const made = seal(event, index + 1, new Date(START).toISOString(), previous);
    previous = made.seal.hash;
    return made;
  });
  return jobRecord(walk.job, sealed);
}
const wordsOf = (line: RecordLine) => entryWords(speaker(), line, wetJob().sheet);
const said = (walk: Walk) =>
  recordOf(walk)
    .lines.map(wordsOf)
    .map(({ what, entry }) => `${what} | ${entry}`);

describe("the log, line by line", () => {
  const walk = new Walk(wetJob(), { "disc-face": "catches" });
  walk
    .until((step) => step.id === "prove:gauge")
    .add({ kind: "note-added", text: "Gulls on the net loft" })
    .add({ kind: "closure-passes", link: "V-19" })
    .until((step) => step.id === "check:disc-face")
    .add({ kind: "part-judged", part: "nozzle", disposition: "renew", reason: "Cross-threaded" })
    .add({ kind: "undone", event: walk.events.at(-1)!.id })
    .add({ kind: "stopped", reason: "Too dark" })
    .add({ kind: "resumed" })
    .until((step) => step.kind === "tighten");
  const step = walk.job.current!;
  if (step.kind !== "tighten") throw new Error("no bolt circle");
  walk
    .add({ kind: "bolt-pulled", step: step.id, pass: 1, bolt: 1, reading_Nm: step.passes[0]!.torque_Nm })
    .toEnd();
  const lines = said(walk);

  it.each([
    ["a note", "Note | Gulls on the net loft"],
    ["a closure that passes", "Found V-19 to pass | "],
    ["a decision on a part, by its name", "Renew Nozzle | Cross-threaded"],
    ["an undo", "Undone: the entry before | "],
    ["a stop, with its reason", "Stopped work | Too dark"],
    ["taking it up again", "Took the work up again | "],
    ["an answer, by the words that were pressed", "Look at the face of the outlet disc. | Catches"],
    ["a reading as it was typed", "Prove zero at the lower outlet of the hydrant. | 0 bar g"],
    ["a lock, by its number", /^Shut V-12 .* \| 14$/],
    ["a wait", /^Shut .* and wait .* \| 10 min$/],
    ["a pull that was read", /gland bolts.* \| pass 1, bolt 1, read 5\.4 N·m$/],
    ["a pull that clicked", /gland bolts.* \| pass 2, bolt 4$/],
    ["the signature", "Sign off | Back in service"],
  ])("has %s", (_what, line) => {
    expect(lines).toContainEqual(typeof line === "string" ? line : expect.stringMatching(line));
  });

  it("has a line for every entry, undone ones too, each under its phase and its name", () => {
    const record = recordOf(walk);
    expect(record.lines).toHaveLength(walk.events.length);
    expect(new Set(record.lines.map((line) => line.by))).toEqual(new Set(["Tam Arkle"]));
    expect(record.lines.find((line) => wordsOf(line).entry === "Catches")?.step?.phase).toBe("inspect");
  });

  it("does not count what was undone: the nozzle was not renewed", () => {
    const record = recordOf(walk);
    expect(record.renewed.map((each) => each.name)).not.toContain("Nozzle");
    expect(record.renewed.every((each) => renewalWhy(speaker(), each).length > 5)).toBe(true);
  });

  it("names everybody who wrote in it, the one who opened it first", () => {
    const two = new Walk(wetJob());
    two.add({ kind: "note-added", text: "Relieved", by: "Isla Venn" });
    expect(recordOf(two).people).toEqual(["Tam Arkle", "Isla Venn"]);
  });

  it("tells what was made without signal, with both times, and by which clock", () => {
    const away = new Walk(wetJob());
    away.add({ kind: "note-added", text: "In the pit", off_s: 720 });
    const [event] = away.events;
    const stored = START + 40 * 60_000;
    const late = seal(event!, 1, new Date(stored).toISOString(), chainStart(away.inputs));
    expect(jobRecord(away.job, [late]).lines[0]).toMatchObject({
      at: START,
      storedAt: stored,
      off_s: 720,
    });
    const soon = seal(event!, 1, new Date(START + 60_000).toISOString(), chainStart(away.inputs));
    expect(jobRecord(away.job, [soon]).lines[0]).not.toHaveProperty("storedAt");
  });
});

describe("what went on threads and what was measured", () => {
  const record = recordOf(new Walk(wetJob(), { "disc-face": "catches" }).toEnd());

  it("says the supply by its name, for whoever has to break it loose", () => {
    expect(record.threads.length).toBeGreaterThan(0);
    for (const { with: supply } of record.threads) expect(supply).toMatch(/^[A-Z]/);
  });

  it("puts readings and measured checks in the order of time", () => {
    expect(record.readings.length).toBeGreaterThan(3);
    const times = record.readings.map((each) => each.at);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(record.readings.map((each) => each.what)).toContain("zero");
  });
});

describe("what an instrument read", () => {
  const walk = new Walk(wetJob()).until(({ kind }) => kind === "hold");
  const hold = walk.job.current!;
  const taken = {
    kind: "logger",
    name: "Pressure logger",
    serial: "PL-1",
    by: "socket",
    read: "0.01 bar g",
    registered: "IN-03",
    until: "2026-05-01",
  };
  walk.add({ kind: "wait-started", step: hold.id, minutes: hold.minutes });
  const from = new Date(walk.now).toISOString();
  walk.now += hold.minutes * 60_000;
  const points = [
    [0, 0],
    [120, 800],
    [500, 900],
    [600, 1000],
  ];
  walk
    .add({
      kind: "trace-kept",
      step: hold.id,
      with: { ...taken, at: from },
      dimension: "gauge pressure",
      from,
      every_s: 60,
      points,
    })
    .add({ kind: "step-done", step: hold.id });
  const again = { step: walk.job.current!.id, what: "zero", dimension: "gauge pressure" };
  walk.add({
    kind: "reading-taken",
    ...again,
    si: 1000,
    typed: "0.01 bar g",
    with: { ...taken, at: new Date(walk.now).toISOString() },
  });
  const record = recordOf(walk);

  it("stands with its serial, and with a calibration that had run out", () => {
    const block = recordBlocks(speaker(), record, () => undefined).find(
      (each) => each.kind === "rows" && each.title === "Readings",
    );
    expect(JSON.stringify(block)).toContain("with Pressure logger PL-1, CALIBRATION RAN OUT on 2026-05-01");
    expect(said(walk)).toContainEqual(expect.stringMatching(/0\.01 bar g with Pressure logger PL-1/));
  });

  it("over a time stands with what that says and how long the wait was, also where an entry did not keep it", () => {
    const [trace] = record.traces;
    expect(trace).toMatchObject({ verdict: { kind: "standing", says: { kind: "holds" } } });
    expect(stepTitle(speaker(), trace!.step)).toContain("wait 10 minutes");
    const before = jobRecord(walk.job, [
      {
        event: {
          ...walk.events.at(-2)!,
          answered: {
            id: hold.id,
            phase: hold.phase,
            kind: "hold",
            where: { kind: "said", at: "x", fit: "y" },
            shutFirst: [],
          },
        },
      },
    ]);
    expect(before.lines[0]!.step?.minutes).toBe(10);
  });
});
