import { type Kind, type Manner, mannerOf, mayWait } from "./manner";
import { type LocalMinute, type Quiet, quietEnds } from "./quiet";

/** What of a bell decides when it sounds. */
export interface Ringable {
  readonly id: string;
  readonly kind: Kind;
  /** When it is due, ms. */
  readonly at: number;
  readonly putOff?: { readonly until: number };
}

/** What a device has of earlier ringing. */
export interface Heard {
  /** Bells that are silent here until then (ms): somebody goes there, or has heard it. */
  readonly silent: Readonly<Record<string, number>>;
  /** Up to when (ms) this device has heard what is struck once; nothing of before it is struck again. */
  readonly upTo: number;
}

/** A bell that sounds now. */
export interface Ringing<B extends Ringable> {
  readonly bell: B;
  readonly manner: Exclude<Manner, "silent">;
  /** Since when it does, ms. */
  readonly since: number;
}

/** What has rung for so long has become a matter of the rope, where it stands in red: a bell that never ends is torn out, ms. */
const STANDS_MS = { alarm: 24 * 3_600_000, chime: 12 * 3_600_000 } as const;

/** When it sounds, ms: when it is due; later where it was put off; after the quiet hours where it may wait. */
export function soundsAt(bell: Ringable, quiet: Quiet, localMinute: LocalMinute): number | undefined {
  if (mannerOf(bell.kind) === "silent") return undefined;
  const at = Math.max(bell.at, bell.putOff?.until ?? bell.at);
  return mayWait(bell.kind) ? quietEnds(quiet, at, localMinute) : at;
}

/**
 * What sounds now, longest first, and when the next one does (ms).
 *
 * @param quiet of the device; what may not wait rings in them, too
 */
export function rings<B extends Ringable>(
  bells: readonly B[],
  { now, quiet, localMinute, heard }: { now: number; quiet: Quiet; localMinute: LocalMinute; heard: Heard },
): { readonly ringing: readonly Ringing<B>[]; readonly next: number | undefined } {
  const ringing: Ringing<B>[] = [];
  const later: number[] = [];
  for (const bell of bells) {
    const manner = mannerOf(bell.kind);
    const due = soundsAt(bell, quiet, localMinute);
    if (manner === "silent" || due === undefined) continue;
    const since = Math.max(due, heard.silent[bell.id] ?? due);
    if (since > now) {
      later.push(since);
      continue;
    }
    if (now - due > STANDS_MS[manner]) continue;
    // Heard before it was due again (work that was stopped once more), it is another one.
    if (manner === "chime" && due <= Math.max(heard.upTo, heard.silent[bell.id] ?? 0)) continue;
    ringing.push({ bell, manner, since });
  }
  ringing.sort(
    (a, b) => RANK[a.manner] - RANK[b.manner] || a.since - b.since || a.bell.id.localeCompare(b.bell.id),
  );
  return { ringing, next: later.length > 0 ? Math.min(...later) : undefined };
}

const RANK = { alarm: 0, chime: 1 } as const;
