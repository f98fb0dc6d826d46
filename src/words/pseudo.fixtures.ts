import { english } from "./english";
import type { Language } from "./speaker";

/** Brackets round what comes from elsewhere: a sheet, a line, a name, a figure. Private use: no text has them. */
const [OPEN, SHUT] = ["\uE000", "\uE001"];
/** Letters of no language of ours; everything that is said by a language comes out in them. */
const strange = (text: string) =>
  text.replace(/[A-Za-z]/g, (letter) =>
    String.fromCodePoint(0x1_d504 + (letter.toLowerCase().codePointAt(0)! - 97)),
  );

const given = (value: unknown): unknown => {
  if (typeof value === "string") return `${OPEN}${value}${SHUT}`;
  if (Array.isArray(value)) return value.map(given);
  if (typeof value === "object" && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, given(each)]));
  return value;
};

/** What stands outside every bracket is the language's own; what stands inside goes through as it is. */
function translated(text: string): string {
  let depth = 0;
  let made = "";
  for (const letter of text) {
    if (letter === OPEN) depth++;
    else if (letter === SHUT) depth--;
    else made += depth === 0 ? strange(letter) : letter;
  }
  return made;
}

const said = (value: unknown): unknown => {
  if (typeof value === "string") return translated(value);
  if (typeof value === "function") return (...args: unknown[]) => said(value(...args.map(given)));
  if (typeof value === "object" && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, said(each)]));
  return value;
};

/** A language that nobody speaks: the same sentences, in letters of their own. */
export const pseudo = said(english) as Language;

/** What is left of a text when everything said in that language is taken out: what came from elsewhere. */
export const notSaid = (text: string): string => text.replace(/[\u{1D504}-\u{1D520}]/gu, "");
