import { gzipSync } from "node:zlib";

export const percentile = (times: readonly number[], share: number): number =>
  times.toSorted((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? Number.NaN;

export interface Answered {
  readonly ms: number;
  readonly bytes: number;
  readonly status: number;
  readonly text: string;
}

const PERSON = { "loftbell-person": "tam" };

/** One request, timed to the last byte. */
export async function ask(url: string, init: RequestInit = {}): Promise<Answered> {
  const begun = performance.now();
  const answer = await fetch(url, { ...init, headers: { ...PERSON, ...init.headers } });
  const text = await answer.text();
  return { ms: performance.now() - begun, bytes: Buffer.byteLength(text), status: answer.status, text };
}

/** A page asked for several times, after it was warmed. */
export async function askOften(
  url: string,
  times: number,
): Promise<{ p95: number; bytes: number; html: string }> {
  const first = await ask(url);
  if (first.status !== 200) throw new Error(`${url}: ${first.status} ${first.text.slice(0, 300)}`);
  const all: Answered[] = [];
  for (let time = 0; time < times; time++) all.push(await ask(url));
  return {
    p95: percentile(
      all.map(({ ms }) => ms),
      0.95,
    ),
    bytes: first.bytes,
    html: first.text,
  };
}

/** Bytes of the scripts a page asks for at once, compressed. */
export async function firstScripts(base: string, html: string): Promise<number> {
  const sources = new Set(
    [...html.matchAll(/<script[^>]+src="([^"]+)"(?![^>]*noModule)/g)].map(([, src]) => src!),
  );
  let bytes = 0;
  for (const src of sources) bytes += gzipSync((await ask(base + src)).text).byteLength;
  return bytes;
}
