import { createWriteStream, mkdirSync, readdirSync, rmSync, statSync } from "node:fs";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { BundlePart } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { doneElsewhere, storedElsewhere } from "../heavy/store-elsewhere";
import { dataFolder, type Services } from "../services";
import type { BundleLook } from "./look";
import { openBundle } from "./open";
import { piecesOf } from "./pieces";

/** How far a bundle has come in. */
export interface BundleProgress {
  readonly state: "coming-in" | "in" | "stopped";
  readonly done: number;
  readonly of: number;
  /** Things that were not so already. */
  readonly changes: number;
  /** Why it stopped, in words; what came in before stays, each piece to be undone by itself. */
  readonly problems?: readonly Problem[];
}

const FOLDER = "bundles-coming-in";
const DAY_MS = 86_400_000;
const KEPT = "bundle ";
const ID = /^[\w-]{1,80}$/;

const folder = () => join(dataFolder(), FOLDER);
const pathOf = (id: string) => join(folder(), `${id}.zip`);

/** Keeps a bundle that was sent until it is brought in, and says what is in it. */
export async function receiveBundle(
  services: Services,
  bytes: Uint8Array,
): Promise<Result<BundleLook & { readonly id: string }, Problem[]>> {
  mkdirSync(folder(), { recursive: true });
  for (const name of readdirSync(folder()))
    if (Date.now() - statSync(join(folder(), name)).mtimeMs > DAY_MS) rmSync(join(folder(), name));
  const id = services.newId();
  await pipeline(Readable.from([bytes]), createWriteStream(pathOf(id)));
  const look = await doneElsewhere<BundleLook>(services, { task: "bundle-look", path: pathOf(id) });
  if (look.ok) return ok({ id, ...look.value });
  rmSync(pathOf(id), { force: true });
  return look;
}

/** How far it is; nothing where no such bundle is coming in. */
export const bundleProgress = ({ kept }: Services, id: string): BundleProgress | undefined =>
  kept.get(KEPT + id) as BundleProgress | undefined;

/** Begins to bring the chosen parts in, piece by piece: between two of them others store, too. */
export async function beginBundle(
  services: Services,
  id: string,
  parts: readonly BundlePart[],
  by: string,
): Promise<Result<BundleProgress, Problem[]>> {
  const gone = [{ path: "", message: "This bundle is not here any more. Choose the file again." }];
  if (!ID.test(id)) return err(gone);
  if (bundleProgress(services, id)?.state === "coming-in")
    return err([{ path: "", message: "It is coming in already." }]);
  const opened = await openBundle(pathOf(id));
  if (!opened.ok) return err(gone);
  const pieces = piecesOf(opened.value.manifest, new Set(parts));
  opened.value.close();
  const begun: BundleProgress = { state: "coming-in", done: 0, of: pieces.length, changes: 0 };
  services.kept.set(KEPT + id, begun);
  void bringAll(services, id, pieces, by);
  return ok(begun);
}

async function bringAll(
  services: Services,
  id: string,
  pieces: ReturnType<typeof piecesOf>,
  by: string,
): Promise<void> {
  let progress = bundleProgress(services, id)!;
  const tell = (more: Partial<BundleProgress>) => {
    progress = { ...progress, ...more };
    services.kept.set(KEPT + id, progress);
  };
  try {
    for (const piece of pieces) {
      const work = { task: "bundle-piece", path: pathOf(id), piece, by } as const;
      const done = await storedElsewhere<number>(services, work);
      if (!done.ok) return tell({ state: "stopped", problems: done.error.slice(0, 20) });
      tell({ done: progress.done + 1, changes: progress.changes + done.value });
    }
    tell({ state: "in" });
    rmSync(pathOf(id), { force: true });
  } catch (thrown) {
    console.error("a bundle that was coming in", thrown);
    const message = services.live.fault ?? "Loft Bell failed here. The server's log says where.";
    tell({ state: "stopped", problems: [{ path: "", message }] });
  }
}
