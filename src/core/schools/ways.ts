import { type AnyWay, type ChosenWay, type Sheet, TOPICS, type Topic, type WayOf } from "../formats";
import { cleaning } from "./cleaning";
import { freeing } from "./freeing";
import { gasket } from "./gasket";
import { lubricant } from "./lubricant";
import type { Offer, School, Site } from "./school";
import { threads } from "./threads";

/** Every topic with its rule: one without does not compile. */
const SCHOOLS: { readonly [T in Topic]: School<T> } = { gasket, freeing, cleaning, lubricant, threads };

const schoolOf = (topic: Topic) => SCHOOLS[topic] as School<Topic>;

/** The topics that arise in a job, each with the usual way and why, and the ways there are. */
export const schoolOffers = (site: Site): Offer[] =>
  TOPICS.flatMap((topic) => {
    const offer = schoolOf(topic).offer(site);
    return offer === undefined ? [] : [{ topic, ...offer }];
  });

/** The way chosen for a topic where it is not the usual one. */
export function otherWay<T extends Topic>(
  chosen: readonly ChosenWay[] | undefined,
  topic: T,
): { readonly way: WayOf<T>; readonly usual: WayOf<T>; readonly why: string } | undefined {
  const choice = chosen?.find((each) => each.topic === topic);
  if (choice?.why === undefined || choice.way === choice.usual) return undefined;
  return { way: choice.way as WayOf<T>, usual: choice.usual as WayOf<T>, why: choice.why };
}

/** What greases and pastes go by: those that nothing is done with need not come along. */
const CHOSEN_BETWEEN: ReadonlySet<Sheet["supplies"][number]["base"]> = new Set([
  "silicone",
  "food-grade",
  "metallic",
]);

/** The sheet as it is worked by these ways. The usual ones change nothing but that what they do not use stays at home. */
export function withWays(sheet: Sheet, chosen: readonly ChosenWay[] | undefined): Sheet {
  if (chosen === undefined) return sheet;
  const worked = TOPICS.reduce((now, topic) => {
    const other = otherWay(chosen, topic);
    return other === undefined ? now : schoolOf(topic).worked(now, other.way as AnyWay, other.why);
  }, sheet);
  const used = usedIn(worked);
  const supplies = worked.supplies.filter(({ id, base }) => used.has(id) || !CHOSEN_BETWEEN.has(base));
  return supplies.length === worked.supplies.length ? worked : { ...worked, supplies };
}

const usedIn = ({ parts, tasks = [] }: Sheet): ReadonlySet<string> =>
  new Set([
    ...parts.flatMap(({ fit }) => [
      ...(fit?.surface?.kind === "lubricate" ? [fit.surface.with] : []),
      ...(fit?.thread !== undefined && fit.thread.kind !== "dry" ? [fit.thread.with] : []),
    ]),
    ...tasks.flatMap((task) => task.with ?? []),
  ]);
