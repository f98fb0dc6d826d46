import { type Look, type Trouble, UNKNOWN } from "@/core/formats";
import type { Outlook, Way } from "@/core/trouble";
import type { Speaker } from "../speaker";
import { answerWords, causeName, endTitle, inHundred, minutesWords } from "../trouble";
import type { PaperBlock, PaperRow } from "./paper";

/** What a page for the customer is made of. */
export interface TroubleTold {
  readonly knowledge: Trouble;
  readonly outlook: Outlook;
  /** What was answered, by look. */
  readonly answers: ReadonlyMap<string, string>;
  /** Names of what goes in new, where it is a job. */
  readonly parts: readonly string[];
  /** It was done, and works again. */
  readonly done: boolean;
}

/** Above this nobody doubts it any more; above that it is the likeliest by far. */
const SURE = 0.9;
const LIKELY = 0.5;

/** What we think, what was looked at, what we do, what it takes, what else it may come to: for whoever it belongs to. */
export function troubleBlocks(words: Speaker, told: TroubleTold): PaperBlock[] {
  const { customer: say } = words.say.trouble;
  const { knowledge, outlook } = told;
  const end = knowledge.ends.find(({ id }) => id === outlook.will.end);
  return [
    ...(end?.cannotWait === undefined
      ? []
      : [
          {
            kind: "rows" as const,
            title: say.wait,
            none: "",
            rows: end.cannotWait.map((act): PaperRow => ({ says: [act], strong: true })),
          },
        ]),
    ...(told.done ? [] : [think(words, told)]),
    {
      kind: "rows",
      title: say.looked,
      none: say.noLook,
      rows: knowledge.looks.flatMap((look) => lookedAt(look, told.answers.get(look.id))),
    },
    { kind: "rows", title: told.done ? say.did : say.will, none: "", rows: [willDo(words, told)] },
    ...(told.done ? [] : [otherwise(words, told)]),
    { kind: "text", tone: "wait", says: [`${say.worse} ${say.decides}`] },
    ...(knowledge.demonstration
      ? [{ kind: "text" as const, tone: "plain" as const, says: [say.demonstration] }]
      : []),
  ];
}

function think(words: Speaker, { knowledge, outlook }: TroubleTold): PaperBlock {
  const { customer: say } = words.say.trouble;
  return {
    kind: "rows",
    title: say.think,
    none: "",
    rows: outlook.think.map(({ cause, chance }): PaperRow => {
      const name = causeName(words, knowledge, cause);
      const how = chance >= SURE ? say.sure : chance >= LIKELY ? say.likely : say.possible;
      return { says: [how(name)], figure: say.inHundred(inHundred(words, chance)) };
    }),
  };
}

function otherwise(words: Speaker, { knowledge, outlook }: TroubleTold): PaperBlock {
  const { customer: say } = words.say.trouble;
  return {
    kind: "rows",
    title: say.otherwise,
    none: say.nothingElse,
    rows: outlook.otherwise.map((way) => ({
      says: [endTitle(words, knowledge, way.end)],
      small: [`${say.chance(inHundred(words, way.chance))}. ${takes(words, way)}`],
    })),
  };
}

/** What nobody could tell says nothing to a customer, either. */
const lookedAt = (look: Look, answer: string | undefined): PaperRow[] =>
  answer === undefined || answer === UNKNOWN
    ? []
    : [{ says: [look.ask], small: [answerWords(look, answer, "")] }];

function willDo(words: Speaker, { knowledge, outlook: { will }, parts }: TroubleTold): PaperRow {
  const { customer: say } = words.say.trouble;
  const end = knowledge.ends.find(({ id }) => id === will.end);
  return {
    says: [[endTitle(words, knowledge, will.end), end?.why].filter(Boolean).join(" ")],
    strong: true,
    small: [
      [takes(words, will), ...(parts.length > 0 ? [say.new(words.say.common.and([...parts]))] : [])].join(
        " ",
      ),
    ],
  };
}

function takes(words: Speaker, { minutes, outage_min }: Way): string {
  const { customer: say } = words.say.trouble;
  const without =
    outage_min === undefined
      ? say.unknownOutage
      : outage_min > 0
        ? say.outage(minutesWords(outage_min))
        : say.noOutage;
  return `${say.takes(minutesWords(minutes))}. ${without}`;
}
