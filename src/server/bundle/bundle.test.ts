import { createHash } from "node:crypto";
import { createWriteStream, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { pipeline } from "node:stream/promises";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { ZipFile } from "yazl";
import { BUNDLE_PARTS, type BundlePart, type JobDocument } from "@/core/formats";
import { run } from "@/core/job";
import { START } from "@/core/job/job.fixtures";
import { undoEdit } from "../book/undo";
import { demoServices } from "../demo.fixtures";
import { appendEvents } from "../jobs/append-events";
import { storePhoto } from "../jobs/photos";
import { addPaper } from "../own/papers";
import { allDoubts } from "../proof/verify";
import { passingServices, type Services } from "../services";
import { bringBook, bundledEdit } from "./book";
import { contents } from "./contents";
import { bringFrom, lookAtBundle } from "./look";
import { openBundle } from "./open";
import { MANIFEST, packBundle, toSign } from "./pack";
import { piecesOf } from "./pieces";

const folder = mkdtempSync(join(tmpdir(), "loftbell-bundle-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const at = (name: string) => join(folder, name);
let ids = 0;
const empty = () =>
  passingServices(
    () => START,
    () => `in-${ids++}`,
  );

async function pack(all: Services, name: string): Promise<string> {
  await pipeline(packBundle(all), createWriteStream(at(name)));
  return at(name);
}

async function bring(all: Services, path: string, parts: readonly BundlePart[] = BUNDLE_PARTS) {
  const opened = await openBundle(path);
  if (!opened.ok) throw new Error(opened.error);
  const pieces = piecesOf(opened.value.manifest, new Set(parts));
  opened.value.close();
  for (const piece of pieces) {
    const done = await bringFrom(all, path, piece, "Ina Lund");
    if (!done.ok) return done;
  }
  return { ok: true as const };
}

/** All that is in a bundle, by path: but for who signed for a log, which is another one now. */
function told(all: Services): Map<string, string> {
  return new Map(
    [...contents(all)].flatMap(({ path, part, holds, read }) => {
      // The second one's book goes on where the first one's ended: it is looked at by itself.
      if (part === "changes") return [];
      if (holds !== "job") return [[path, read().toString("base64")] as const];
      const { proof: _, ...log } = JSON.parse(read().toString("utf8")) as JobDocument;
      return [[path, JSON.stringify(log)] as const];
    }),
  );
}

let demo: Services;
let path: string;
beforeAll(async () => {
  demo = demoServices(
    () => START,
    () => `out-${ids++}`,
  );
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: "#a33" } })
    .jpeg()
    .toBuffer();
  const { inputs, events } = demo.jobs.find("demo-h02-stopped")!;
  const stands = run(
    inputs,
    events.map(({ event }) => event),
  );
  const taken = await appendEvents(demo, inputs.id, [
    { v: 1, id: "on-1", at: new Date(START).toISOString(), by: "Tam Arkle", kind: "resumed" },
    {
      v: 1,
      id: "photo-1",
      at: new Date(START).toISOString(),
      by: "Tam Arkle",
      kind: "photo-taken",
      step: stands.ok ? stands.value.current!.id : "",
      photo: "p1",
      sha256: createHash("sha256").update(picture).digest("hex"),
    },
  ]);
  if (!taken.ok) throw new Error(JSON.stringify(taken.error));
  const stored = await storePhoto(demo, inputs.id, "p1", picture);
  if (!stored.ok) throw new Error(JSON.stringify(stored.error));
  const paper = { of: "valve", owner: "NQ-H07", name: "Plate" } as const;
  const kept = await addPaper(demo, paper, picture, "Ina Lund");
  if (!kept.ok) throw new Error(JSON.stringify(kept.error));
  path = await pack(demo, "demo.zip");
}, 60_000);

