/** Partials of a small bell: times the strike note, loudness, and how long each rings, s. */
const PARTIALS = [
  { times: 0.5, gain: 0.25, rings: 2.6 },
  { times: 1, gain: 0.5, rings: 1.8 },
  { times: 1.19, gain: 0.35, rings: 1.4 },
  { times: 1.5, gain: 0.2, rings: 1 },
  { times: 2, gain: 0.45, rings: 1 },
  { times: 3.01, gain: 0.2, rings: 0.5 },
] as const;
/** High enough to be heard beside a pump, low enough for ears that are no longer young. */
const STRIKE_HZ = 880;
/** Three strokes, s. */
const STROKES = { alarm: [0, 0.42, 0.84], chime: [0] } as const;

let context: AudioContext | undefined;

/** Whether somebody touched this page: before, a browser lets it make no sound. */
const touched = (): boolean => navigator.userActivation?.hasBeenActive ?? true;

/** needs-touch: the browser wants the screen touched first; none: it makes no sound at all. */
export type Tone = "struck" | "needs-touch" | "none";

export const makesTones = (): boolean => typeof AudioContext !== "undefined";

/** Makes the sound free: browsers let a page sound only after it was touched. @returns whether it is */
async function freeTone(): Promise<boolean> {
  if (typeof AudioContext === "undefined" || !touched()) return false;
  context ??= new AudioContext();
  if (context.state !== "running")
    // Untouched, some browsers neither free it nor say so.
    await Promise.race([
      context.resume().catch(() => undefined),
      new Promise((over) => setTimeout(over, 400)),
    ]);
  return context.state === "running";
}

/** Strikes the bell. @returns whether it was heard, and why not */
export async function strike(how: keyof typeof STROKES): Promise<Tone> {
  if (!(await freeTone()) || context === undefined) return touched() ? "none" : "needs-touch";
  const out = context.createDynamicsCompressor();
  out.connect(context.destination);
  for (const after of STROKES[how]) strokeAt(context, out, context.currentTime + 0.02 + after);
  return "struck";
}

function strokeAt(audio: AudioContext, out: AudioNode, at: number): void {
  for (const { times, gain, rings } of PARTIALS) {
    const partial = audio.createOscillator();
    const loud = audio.createGain();
    partial.frequency.value = STRIKE_HZ * times;
    loud.gain.setValueAtTime(0, at);
    loud.gain.linearRampToValueAtTime(gain, at + 0.004);
    loud.gain.exponentialRampToValueAtTime(0.0005, at + rings);
    partial.connect(loud).connect(out);
    partial.start(at);
    partial.stop(at + rings);
  }
}
