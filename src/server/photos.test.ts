import { createHash } from "node:crypto";
import sharp from "sharp";
import { beforeEach, describe, expect, it } from "vitest";
import { Walk } from "@/core/job/job.fixtures";
import { demoServices } from "./demo.fixtures";
import { appendEvents } from "./jobs/append-events";
import { openJob } from "./jobs/open-job";
import { storePhoto } from "./jobs/photos";
import type { Services } from "./services";

const NOW = Date.parse("2027-03-01T09:00:00Z");
let services: { -readonly [K in keyof Services]: Services[K] };
let job: string;
const hash = (bytes: Uint8Array) => createHash("sha256").update(bytes).digest("hex");

/** A wide picture as a camera writes it: turned on its side, with the place it was taken. */
const fromCamera = () =>
  sharp({ create: { width: 3000, height: 1200, channels: 3, background: "#c09040" } })
    .withExif({
      IFD0: { Make: "Camera" },
      IFD3: {
        GPSLatitudeRef: "N",
        GPSLatitude: "54/1 30/1 0/1",
        GPSLongitudeRef: "W",
        GPSLongitude: "1/1 0/1 0/1",
      },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();

beforeEach(() => {
  services = { ...demoServices(() => NOW) };
  services.now = () => NOW - 7 * 3_600_000;
  const opened = openJob(
    services,
    {
      valve: "LD-M2",
      reason: { kind: "due", says: "Due" },
      reach: ["shuttle"],
      policy: "on-condition",
    },
    { id: "jory", name: "Jory Pask" },
  );
  services.now = () => NOW;
  if (!opened.ok) throw new Error(JSON.stringify(opened.error));
  job = opened.value.id;
});

/** The log up to the first note, with a photograph of it. */
async function note(bytes: Uint8Array): Promise<void> {
  const inputs = services.jobs.find(job)!.inputs;
  const walk = new Walk(inputs, {}, NOW - 6 * 3_600_000).until((step) => step.kind === "mark");
  walk.add({ kind: "photo-taken", step: walk.job.current!.id, photo: "p-1", sha256: hash(bytes) });
  const stored = await appendEvents(services, job, walk.events);
  if (!stored.ok) throw new Error(JSON.stringify(stored.error));
}

describe("a photograph", () => {
  it("is kept without the place it was taken, upright, and no larger than is needed", async () => {
    const bytes = await fromCamera();
    expect((await sharp(bytes).metadata()).exif).toBeDefined();
    await note(bytes);
    const stored = await storePhoto(services, job, "p-1", bytes);
    expect(stored).toMatchObject({ ok: true, value: { width: 800, height: 2000 } });
    const kept = services.jobs.photo(job, "p-1")!;
    expect((await sharp(kept.bytes).metadata()).exif).toBeUndefined();
    expect(kept.bytes.includes("GPS")).toBe(false);
  });

  it("is stored once, however often it is sent", async () => {
    const bytes = await fromCamera();
    await note(bytes);
    const first = await storePhoto(services, job, "p-1", bytes);
    expect(await storePhoto(services, job, "p-1", bytes)).toEqual(first);
  });

  it.each<[string, (bytes: Buffer) => [string, string, Uint8Array], string, string]>([
    ["of no job", (bytes) => ["no-such", "p-1", bytes], "unknown", "no such job"],
    ["the log does not speak of", (bytes) => [job, "p-2", bytes], "not-noted", "Send its entry first"],
    ["with other bytes", (bytes) => [job, "p-1", bytes.subarray(0, 900)], "unreadable", "not the bytes"],
  ])("%s is refused, and nothing is stored", async (_, ask, kind, message) => {
    const bytes = await fromCamera();
    await note(bytes);
    const refused = await storePhoto(services, ...ask(bytes));
    expect(refused).toMatchObject({ ok: false, error: { kind } });
    expect(!refused.ok && refused.error.problems[0]!.message).toContain(message);
    expect(services.jobs.photo(job, "p-1")).toBeUndefined();
  });

  it.each([
    [
      "a drawing with a script in it",
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>1</script></svg>'),
    ],
    ["a moving picture", Buffer.from("R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7", "base64")],
  ])("that is %s is refused by what it is", async (_, bytes) => {
    await note(bytes);
    expect(await storePhoto(services, job, "p-1", bytes)).toMatchObject({
      ok: false,
      error: { kind: "unreadable" },
    });
  });

  it("that is no picture is refused", async () => {
    const text = new TextEncoder().encode("not a picture");
    await note(text);
    expect(await storePhoto(services, job, "p-1", text)).toMatchObject({
      ok: false,
      error: { kind: "unreadable" },
    });
  });
});