describe("a bundle", () => {
  it("goes out and into a second Loft Bell, and out of that one the same", async () => {
    const second = empty();
    expect(await bring(second, path)).toEqual({ ok: true });
    const [before, after] = [told(demo), told(second)];
    expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
    expect([...before.keys()].filter((name) => name.endsWith(".jpg"))).toEqual([
      "jobs/demo-h02-stopped/p1.jpg",
    ]);
    expect([...before].filter(([name, text]) => after.get(name) !== text).map(([name]) => name)).toEqual([]);
    // And nothing there is in doubt: logs and readings are anchored anew by whoever keeps them now.
    expect(allDoubts(second)).toEqual([]);
    for (const id of second.jobs.ids()) expect(second.jobs.provenance(id).origin).not.toBe("foreign");
  }, 120_000);

  it("takes the book of changes along: who changed what there, before what was brought in here", async () => {
    const second = empty();
    await bring(second, path);
    const book = (all: Services) => all.edits.ids().map((id) => bundledEdit(all, id)!);
    const [there, here] = [book(demo), book(second)];
    expect(there.length).toBeGreaterThan(0);
    // No file may have a log taken away: what brought logs in there is not to be undone here.
    const withoutLogs = there.map((entry) =>
      entry.changes.some(({ kind }) => kind === "job") ? { ...entry, changes: [] } : entry,
    );
    expect(withoutLogs.some(({ changes }) => changes.length > 0)).toBe(true);
    expect(here.filter(({ id }) => there.some((entry) => entry.id === id))).toEqual(withoutLogs);
    expect(here.at(-1)).toMatchObject({ by: "Ina Lund", what: { kind: "import" }, changes: [] });
    // What was done there is undone here as it would have been there.
    const paper = there.find(({ changes }) => changes[0]?.kind === "paper")!;
    expect(second.things.papersOf("valve", "NQ-H07")).toHaveLength(1);
    const undone = undoEdit(second, paper.id, "Ina Lund");
    expect(undone.ok).toBe(true);
    expect(second.things.papersOf("valve", "NQ-H07")).toEqual([]);
  }, 120_000);

  it("an entry of a book whose things cannot be kept here stands there, and is not to be undone", () => {
    const second = empty();
    const entry = (id: string, what: object, before: unknown) => ({
      id,
      at: START,
      by: "Somebody",
      what,
      changes: [{ kind: "person", id: "x", before, after: null }],
    });
    const piece = (...rows: unknown[]) => ({
      file: {
        path: "changes-0001.json",
        part: "changes",
        holds: "book",
        entries: 1,
        bytes: 1,
        sha256: "",
      } as const,
      bytes: Buffer.from(JSON.stringify(rows)),
    });
    const removed = { kind: "removed", thing: "person", ids: ["x"] };
    const done = bringBook(second, piece(entry("odd", removed, { name: 7, evil: true })), "Ina Lund");
    expect(done).toEqual({ ok: true, value: 1 });
    expect(second.edits.find("odd")).toMatchObject({ by: "Somebody" });
    expect(second.edits.changes("odd")).toEqual([]);
    for (const wrong of [{ kind: "burnt" }, { kind: "added", thing: "moon", ids: [] }, 7]) {
      const refused = bringBook(second, piece(entry("worse", wrong as object, null)), "Ina Lund");
      expect(refused.ok).toBe(false);
      expect(second.edits.find("worse")).toBeUndefined();
    }
  });

  it("brought in once more changes nothing", async () => {
    const second = empty();
    await bring(second, path);
    const look = await lookAtBundle(second, path);
    if (!look.ok) throw new Error(JSON.stringify(look.error));
    expect(look.value.ours).toBe(false);
    for (const { part, fresh, changed } of look.value.parts)
      expect([part, fresh, changed]).toEqual([part, 0, 0]);
  }, 120_000);

  it("comes in as far as one wants, and says what is missing for the rest", async () => {
    const second = empty();
    expect(await bring(second, path, ["house", "crew", "places"])).toEqual({ ok: true });
    expect(second.library.people().length).toBe(demo.library.people().length);
    expect(second.register.count()).toBe(0);
    const readings = await bring(second, path, ["readings"]);
    expect(JSON.stringify(readings)).toContain("Bring the valves in, too");
    expect(second.library.valvesWithReadings()).toEqual([]);
  }, 60_000);

  it("with a store of another currency is refused like any such store, and leaves nothing of it", async () => {
    const second = empty();
    const [store] = demo.library.stores();
    second.library.saveStore({ ...store!, id: "own", name: "Own", currency: "XTS" });
    const done = await bring(second, path, ["sheets", "stores"]);
    expect(JSON.stringify(done)).toContain("stores/");
    expect(done.ok).toBe(false);
    expect(second.library.stores().map(({ id }) => id)).toEqual(["own"]);
    expect(second.movements.all()).toEqual([]);
  }, 60_000);

  it("that was changed on its way is refused, and nothing of it comes in", async () => {
    const opened = await openBundle(path);
    if (!opened.ok) throw new Error(opened.error);
    const { manifest, read } = opened.value;
    /** The bundle with other bytes in one file, another manifest, or one file more. */
    const forged = async (
      name: string,
      { other = {}, list = manifest }: { other?: Record<string, Buffer>; list?: typeof manifest },
    ) => {
      const zip = new ZipFile();
      zip.addBuffer(Buffer.from(JSON.stringify(list)), MANIFEST);
      for (const file of manifest.files) {
        const bytes = await read(file);
        if (bytes.ok && !(file.path in other)) zip.addBuffer(bytes.value, file.path);
      }
      for (const [at, bytes] of Object.entries(other)) zip.addBuffer(bytes, at);
      zip.end();
      await pipeline(zip.outputStream, createWriteStream(at(name)));
      return lookAtBundle(empty(), at(name));
    };
    const crew = manifest.files.find(({ part }) => part === "crew")!;
    expect(await forged("bytes.zip", { other: { [crew.path]: Buffer.from("[]") } })).toMatchObject({
      ok: false,
      error: [{ message: expect.stringContaining("is not as it was when it was packed") }],
    });
    expect(await forged("more.zip", { other: { "crew-9999.json": Buffer.from("[]") } })).toMatchObject({
      ok: false,
      error: [{ message: expect.stringContaining("was put into it afterwards") }],
    });
    const list = { ...manifest, house: "Somebody else" };
    expect(toSign(list)).not.toBe(toSign(manifest));
    expect(await forged("list.zip", { list })).toMatchObject({
      ok: false,
      error: [{ message: expect.stringContaining("changed after it was signed") }],
    });
    opened.value.close();
    writeFileSync(at("none.zip"), "no zip");
    expect((await lookAtBundle(empty(), at("none.zip"))).ok).toBe(false);
  }, 120_000);
});
