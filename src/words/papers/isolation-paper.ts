import type { Line } from "@/core/formats";
import type { IsolationPlan } from "@/core/isolation";
import { formatDuration } from "@/core/quantity";
import { actWhy, actWords, lockedWords, proveWords, storedAt, storedKind, storedWords } from "../isolation";
import { lostName } from "../lost";
import { quantity, type Speaker } from "../speaker";
import { type Drawn, listOf, type PaperBlock, type PaperRow } from "./paper";

type Act = IsolationPlan["shutting"][number];

/** Acts that a lock is set at. */
const LOCKED_ACTS: ReadonlySet<string> = new Set(["stop-pump", "switch-off", "shut", "turn", "hold-stem"]);
const isLocked = ({ kind }: Act): boolean => LOCKED_ACTS.has(kind);

const cell = (says: string, strong?: true): PaperRow => ({ says: [says], ...(strong && { strong }) });
export const columns = (titles: readonly string[], shares: readonly number[]) =>
  titles.map((title, at) => ({ title, share: shares[at]! }));

/** What is done, in words that name the second barrier. */
function actSays(words: Speaker, plan: IsolationPlan, act: Act): string {
  const says = actWords(words, act);
  const outer = plan.closures.some(({ link, barrier }) => link === act.id && barrier === "outer");
  return outer ? words.say.papers.isolation.second(says) : says;
}

/** The plan as rows to tick, with room for lock numbers, names and times. */
export function isolationBlocks(words: Speaker, line: Line, plan: IsolationPlan): PaperBlock[] {
  const said = words.say.papers.isolation;
  const cares = [...caresOf(words, plan), ...plan.permits.map((permit) => permitSays(words, permit))];
  return [
    {
      kind: "table",
      title: said.shut(plan.minutes),
      columns: columns(said.shutColumns, [5, 42, 24, 12, 17]),
      rows: plan.shutting.map((act, index) => [
        cell(String(index + 1)),
        cell(actSays(words, plan, act), true),
        cell(plan.closures.find(({ link }) => link === act.id)?.where ?? ""),
        cell(isLocked(act) ? "" : "—"),
        cell(""),
      ]),
    },
    proving(words, line, plan),
    ...(plan.lost.length === 0
      ? []
      : [
          listOf(
            said.lost,
            plan.lost.map((each) => `${lostName(words, each)}: ${said.told}`),
          ),
        ]),
    ...(cares.length === 0 ? [] : [listOf(said.care, cares)]),
    {
      kind: "table",
      title: said.back,
      columns: columns(said.backColumns, [5, 32, 48, 15]),
      rows: plan.restoring.map((act, index) => [
        cell(String(index + 1)),
        cell(actWords(words, act), true),
        cell(actWhy(words, act.why)),
        cell(""),
      ]),
    },
    { kind: "text", tone: "plain", says: [said.computed] },
  ];
}

function proving(words: Speaker, line: Line, plan: IsolationPlan): PaperBlock {
  const said = words.say.papers.isolation;
  const { drain } = plan.section;
  const name = (id: string) => line.nodes.find((node) => node.id === id)?.name ?? id;
  return {
    kind: "rows",
    title: said.prove,
    none: "",
    rows: [
      ...(drain === undefined
        ? []
        : [
            cell(
              said.drain(
                quantity(words, drain.runs_L / 1000, "volume"),
                name(drain.node),
                formatDuration(drain.minutes * 60),
              ),
            ),
          ]),
      ...plan.prove.map((point): PaperRow => ({ says: [proveWords(words, point)], small: [said.readings] })),
    ],
  };
}

const caresOf = (words: Speaker, plan: IsolationPlan): string[] => [
  ...plan.stored.map(
    (each) => `${storedAt(words, each)} (${storedKind(words, each)}): ${storedWords(words, each)}`,
  ),
  ...plan.locked
    .filter((piece) => !piece.untilDrained || piece.medium !== "water")
    .map((piece) => lockedWords(words, piece)),
];

function permitSays(words: Speaker, permit: IsolationPlan["permits"][number]): string {
  const { title, says } = words.say.media.permits[permit];
  return words.say.papers.isolation.permit(title, says);
}

/** Locks, permits and calls, each as a list to be filled in: they go with the sheet as one set. */
export function isolationSet(
  words: Speaker,
  line: Line,
  plan: IsolationPlan,
  section: Drawn = "section",
): PaperBlock[] {
  const { locks, permits, tell } = words.say.papers.isolation;
  const told = plan.lost.flatMap(({ node, name: lost }) => {
    const whom = line.nodes.find(({ id }) => id === node)?.tell;
    if (whom === undefined) return [];
    const { notice_days: days, ...contact } = whom;
    return [words.say.steps.notify.call({ ...contact, name: lost, ...(days !== undefined && { days }) })];
  });
  const locked = plan.shutting.filter(isLocked);
  return [
    ...isolationBlocks(words, line, plan),
    { kind: "page" },
    { kind: "drawing", title: words.say.papers.section, of: section },
    locked.length === 0
      ? listOf(locks.title, [], locks.none)
      : {
          kind: "table",
          title: locks.title,
          columns: columns(locks.columns, [36, 13, 18, 15, 18]),
          rows: locked.map((act) => [cell(actSays(words, plan, act), true)]),
        },
    { kind: "text", tone: "wait", says: [locks.says] },
    plan.permits.length === 0
      ? listOf(permits.title, [], permits.none)
      : {
          kind: "table",
          title: permits.title,
          columns: columns(permits.columns, [40, 12, 16, 16, 16]),
          rows: plan.permits.map((permit) => {
            const { title, says } = words.say.media.permits[permit];
            return [{ says: [title], strong: true, small: [says] }];
          }),
        },
    ...(told.length === 0
      ? []
      : [
          {
            kind: "table",
            title: tell.title,
            columns: columns(tell.columns, [46, 14, 20, 20]),
            rows: told.map((says) => [cell(says, true)]),
          } as const,
        ]),
  ];
}
