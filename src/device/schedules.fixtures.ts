import { sha256 as sha } from "@noble/hashes/sha2.js";
import { bytesToHex } from "@noble/hashes/utils.js";
import { IDBFactory, IDBKeyRange } from "fake-indexeddb";
import sharp from "sharp";
import type { JobEvent } from "@/core/formats";
import { accept, isClosed, type Run, run, verifyChain } from "@/core/job";
import { Walk } from "@/core/job/job.fixtures";
import { seeded } from "@/core/seeded";
import { openDatabase } from "@/data";
import { demoServices } from "@/server/demo.fixtures";
import { appendEvents } from "@/server/jobs/append-events";
import { exportJob } from "@/server/jobs/export-job";
import { openJob } from "@/server/jobs/open-job";
import { storePiece } from "@/server/jobs/photo-pieces";
import { PHOTO_STATUS, storePhoto } from "@/server/jobs/photos";
import { readJob } from "@/server/jobs/read-job";
import { type Services, servicesOn } from "@/server/services";
import { outboxOf } from "./entries";
import { keepJob } from "./jobs";
import { keepPhoto } from "./photos";
import { sendAll } from "./send-all";
import { DeviceStore } from "./store";

/** Two devices on one job, a line that is cut, tabs and a server that are killed: what is left in the end. */

const START = Date.parse("2027-03-01T08:00:00Z");
const CREW = ["Tam Arkle", "Isla Venn"];

/** A photograph nothing can be spared of: noise, by a seed. */
async function noise(seed: number, width: number, height: number): Promise<Uint8Array<ArrayBuffer>> {
  const chance = seeded(seed);
  const raw = Buffer.from(Array.from({ length: width * height * 3 }, () => chance() * 256));
  const jpeg = await sharp(raw, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 80 })
    .toBuffer();
  return new Uint8Array(jpeg);
}

/** How a request fares on the line. */
export type Fate = "there-and-back" | "never-arrives" | "answer-lost";

/** The server, which can be killed: what it had stored is there when it is up again. */
export class World {
  #services: Services;
  clock = START;
  /** How the next request fares. */
  fate: (bytes: number) => Fate = () => "there-and-back";

  constructor() {
    this.#services = demoServices(() => this.clock);
  }

  get services(): Services {
    return this.#services;
  }

  kill(): void {
    const { db, installation } = this.#services;
    const bytes = db.$client.serialize();
    db.$client.close();
    this.#services = servicesOn(openDatabase(bytes), () => this.clock, undefined, installation);
  }

