/** What none of the fonts has is written as one would on paper: 1 7/8 in, CO2, 10^-5. */
const FRACTION = /(\d?)([¼½¾⅐-⅞])/g;
const LOWERED = /[₀-₉]/g;
const RAISED = /[⁰⁴-⁹⁺⁻]+/g;

export const printable = (text: string): string =>
  text
    .replaceAll(
      FRACTION,
      (_, before: string, sign: string) =>
        `${before}${before === "" ? "" : " "}${sign.normalize("NFKC").replace("⁄", "/")}`,
    )
    .replaceAll(LOWERED, (sign) => sign.normalize("NFKC"))
    .replaceAll(RAISED, (signs) => `^${signs.normalize("NFKC").replaceAll("−", "-")}`);
