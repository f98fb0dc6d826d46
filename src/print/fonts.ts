import { createRequire } from "node:module";
import { Font } from "@react-pdf/renderer";

const file = (path: string) => createRequire(`${process.cwd()}/package.json`).resolve(`@fontsource/${path}`);
const LATIN = "atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin";

/** The fonts of the screen, and one that has the letters and signs of physics which they lack. */
export const SANS = ["Sans", "Signs"];
export const PLATE = ["Plate", "Signs"];

let registered = false;

/** Told once to the process that prints. */
export function registerFonts(): void {
  if (registered) return;
  registered = true;
  Font.register({
    family: "Sans",
    fonts: [
      { src: file(`${LATIN}-400-normal.woff`), fontWeight: 400 },
      { src: file(`${LATIN}-700-normal.woff`), fontWeight: 700 },
    ],
  });
  Font.register({
    family: "Plate",
    fonts: [
      { src: file("barlow-condensed/files/barlow-condensed-latin-600-normal.woff"), fontWeight: 400 },
      { src: file("barlow-condensed/files/barlow-condensed-latin-600-normal.woff"), fontWeight: 700 },
    ],
  });
  const signs = file("noto-sans-math/files/noto-sans-math-latin-400-normal.woff");
  Font.register({
    family: "Signs",
    fonts: [
      { src: signs, fontWeight: 400 },
      { src: signs, fontWeight: 700 },
    ],
  });
  // A word is never cut: a tag or a figure with a hyphen in it would be another one.
  Font.registerHyphenationCallback((word) => [word]);
}
