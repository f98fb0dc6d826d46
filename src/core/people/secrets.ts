/** Why a password or a PIN is not taken; each can be put right at its field. */
export type SecretFault =
  | { readonly kind: "too-short"; readonly least: number }
  | { readonly kind: "too-long"; readonly most: number }
  | { readonly kind: "is-the-name" }
  | { readonly kind: "too-even" }
  | { readonly kind: "figures-only"; readonly least: number; readonly most: number };

/** A phrase of three words is longer. */
const SHORTEST = 10;
/** What is longer is hashed no better. */
const LONGEST = 200;
/** Fewer different signs than this are guessed at once. */
const LEAST_SIGNS = 5;

const plain = (text: string) => text.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, "");

/** What is wrong with a password that somebody chose. */
export function passwordFault(password: string, name: string): SecretFault | undefined {
  if (password.length < SHORTEST) return { kind: "too-short", least: SHORTEST };
  if (password.length > LONGEST) return { kind: "too-long", most: LONGEST };
  if (plain(name) !== "" && plain(password).replaceAll(plain(name), "").length < LEAST_SIGNS)
    return { kind: "is-the-name" };
  return new Set(password.toLowerCase()).size < LEAST_SIGNS ? { kind: "too-even" } : undefined;
}

const PIN_LEAST = 4;
const PIN_MOST = 8;

/** What is wrong with a PIN: it is typed with gloves on, on a device somebody signed in on before. */
export function pinFault(pin: string): SecretFault | undefined {
  if (!/^\d+$/.test(pin) || pin.length < PIN_LEAST || pin.length > PIN_MOST)
    return { kind: "figures-only", least: PIN_LEAST, most: PIN_MOST };
  const steps = new Set([...pin].slice(1).map((figure, index) => Number(figure) - Number(pin[index])));
  // 0000, 1234, 8765.
  const [step] = steps;
  return steps.size === 1 && Math.abs(step!) <= 1 ? { kind: "too-even" } : undefined;
}

/** Letters and figures that are not taken for one another when they are read out or typed. */
const SIGNS = "23456789ABCDEFGHJKMNPQRSTVWXYZ";

/**
 * A code that is told or written down: ten signs, about 49 bits.
 *
 * @param bytes random, one for each sign; what would make some signs likelier than others is passed over
 */
export function codeOf(bytes: Iterable<number>): string {
  const fair = 256 - (256 % SIGNS.length);
  const signs: string[] = [];
  for (const byte of bytes) if (byte < fair && signs.length < 10) signs.push(SIGNS[byte % SIGNS.length]!);
  return `${signs.slice(0, 5).join("")}-${signs.slice(5).join("")}`;
}

/** A code as it is compared: however it was typed. */
export const plainCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^0-9A-Z]/g, "");
