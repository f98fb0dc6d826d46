import { strike, type Tone } from "./tone";

/** One page of a device sounds, or it would be an echo. */
const ONE_SOUNDS = "loftbell-sounds";
/** A long pull, a short one, a long one, ms. */
const SHAKE = { alarm: [500, 150, 200, 150, 500], chime: [200] };
/** As long as three strokes ring, ms. */
const RINGS_MS = 2600;
const AGAIN_MS = 250;

export type Manner = keyof typeof SHAKE;

/** Sounds and shakes once. */
export async function sound(how: Manner, tone: boolean): Promise<Tone | "silent"> {
  if (navigator.userActivation?.hasBeenActive !== false) navigator.vibrate?.(SHAKE[how]);
  return tone ? strike(how) : "silent";
}

/**
 * The same, unless another page of this device does it already.
 *
 * @param also done by the one page that does
 */
export async function soundAlone(
  how: Manner,
  tone: boolean,
  also: () => void,
): Promise<Tone | "silent" | "elsewhere"> {
  const ring = () => {
    also();
    return sound(how, tone);
  };
  if (navigator.locks === undefined) return ring();
  return new Promise((done) => {
    const ask = (last: boolean) =>
      void navigator.locks.request(ONE_SOUNDS, { ifAvailable: true }, async (mine) => {
        // One that makes no sound lets go at once.
        if (mine === null) return last ? done("elsewhere") : void setTimeout(ask, AGAIN_MS, true);
        const came = await ring();
        done(came);
        if (came === "struck") await new Promise((over) => setTimeout(over, RINGS_MS));
      });
    ask(false);
  });
}
