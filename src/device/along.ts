import { ok, type Result } from "@/core/result";
import { type CallFailure, call } from "@/edge/client";
import { TAKE_ALONG } from "@/edge/contracts/along";
import { GET_JOB } from "@/edge/contracts/jobs";
import { instrumentRegister } from "./instruments";
import { keepJob, letGoOfJobs } from "./jobs";
import type { Along } from "./kept";
import { BUILD, PAGES_CACHE, pageKey } from "./pages";
import type { DeviceStore } from "./store";

export type What = Along["what"];

export interface Taking {
  readonly store: DeviceStore;
  readonly now: () => number;
  /** How far it is, 0 to 1. */
  readonly onProgress?: (share: number) => void;
}

export interface Taken {
  readonly along: Along;
  /** Addresses that could not be fetched. */
  readonly missing: readonly string[];
  /** The line was cut: some of it was not asked for at all. */
  readonly cut: boolean;
  /** Valves that are not among it. */
  readonly left: number;
}

/** Pages that are fetched at once: the server draws so many beside its other work. */
const AT_ONCE = 2;
const ID = (what: What, id: string): string => (id === "" ? what : `${what}:${id}`);

/**
 * Fetches what belongs to a day, a valve, a place or a line, and keeps it on this device. What cannot be fetched is told;
 * what lay here before is replaced page by page, so that a line that is cut leaves the older page.
 */
export async function takeAlong(
  { store, now, onProgress }: Taking,
  what: What,
  id = "",
): Promise<Result<Taken, CallFailure>> {
  const answer = await call(TAKE_ALONG, { query: { what, ...(id !== "" && { id }) } });
  if (!answer.ok) return answer;
  const { title, pages, names, jobs, crew, left } = answer.value;
  const missing: string[] = [];
  let cut = false;
  let bytes = 0;
  let done = 0;
  const tell = () => {
    done += 1;
    onProgress?.(done / (pages.length + jobs.length));
  };
  await each(jobs, async (job) => {
    const fresh = await call(GET_JOB, { params: { id: job } });
    if (fresh.ok)
      await keepJob(store, {
        id: job,
        inputs: fresh.value.inputs,
        stored: fresh.value.events.map(({ event }) => event),
        crew: new Map(Object.entries(crew)),
        heard: now(),
      });
    else {
      missing.push(`/jobs/${job}`);
      cut ||= fresh.error.kind === "no-signal";
    }
    tell();
  });
  await each(pages, async (page) => {
    const size = await keepPage(page);
    if (typeof size === "number") bytes += size;
    else missing.push(page);
    cut ||= size === "cut";
    tell();
  });
  // What is asked to persist is not thrown away when the device runs short.
  await navigator.storage?.persist?.();
  const along: Along = { id: ID(what, id), what, of: id, title, pages, names, jobs, at: now(), bytes };
  await store.along.put(along);
  // By their serials readings are known to be in calibration.
  await instrumentRegister(store);
  return ok({ along, missing, cut, left });
}

async function each<T>(all: readonly T[], work: (one: T) => Promise<void>): Promise<void> {
  const rest = [...all];
  const next = async (): Promise<void> => {
    for (let one = rest.shift(); one !== undefined; one = rest.shift()) await work(one);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, next));
}

/** Keeps a page as the server draws it now. @returns its size in bytes; or that there is none, or the line was cut */
export async function keepPage(page: string): Promise<number | "none" | "cut"> {
  try {
    const answer = await fetch(page, { headers: { accept: "text/html" } });
    const address = new URL(answer.url, location.href);
    if (address.pathname === "/sign-in" || answer.status >= 500) return "cut";
    if (!answer.ok) return "none";
    const body = await answer.blob();
    const kept = await caches.open(PAGES_CACHE);
    const key = pageKey(new URL(page, location.href));
    // A browser takes no page that came by a detour: it is led the same way again.
    if (answer.redirected && pageKey(address) !== key) {
      await kept.put(pageKey(address), new Response(body.slice(), { headers: answer.headers }));
      await kept.put(key, new Response(null, { status: 302, headers: { location: pageKey(address) } }));
    } else await kept.put(key, new Response(body, { headers: answer.headers }));
    return body.size;
  } catch {
    return "cut";
  }
}

/** Takes everything along anew that was taken along before. @returns whether the server was heard to the end */
export async function takeAgain(taking: Taking): Promise<boolean> {
  for (const { what, of } of await taking.store.along.toArray()) {
    const taken = await takeAlong(taking, what, of);
    // What is no more, a valve that was taken out, holds up nothing.
    if (taken.ok ? taken.value.cut : taken.error.kind === "no-signal") return false;
  }
  return true;
}

/** Lets go of what was taken along; a page that belongs to something else, too, stays. */
export async function letGo(store: DeviceStore, id: string): Promise<void> {
  const gone = await store.along.get(id);
  if (gone === undefined) return;
  await store.along.delete(id);
  const stay = new Set((await store.along.toArray()).flatMap(({ pages }) => pages));
  const kept = await caches.open(PAGES_CACHE);
  for (const page of gone.pages) if (!stay.has(page)) await kept.delete(page);
}

/** Who signs out leaves nothing behind that only they may see; what is not sent stays, and belongs to its names. */
export async function letGoOfAll(store: DeviceStore): Promise<void> {
  await store.along.clear();
  await letGoOfJobs(store, () => true);
  localStorage.removeItem(BUILD);
  if (typeof caches !== "undefined") await caches.delete(PAGES_CACHE);
}
