import type { PlanChange, Step } from "@/core/job";
import { renewalWhy } from "./kits";
import type { Speaker } from "./speaker";
import { stepTitle } from "./step-words";

/** What a finding did to the plan, sentence by sentence. */
export function changeWords(speaker: Speaker, change: PlanChange): string[] {
  const { say } = speaker;
  const words = say.entries.change;
  const list = (names: readonly string[]) => say.common.and(names.map(say.common.within));
  const found = change.renewed.filter((each) => each.because !== "spoiled");
  const spoiled = change.renewed.filter((each) => each.because === "spoiled");
  const [first] = found;
  const { kit } = change;
  return [
    first &&
      words.renew(list(found.map((each) => each.name)), say.common.lowerFirst(renewalWhy(speaker, first))),
    spoiled.length > 0 && words.spoils(list(spoiled.map((each) => each.name))),
    change.deeper.length > 0 && words.deeper(list(change.deeper)),
    ...(kit === undefined ? [] : missingWords(speaker, kit.missing)),
    kit !== undefined &&
      kit.missing.length === 0 &&
      kit.picks.length > 0 &&
      words.hasIt(
        say.common.and(kit.picks.map(({ name, place }) => words.at(name, place))),
        kit.picks.length > 1,
      ),
    kit !== undefined && kit.leftovers > 0 && words.leftOver(kit.leftovers),
    change.shut.length > 0 && words.shut(say.common.and(change.shut)),
    ...(change.noIsolationLeft
      ? [words.noIsolation]
      : [
          ...cardsWords(speaker, change.added, words.added),
          ...cardsWords(speaker, change.dropped, words.dropped),
        ]),
  ].filter((each) => typeof each === "string");
}

/** What no place has, and what lies there for something else. */
function missingWords({ say }: Speaker, missing: NonNullable<PlanChange["kit"]>["missing"]): string[] {
  const words = say.entries.change;
  const named = (some: typeof missing) => say.common.and(some.map(({ name }) => say.common.within(name)));
  const none = missing.filter(({ promised }) => promised === undefined);
  const others = missing.filter(({ promised }) => promised !== undefined);
  const where = others.flatMap(({ promised = [] }) =>
    promised.map((each) => say.kits.promisedTo(each.name, each.place, each.for)),
  );
  return [
    ...(none.length > 0 ? [words.noStock(named(none))] : []),
    ...(others.length > 0 ? [words.noFree(named(others), say.common.and([...new Set(where)]))] : []),
  ];
}

/** Kinds of card that say nothing new: what comes off, goes in or is shut besides was said by name. */
const SAID: ReadonlySet<Step["kind"]> = new Set([
  "strip",
  "crack",
  "fit",
  "tighten",
  "tighten-one",
  "position",
  "ask-twice",
  "shut",
  "open",
  "kit",
  "mark",
  "confirm",
]);
/** Cards that are named; more are counted. */
const MOST_NAMED = 2;

function cardsWords(
  speaker: Speaker,
  cards: readonly Step[],
  words: (titles: string, more: number) => string,
): string[] {
  const told = cards.filter(({ kind }) => !SAID.has(kind));
  if (told.length === 0) return [];
  const titles = told.slice(0, MOST_NAMED).map((step) => stepTitle(speaker, step).replace(/\.$/, ""));
  return [words(titles.join("; "), told.length - titles.length)];
}
