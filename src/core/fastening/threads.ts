import { THREAD_TABLE, type Thread } from "./thread-table";

/** Height of a 60° thread's flank that carries, 5/8 of H, as a share of the pitch (ISO 68-1). */
const FLANK = 0.5413;

export interface ThreadMatch {
  readonly thread: Thread;
  /** How far the measured diameter is under the nominal one, m; over it when negative. */
  readonly under: number;
  /** How far the pitch is off, as a share. */
  readonly pitchOff: number;
  readonly score: number;
}

/** A used outside thread measures a little under its name: its crest is truncated and worn. As a share of the pitch. */
const USUAL_UNDER = 0.08;
/** Of the larger end: a taper thread is measured somewhere along its cone (1 in 16). */
const ALONG_CONE = 0.03;
/** A caliper and a pitch gauge cannot tell apart what differs less than this, as a share of diameter and pitch. */
const SURE = { under: 0.03, pitch: 0.02 };
/** Further off in pitch, as a share, it is another thread: 11 and 11.5 to the inch differ by 4.5 %. */
const FARTHEST_PITCH = 0.045;
/** Further off in diameter, as a share, it is another thread. */
const FARTHEST_DIAMETER = 0.08;

/** What is known of a thread in hand; a pitch or a form that was not looked at is left out. */
export interface Measured {
  readonly diameter: number;
  readonly pitch?: number;
  readonly taper?: boolean;
  readonly angle?: Thread["angle"];
}

/**
 * Threads that a measured outside thread may be, likeliest first; none when none of the tables is near. The diameter may be
 * under the nominal one by wear, hardly ever over it; the pitch hardly varies at all.
 */
export function matchThreads({ diameter, pitch, taper, angle }: Measured): ThreadMatch[] {
  return THREAD_TABLE.flatMap((thread): ThreadMatch[] => {
    if (taper !== undefined && thread.taper !== taper) return [];
    if (angle !== undefined && thread.angle !== angle) return [];
    const under = thread.diameter - diameter;
    const pitchOff = pitch === undefined ? 0 : pitch / thread.pitch - 1;
    if (Math.abs(pitchOff) > FARTHEST_PITCH || Math.abs(under) > FARTHEST_DIAMETER * thread.diameter)
      return [];
    const slack = thread.taper ? ALONG_CONE * thread.diameter : 0;
    const off = Math.max(0, Math.abs(under - USUAL_UNDER * thread.pitch - slack / 2) - slack / 2);
    const over = under < -0.02e-3 ? 3 : 1;
    return [{ thread, under, pitchOff, score: (over * off) / thread.pitch + Math.abs(pitchOff) * 12 }];
  }).sort((a, b) => a.score - b.score);
}

/** Whether what was measured is this thread, as well as caliper and pitch gauge can tell. */
export const fitsWell = ({ thread, under, pitchOff }: ThreadMatch): boolean =>
  Math.abs(pitchOff) < SURE.pitch && Math.abs(under) < SURE.under * thread.diameter;

/**
 * Others that what was measured fits as well and that are not the same in the hand: another pitch, angle, taper or size.
 * Which of them it is the measures do not say.
 */
export function rivalsOf(matches: readonly ThreadMatch[]): Thread[] {
  const [best] = matches;
  if (best === undefined) return [];
  return matches
    .slice(1)
    .flatMap((each) => (fitsWell(each) && differs(each.thread, best.thread) ? [each.thread] : []));
}

const SAME = 0.005;

function differs(a: Thread, b: Thread): boolean {
  return (
    a.taper !== b.taper ||
    a.angle !== b.angle ||
    Math.abs(a.pitch / b.pitch - 1) > SAME ||
    Math.abs(a.diameter / b.diameter - 1) > SAME
  );
}

/** What happens when a screw of one thread meets a nut of another. */
export type Meeting =
  /** The nut is too small: it does not start. */
  | { readonly kind: "too-thick"; readonly by: number }
  /** So loose that the flanks pass over one another. */
  | { readonly kind: "too-thin"; readonly bite: number }
  /** It starts, and binds when the pitches have drifted apart by the play between the flanks. */
  | { readonly kind: "binds"; readonly turns: number; readonly bite: number }
  /** The pitches agree. */
  | { readonly kind: "runs"; readonly bite: number };

/** Flank that bears below this share of the nut's own is stripped by hand. */
const LEAST_BITE = 0.25;

/** Pitch diameter lies 3/8 of the sharp height under the outside at 60° (ISO 68-1); 55° is 0.6403 pitches (ISO 228-1). */
const pitchDiameter = ({ diameter, pitch, angle }: Thread): number =>
  diameter - (angle === 55 ? 0.6403 : 0.6495) * pitch;

/** Least play of the usual fit, m: the allowance of position g, (15 + 11·P) µm with P in mm (ISO 965-1). */
const allowance = (pitch: number): number => (15 + 11 * pitch * 1e3) * 1e-6;

/**
 * A screw in the nut of another thread. Its play between the flanks, along the axis, is the difference of the pitch
 * diameters and the fit's allowance times the tangent of half the angle; each turn uses up the difference of the pitches.
 */
export function meet(screw: Thread, nut: Thread): Meeting {
  const play = pitchDiameter(nut) - pitchDiameter(screw) + allowance(nut.pitch);
  const depth = FLANK * Math.min(screw.pitch, nut.pitch) * 2;
  const bite = Math.max(0, Math.min(1, (screw.diameter - (nut.diameter - 2 * FLANK * nut.pitch)) / depth));
  if (play < 0) return { kind: "too-thick", by: -play };
  if (bite < LEAST_BITE) return { kind: "too-thin", bite };
  const drift = Math.abs(nut.pitch - screw.pitch);
  const along = play * Math.tan(((Math.PI / 180) * Math.max(screw.angle, nut.angle)) / 2);
  return drift < 1e-9 ? { kind: "runs", bite } : { kind: "binds", turns: along / drift, bite };
}

/** Share of its full height that a next size's thread would have if the old one's grooves stay in the hole. */
export function heightAfterRetap(old: Thread, next: Thread): number {
  const fresh = (next.diameter - old.diameter) / 2;
  return Math.max(0, Math.min(1, fresh / (FLANK * next.pitch)));
}

/** The thread a sheet names, "M10", "M5 × 16" (a length, not a pitch) or "G 1/2"; nothing when it is none of the tables. */
export function threadNamed(words: string): Thread | undefined {
  const exact = THREAD_TABLE.find((each) => each.name === words.trim());
  if (exact !== undefined) return exact;
  const coarse = /^M\d+(?=\b)/.exec(words.trim())?.[0];
  return coarse === undefined || /odd|cutting/.test(words)
    ? undefined
    : THREAD_TABLE.find((each) => each.name === coarse);
}
