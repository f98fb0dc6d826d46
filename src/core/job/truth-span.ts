import type { Act, Truth, World } from "../world";

/** What a card asks for, one act after the other. */
type CardActs = readonly Act[];

const turns = (act: Act, link: string): boolean =>
  (act.do === "shut" || act.do === "open") && act.link === link;
const reads = (act: Act): boolean => act.do === "read-zero" || act.do === "read-above";
const opens = (act: Act): boolean => act.do === "crack" || act.do === "take-off";

/**
 * The first card at which a truth can make any difference: until then all goes as everybody believes it to go.
 *
 * @returns its place; as many as there are cards where it never does
 */
export function beginsAt(truth: Truth, cards: readonly CardActs[], atFirst: World): number {
  const first = (matters: (act: Act) => boolean): number => {
    const at = cards.findIndex((acts) => acts.some(matters));
    return at === -1 ? cards.length : at;
  };
  switch (truth.kind) {
    case "none":
    case "found-at":
      return 0;
    case "passes":
      // What stands shut from the first lets through from the first.
      return atFirst.stands(truth.link) ? first((act) => turns(act, truth.link)) : 0;
    case "gauge-reads-low":
      return first(reads);
    case "caught":
      return first(opens);
    case "store-lacks":
      return first((act) => act.do === "bring" && act.parts.includes(truth.part));
    case "stopped-at":
      return cards.length;
  }
}

/** The first card from which on a truth makes no difference any more, whatever it has made until then. */
export function spentAt(truth: Truth, cards: readonly CardActs[]): number {
  const behind = (matters: (act: Act) => boolean): number =>
    cards.findLastIndex((acts) => acts.some(matters)) + 1;
  switch (truth.kind) {
    case "none":
      return cards.length;
    case "passes": {
      // Only an opening ends it: one that is left shut lets through to the end.
      const turned = cards.flat().filter((act) => turns(act, truth.link));
      return turned.at(-1)?.do === "open"
        ? behind((act) => turns(act, truth.link) || act.do === "others-open")
        : cards.length;
    }
    case "gauge-reads-low":
      return behind(reads);
    case "caught":
      return behind(opens);
    case "store-lacks":
      return behind((act) => act.do === "bring");
    case "found-at":
    case "stopped-at":
      return 0;
  }
}