  begin(valve: string): string {
    const asked = {
      valve,
      reason: { kind: "symptom", says: "Weeps" },
      reach: ["disc"],
      policy: "on-condition",
    } as const;
    const made = openJob(this.#services, asked, { id: "tam", name: "Tam Arkle" });
    if (!made.ok) throw new Error(JSON.stringify(made.error));
    return made.value.id;
  }

  /** What a device fetches by: the routes' use cases, on a line that may be cut. */
  readonly fetch: typeof fetch = async (address, init = {}) => {
    const { body } = init;
    const fate = this.fate(body instanceof Blob ? body.size : String(body ?? "").length);
    if (fate === "never-arrives") throw new TypeError("no network");
    const answer = await this.#answer(String(address), init);
    if (fate === "answer-lost") throw new TypeError("cut");
    return answer;
  };

  async #answer(address: string, { method = "GET", body }: RequestInit): Promise<Response> {
    const { pathname, searchParams } = new URL(address, "http://here");
    const [, id = "", what, photo = "", from] =
      /^\/api\/v1\/jobs\/([^/]+)(?:\/(\w+)\/?([^/]*)(?:\/pieces\/(\d+))?)?$/.exec(pathname) ?? [];
    if (method === "POST" && what === "events") {
      const { events, settles } = JSON.parse(String(body)) as { events: JobEvent[]; settles?: boolean };
      const taken = await appendEvents(this.#services, id, events, { settles });
      if (!taken.ok) return Response.json({ errors: taken.error.problems }, { status: 409 });
      const sent = new Set(events.map((event) => event.id));
      return Response.json({
        entries: taken.value.length,
        stored: taken.value.filter(({ event }) => sent.has(event.id)),
      });
    }
    if (method === "PUT" && what === "photos") {
      const bytes = new Uint8Array(await (body as Blob).arrayBuffer());
      const of = Number(searchParams.get("of"));
      const put =
        from === undefined
          ? await storePhoto(this.#services, id, photo, bytes)
          : await storePiece(this.#services, { job: id, photo, from: Number(from), of }, bytes);
      if (put.ok) return Response.json(from === undefined ? {} : put.value);
      const [status] = PHOTO_STATUS[put.error.kind];
      return Response.json({ errors: put.error.problems }, { status });
    }
    const job = exportJob(this.#services, id);
    return job === undefined ? Response.json({ errors: [] }, { status: 404 }) : Response.json(job);
  }

  log(job: string): JobEvent[] {
    return readJob(this.#services, job)!.events.map(({ event }) => event);
  }
}

/** A device in somebody's hand. Its tab can be killed: what it kept is there when it is opened again. */
export class Device {
  readonly #disk = new IDBFactory();
  #store: DeviceStore;
  #made = 0;
  /** Every entry that was shown as kept. */
  readonly acknowledged = new Set<string>();

  constructor(
    readonly world: World,
    readonly by: string,
    readonly job: string,
  ) {
    this.#store = this.#opened();
  }

  get store(): DeviceStore {
    return this.#store;
  }

  #opened = () => new DeviceStore("loftbell", { indexedDB: this.#disk, IDBKeyRange });

  killTab(): void {
    this.#store.close();
    this.#store = this.#opened();
  }

  /** Opened with a signal once. */
  async hear(): Promise<void> {
    const { inputs, events } = exportJob(this.world.services, this.job)!;
    await keepJob(this.#store, {
      id: this.job,
      inputs,
      stored: events.map(({ event }) => event),
      crew: new Map(),
      heard: this.world.clock,
    });
  }

  /** The job as this device shows it. */
  async #shown(): Promise<Run> {
    const { inputs } = (await this.#store.jobs.get(this.job))!;
    const stored = await this.stored();
    const there = new Set(stored.map(({ id }) => id));
    const waiting = (await outboxOf(this.#store, this.job).waiting()).filter(({ id }) => !there.has(id));
    const made = run(inputs, [...stored, ...waiting]);
    if (!made.ok) throw new Error(made.error.kind);
    return made.value;
  }

  async #keep(job: Run, event: JobEvent): Promise<Run> {
    const taken = accept(job, event, { now: this.world.clock, mayOf: () => ({}) });
    if (!taken.ok) return job;
    await outboxOf(this.#store, this.job).keep(event);
    this.acknowledged.add(event.id);
    return taken.value;
  }

  #event = (event: object): JobEvent =>
    ({
      v: 1,
      id: `${this.by.split(" ")[0]!.toLowerCase()}-${this.#made++}`,
      at: new Date(this.world.clock).toISOString(),
      by: this.by,
      ...event,
    }) as JobEvent;

  /** Does the card in hand, by what this device believes; of work that was stopped it is looked, and it goes on. */
  async work(): Promise<void> {
    let job = await this.#shown();
    if (isClosed(job)) return;
    if (job.status.kind === "stopped") job = await this.#keep(job, this.#event({ kind: "resumed" }));
    const { current } = job;
    if (current === undefined || current.kind === "sign-off") return;
    const walk = new Walk(job.inputs, {}, this.world.clock);
    walk.events.push(...job.log);
    const had = walk.events.length;
    try {
      walk.doStep(current);
    } catch {
      // A card this technician does not know how to do here: it waits.
      return;
    }
    this.world.clock = Math.max(this.world.clock, walk.now) + 1000;
    for (const { id: _, by: __, ...event } of walk.events.slice(had))
      job = await this.#keep(job, this.#event(event));
  }

  async note(text: string, many = 1): Promise<void> {
    let job = await this.#shown();
    for (let one = 0; one < many; one++)
      job = await this.#keep(job, this.#event({ kind: "note-added", text }));
  }

  /** Takes a photograph at the next card that takes one. */
  async photograph(photo: string, bytes: Uint8Array<ArrayBuffer>): Promise<void> {
    let job = await this.#shown();
    const takes = () => {
      const seen = this.#event({ kind: "photo-taken", step: job.current!.id, photo, sha256: "0".repeat(64) });
      return accept(job, seen, { now: this.world.clock }).ok;
    };
    for (let card = 0; card < 40 && !takes(); card++) {
      await this.work();
      job = await this.#shown();
    }
    await keepPhoto(this.#store, this.job, photo, new Blob([bytes], { type: "image/jpeg" }));
    const sha256 = bytesToHex(sha(bytes));
    await this.#keep(job, this.#event({ kind: "photo-taken", step: job.current!.id, photo, sha256 }));
  }

  send = () =>
    sendAll({
      store: this.#store,
      now: () => this.world.clock,
      unsaid: "refused",
      post: this.world.fetch,
    });

  async stored(): Promise<readonly JobEvent[]> {
    return (await this.#store.logs.get(this.job))!.stored;
  }

  aside = async () => (await outboxOf(this.#store, this.job).refused()).map(({ event }) => event.id);
}

/** What is wrong in the end; nothing when all is as it has to be. */
export type Wrong = readonly string[];

/** One random schedule of two devices, by its seed. */
export async function schedule(seed: number, acts: number): Promise<Wrong> {
  const chance = seeded(seed);
  const world = new World();
  const job = world.begin("NQ-H07");
  const devices = CREW.map((by) => new Device(world, by, job));
  for (const device of devices) await device.hear();
  // Each line is good, bad or dead for a while.
  let quality = 1;
  world.fate = () => {
    const luck = chance();
    return luck < quality ? "there-and-back" : luck < (1 + quality) / 2 ? "answer-lost" : "never-arrives";
  };
  for (let act = 0; act < acts; act++) {
    const device = devices[Math.floor(chance() * 2)]!;
    const luck = chance();
    if (luck < 0.55) await device.work();
    else if (luck < 0.62) await device.note(`Note ${act}`);
    else if (luck < 0.8) await device.send();
    else if (luck < 0.86) device.killTab();
    else if (luck < 0.9) world.kill();
    else if (luck < 0.95) quality = [0, 0.5, 1][Math.floor(chance() * 3)]!;
    else world.clock += chance() * 40 * 60_000;
  }
  quality = 1;
  for (let round = 0; round < 3; round++)
    for (const device of devices) {
      await device.send();
      await device.hear();
    }
  return wrongOf(world, job, devices);
}

async function wrongOf(world: World, job: string, devices: readonly Device[]): Promise<Wrong> {
  const log = world.log(job);
  const ids = log.map(({ id }) => id);
  const wrong: string[] = [];
  if (new Set(ids).size !== ids.length) wrong.push("an entry stands twice");
  const { inputs, events } = readJob(world.services, job)!;
  if (!verifyChain(inputs, events).ok) wrong.push("the chain is broken");
  for (const device of devices) {
    const aside = new Set(await device.aside());
    for (const id of device.acknowledged)
      if (!ids.includes(id) && !aside.has(id)) wrong.push(`${id} of ${device.by} is lost`);
    const stored = (await device.stored()).map(({ id }) => id);
    if (JSON.stringify(stored) !== JSON.stringify(ids)) wrong.push(`${device.by} has another log`);
    if ((await outboxOf(device.store, job).waiting()).length > 0) wrong.push(`${device.by} has not sent all`);
  }
  return wrong;
}

export interface CutLine {
  readonly entries: number;
  readonly photos: number;
  /** Of each photograph, pixels. */
  readonly width: number;
  readonly height: number;
  /** The line holds so long, s, and carries so much. */
  readonly holds_s: number;
  readonly bytes_s: number;
}

/** A whole day's entries and photographs over a line that is cut again and again; what is wrong in the end. */
export async function overCutLine(line: CutLine): Promise<{ wrong: Wrong; seconds: number; bytes: number }> {
  const world = new World();
  const job = world.begin("NQ-H07");
  const device = new Device(world, "Tam Arkle", job);
  await device.hear();
  await device.work();
  let bytes = 0;
  for (let photo = 0; photo < line.photos; photo++) {
    const taken = await noise(photo + 1, line.width, line.height);
    bytes += taken.length;
    await device.photograph(`p-${photo}`, taken);
    await device.note("x".repeat(120), Math.ceil(line.entries / line.photos));
  }
  // The line's own time: what would go on after it is cut does not arrive, or its answer does not.
  let now = 0;
  const LATENCY_S = 0.15;
  const GAP_S = 2;
  world.fate = (size) => {
    const left = line.holds_s - (now % (line.holds_s + GAP_S));
    const there = LATENCY_S + size / line.bytes_s;
    if (left <= 0 || there > left) {
      now += Math.max(0, left) + GAP_S;
      return "never-arrives";
    }
    now += there;
    if (there + LATENCY_S > left) return "answer-lost";
    now += LATENCY_S;
    return "there-and-back";
  };
  for (let round = 0; round < 5000; round++) if ((await device.send()).kind === "all-there") break;
  world.fate = () => "there-and-back";
  const wrong = [...(await wrongOf(world, job, [device]))];
  const kept = world.services.jobs.photoIds(job).length;
  if (kept !== line.photos) wrong.push(`${line.photos - kept} photographs are missing`);
  return { wrong, seconds: now, bytes };
}
