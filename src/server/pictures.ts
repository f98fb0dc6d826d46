import sharp from "sharp";

/** Largest side that is kept, px: a terminal block can be read, and a hundred of them fit a small disk. */
const MOST_PX = 2000;
/** A picture may unfold to no more than this many pixels, so that a small file cannot fill the memory. */
const MOST_PIXELS = 50_000_000;

const PHOTOGRAPHS: ReadonlySet<string> = new Set(["jpeg", "png", "webp"]);

export interface Picture {
  readonly bytes: Buffer;
  readonly width: number;
  readonly height: number;
}

/**
 * A photograph turned upright and made anew, so that place, time and device that the camera wrote into it are gone;
 * nothing when it is none.
 */
export async function cleaned(bytes: Uint8Array): Promise<Picture | undefined> {
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS });
    // By what it is, not by what it is called: drawings and moving pictures are no photographs.
    if (!PHOTOGRAPHS.has((await picture.metadata()).format)) return undefined;
    const { data, info } = await picture
      .rotate()
      .resize({ width: MOST_PX, height: MOST_PX, fit: "inside", withoutEnlargement: true })
      .jpeg({ quality: 80 })
      .toBuffer({ resolveWithObject: true });
    return { bytes: data, width: info.width, height: info.height };
  } catch {
    return undefined;
  }
}
