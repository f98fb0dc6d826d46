import { type ChildProcess, spawn } from "node:child_process";
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Services } from "@/server/services";

async function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once("error", reject);
    probe.listen(0, "127.0.0.1", () => {
      const address = probe.address();
      const port = typeof address === "object" && address !== null ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });
}

/** The demo without its largest line, loaded once a run (global-setup.ts) and copied for each server. */
export const LOADED_DEMO = "test-results/demo";

export async function loadDemo(folder: string, ...flags: string[]): Promise<void> {
  const env = { ...process.env, LOFTBELL_MODE: "demo", LOFTBELL_DATA: folder };
  await done(
    spawn(process.execPath, ["--import", "tsx", "demo/load.ts", ...flags], { env, stdio: "inherit" }),
  );
}

/** Fills an empty data folder before the first start. */
export const filledBy =
  (fill: (services: Services) => unknown) =>
  async (folder: string): Promise<void> => {
    const { openDatabase } = await import("@/data");
    const { installationIn } = await import("@/server/proof/installation");
    const { servicesOn } = await import("@/server/services");
    const db = openDatabase(join(folder, "loftbell.db"));
    await fill(servicesOn(db, Date.now, undefined, installationIn(folder)));
    db.$client.close();
  };

/** A server of the built app with a data folder of its own, on a free port; it can be killed and started again. */
export class TestServer {
  #process: ChildProcess | undefined;
  readonly #data = mkdtempSync(join(tmpdir(), "loftbell-"));
  #port = 0;
  #said = "";
  /** Minutes by which the server's clock runs ahead now. */
  clockAhead = 0;
  /** Processes that draw its pages; without any it draws them itself, which most tests are quicker with. */
  drawers = 0;

  /**
   * @param townMain whether the demo has its largest line; it takes seconds to load
   * @param prepare fills the folder before the first start
   */
  constructor(
    readonly mode: "demo" | "own",
    readonly townMain = false,
    private readonly prepare?: (folder: string) => Promise<void>,
    /** What it is started with besides. */
    private readonly more: Readonly<Record<string, string>> = {},
  ) {}

  get url(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  get isUp(): boolean {
    return this.#process !== undefined;
  }

  /** What it wrote since it was started. */
  get said(): string {
    return this.#said;
  }

  get folder(): string {
    return this.#data;
  }

  get database(): string {
    return join(this.#data, "loftbell.db");
  }

  /**
   * @param clockAhead minutes by which the server's clock runs ahead, for waits that nobody sits out in a test
   * @param status what its health answers when it is up
   */
  async start(clockAhead = this.clockAhead, status = 200): Promise<void> {
    this.#port ||= await freePort();
    this.clockAhead = clockAhead;
    const env = {
      ...process.env,
      LOFTBELL_MODE: this.mode,
      LOFTBELL_DATA: this.#data,
      LOFTBELL_CLOCK_AHEAD_MIN: String(clockAhead),
      NEXT_TELEMETRY_DISABLED: "1",
      NODE_ENV: "production" as const,
      HOST: "127.0.0.1",
      PORT: String(this.#port),
      DRAWERS: String(this.drawers),
      ...this.more,
    };
    // A restart finds what it had.
    if (this.prepare !== undefined && !existsSync(this.database)) await this.prepare(this.#data);
    if (this.mode === "demo" && !existsSync(this.database)) {
      if (this.townMain) await loadDemo(this.#data);
      else cpSync(LOADED_DEMO, this.#data, { recursive: true });
    }
    this.#process = spawn(process.execPath, ["dist/serve.mjs"], {
      env,
      stdio: ["ignore", "pipe", "inherit", "ipc"],
    });
    this.#said = "";
    this.#process.stdout?.on("data", (piece) => {
      this.#said += piece;
    });
    // Its drawing processes give way to all else: beside another test's browser on two cores they begin late.
    for (let attempt = 0; attempt < 1000; attempt++) {
      const healthy = await fetch(`${this.url}/api/health`).then(
        (answer) => answer.status === status,
        () => false,
      );
      if (healthy && (status !== 200 || this.drawers === 0 || this.#said.includes("Pages are drawn by")))
        return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error(`the server on ${this.url} does not answer`);
  }

  /** Its clock goes on, and it with it. */
  async clockGoesOn(minutes: number): Promise<void> {
    this.clockAhead += minutes;
    // One that is down has the new time when it is started.
    if (!this.isUp) return;
    this.#process?.send({ clockAheadMinutes: this.clockAhead });
    for (let attempt = 0; attempt < 300; attempt++) {
      const health = (await (await fetch(`${this.url}/api/health`)).json()) as { clockAheadMinutes: number };
      if (health.clockAheadMinutes === this.clockAhead) return;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
    throw new Error(`the clock of ${this.url} does not go on`);
  }

  /** The processes it has started itself. */
  children(): number[] {
    const pid = this.#process?.pid;
    const text = pid === undefined ? "" : readFileSync(`/proc/${pid}/task/${pid}/children`, "utf8");
    return text.split(" ").filter(Boolean).map(Number);
  }

  /** Ends the process as a power cut would: no farewell. */
  async kill(): Promise<void> {
    const ended = this.#process === undefined ? undefined : done(this.#process);
    this.#process?.kill("SIGKILL");
    await ended;
    this.#process = undefined;
  }

  async end(): Promise<void> {
    await this.kill();
    rmSync(this.#data, { recursive: true, force: true });
  }
}

const done = (child: ChildProcess) => new Promise<void>((resolve) => child.once("exit", () => resolve()));
