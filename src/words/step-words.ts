import type { Caution } from "@/core/formats";
import type { Doing, Noted, ProvePlace, Step, StepKind, StepOf } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { barredWords, dangerWords } from "./handling";
import { actWhy, closureWhy, isolationMessage, namedLink } from "./isolation";
import { renewalWhy } from "./kits";
import { iceBelow } from "./media";
import { movedWords, movesCues } from "./moved";
import { figure, quantity, type Speaker } from "./speaker";

/** What a card says. */
export interface StepWords {
  /** Plain imperative. */
  readonly title: string;
  readonly why: string;
  /** Short facts worth a chip. */
  readonly cues?: readonly string[];
  /** What is to be written down. */
  readonly ask?: string;
  /** What to do when a wait is over. */
  readonly afterwards?: string;
  /** Why nothing may go on. */
  readonly reason?: string;
}

type Phrases = { readonly [K in StepKind]: (speaker: Speaker, step: StepOf<K>) => StepWords };

const litres = (speaker: Speaker, volume_L: number) => quantity(speaker, volume_L / 1000, "volume");

/** Every kind of step in words: a kind without them does not compile. */
const PHRASES: Phrases = {
  check: ({ say }, { check, moves }) => ({
    title: check.do,
    why: check.why,
    cues: [...movesCues(say, moves), ...check.how],
  }),
  protect: ({ say }, { gear, competence }) => ({
    title: say.steps.protect.title(say.common.and(gear.map(say.common.within))),
    why: competence,
  }),
  kit: ({ say }, { renewals, picks, missing, days }) => {
    const words = say.steps.kit;
    if (renewals.length === 0) return { title: words.none, why: words.nothingRenewed };
    return {
      title: picks.length === 0 ? words.noStock : words.take(say.common.and(picks.map(({ name }) => name))),
      why: [words.covers, days > 0 && words.late(days), missing.length > 0 && words.someMissing]
        .filter((each) => each !== false)
        .join(""),
    };
  },
  tools: ({ say }) => say.steps.tools,
  permits: ({ say }, { permits }) => ({
    title: say.steps.permits.title(
      say.common.and(permits.map((each) => say.common.within(say.media.permits[each].title))),
    ),
    why: say.steps.permits.why,
    ask: say.steps.permits.ask,
  }),
  notify: ({ say }, { hydrants, zones, others, itself, coldAlone = [] }) => {
    const { fire, users, cold, why, whyZones, whyUsers, ask } = say.steps.notify;
    const out = [...hydrants, ...zones, ...others, ...itself];
    const title = hydrants.length + zones.length + itself.length > 0 ? fire : users;
    return {
      title: [
        ...(out.length > 0 ? [title(say.common.and(out))] : []),
        ...(coldAlone.length > 0 ? [cold(say.common.and(coldAlone))] : []),
      ].join(" "),
      why: hydrants.length > 0 ? why : zones.length > 0 ? whyZones : whyUsers,
      ask,
    };
  },
  live: ({ say }, { medium, says }) => ({
    title: say.steps.live.title(say.media.names[medium]),
    why: says,
  }),
  "shut-by-hand": ({ say }, { says }) => ({
    title: say.steps.shutByHand.title,
    why: says,
    ask: say.steps.shutByHand.ask,
  }),
  blocked: (speaker, { why }) => {
    const words = speaker.say.steps.blocked;
    if (why.kind === "no-isolation")
      return {
        title: words.noIsolation,
        why: words.noIsolationWhy,
        reason: isolationMessage(speaker, why.failure),
      };
    const medium = speaker.say.media.names[why.medium];
    return {
      title: words.noRelease(medium),
      why: words.noReleaseWhy,
      reason: words.noReleaseReason(medium),
    };
  },
  shut: shutWords,
  "stop-pump": (speaker, { name, why }) => ({
    title: speaker.say.steps.stopPump.title(name),
    why: actWhy(speaker, why),
  }),
  "pump-out": ({ say }, { name }) => ({
    title: say.steps.pumpOut.title(name),
    why: `${say.isolation.why.stillDrawnDown} ${say.steps.pumpOut.why}`,
    ask: say.steps.pumpOut.ask,
  }),
  "open-bleed": ({ say }, { name, between }) => ({
    title: say.steps.openBleed.title(name),
    why: say.isolation.why.bleedsBetween(say.common.and(between)),
  }),
  drain: (speaker, { name, runs_L, stays_L, takes_min, vent }) => {
    const words = speaker.say.steps.drain;
    return {
      title: words.title(name),
      why: [
        words.lowest(formatDuration(takes_min * 60)),
        vent === undefined ? "" : words.airIn(vent),
        stays_L > WORTH_SAYING_L ? words.stays(litres(speaker, stays_L)) : "",
      ].join(""),
      cues: [litres(speaker, runs_L)],
    };
  },
  "drain-at-valve": (speaker, { volume_L }) => ({
    title: speaker.say.steps.drainAtValve.title,
    why: speaker.say.steps.drainAtValve.why(litres(speaker, volume_L)),
  }),
  discharge: (speaker, { minutes, of }) => {
    const words = speaker.say.steps.discharge;
    return {
      title: words.title(minutes),
      why: words.why,
      cues: of.map(({ says, wait_min }) => words.each(figure(speaker, wait_min, "min"), says)),
      afterwards: words.afterwards,
    };
  },
  stored: ({ say }) => say.steps.stored,
  dead: ({ say }, { name }) => ({
    title: say.steps.dead.title(name),
    why: say.isolation.prove.tester,
    ask: say.steps.dead.ask,
  }),
  release: ({ say }, { do: title, withPower }) => ({
    title,
    why: say.steps.release.why + (withPower === true ? say.steps.release.withPower : ""),
  }),
  "liquid-out": (speaker, { name, above_bar }) => {
    const words = speaker.say.steps.liquidOut;
    return {
      title: words.title(name),
      why: words.why(figure(speaker, above_bar, "bar g"), iceBelow(speaker)),
      ask: words.ask,
    };
  },
  evacuate: ({ say }, { medium, where }) => {
    const words = say.steps.evacuate;
    return {
      title: placed(where, words),
      why: medium === "ammonia" || medium === "co2" ? words.why[medium] : words.other,
      ask: words.ask,
    };
  },
  charge: (speaker, { medium, where, above_bar }) => {
    const words = speaker.say.steps.charge;
    return {
      title: placed(where, words),
      why: medium === "co2" ? words.why.co2(iceBelow(speaker)) : words.why.other,
      cues: [words.until(figure(speaker, above_bar, "bar g"))],
    };
  },
  gate: (speaker, { where, above_bar }) => {
    const words = speaker.say.steps.gate;
    return {
      title: placed(where, words),
      why: words.why,
      cues: [words.least(figure(speaker, above_bar, "bar g"))],
    };
  },
  away: ({ say }, { where }) => ({ title: say.steps.away.title[where], why: say.steps.away.why }),
  untested: ({ say }, { checks }) => ({
    title: say.steps.untested.title,
    why: say.steps.untested.why,
    cues: [...checks],
  }),
  others: (speaker, { when, held }) => {
    const words = speaker.say.steps.others;
    const and = speaker.say.common.and;
    const jobs = [...new Set(held.map((each) => each.valve))];
    return { title: words.title(and(jobs)), why: words[when] };
  },
  "put-back": ({ say }, { moved }) => ({
    title: say.steps.putBack.title(
      say.common.and(movedWords(say.common.and, moved, say.steps.putBack.moved)),
    ),
    why: say.steps.putBack.why,
  }),
  gauge: ({ say }, { again, where, onLine, openAfter }) => {
    const words = say.steps.gauge;
    if (again)
      return {
        title: words.again,
        why: `${onLine ? words.climbedOnLine : words.climbed}${openAfter.length === 0 ? "" : words.openAgain(say.common.and(openAfter.map(({ name }) => name)))}`,
      };
    return where.kind === "said"
      ? { title: words.first(where.at), why: where.fit }
      : { title: words.at(where.name), why: words.fit[where.how](where.name) };
  },
  hold: ({ say }, { minutes, where, shutFirst }) => {
    const words = say.steps.hold;
    return {
      title:
        shutFirst.length === 0
          ? words.title(minutes)
          : words.shutFirst(say.common.and(shutFirst.map(({ name }) => name)), minutes),
      why: words.why,
      afterwards: where.kind === "said" ? words.afterwards(where.at) : words.afterwardsAt(where.name),
    };
  },
  mark: (speaker, { about, right }) => ({
    title: notedAsk(speaker, about),
    why: [
      notedWhy(speaker, about),
      ...(right === undefined ? [] : [speaker.say.steps.mark.wrong(right)]),
    ].join(" "),
  }),
  confirm: (speaker, { about, noted, right }) => ({
    title: speaker.say.steps.confirm.title(notedAsk(speaker, about)),
    why: right === undefined ? notedWhy(speaker, about) : speaker.say.steps.confirm.putRight(noted, right),
  }),
  position: ({ say }, step) => {
    const words = say.steps.position;
    const why = {
      "taking-off": words.takingOff(step.name),
      "putting-in": words.puttingIn,
      "the-end": words.theEnd(step.name),
    };
    return { title: step.do, why: why[step.for] };
  },
  "ask-twice": (speaker, { next }) => ({
    title: speaker.say.steps.askTwice.title,
    why: speaker.say.steps.askTwice.why(doingWords(speaker, next)),
  }),
  crack: ({ say }, { bolts, of, stay, stayAt = "opposite", joint = say.steps.crack.joint }) => {
    const words = say.steps.crack;
    return {
      title: words.title(bolts, of, of - stay, joint, words.stayAt[stayAt](stay)),
      why: words.why,
      cues: [words.cue(stay)],
    };
  },
  strip: stripWords,
  task: ({ say }, { do: title, why, moves, count }) => ({
    title,
    why,
    cues: [
      ...movesCues(say, moves),
      ...(count === undefined ? [] : [say.steps.task.most(count.what, count.most)]),
      ...(count?.before === undefined ? [] : [say.steps.task.before(count.what, count.before)]),
    ],
  }),
  soak: (speaker, { minutes, why, most_min }) => ({
    title: speaker.say.steps.soak.title(minutes),
    why,
    cues: most_min === undefined ? [] : [speaker.say.steps.soak.noLonger(figure(speaker, most_min, "min"))],
    afterwards: speaker.say.steps.soak.afterwards,
  }),
  fit: (speaker, { do: title, why, renewal, count }) => {
    const { fit, strip } = speaker.say.steps;
    return {
      title,
      why: renewal === undefined ? (why ?? fit.goesBack) : fit.renewed(renewalWhy(speaker, renewal)),
      cues: count > 1 ? [strip.count(count)] : [],
    };
  },
  "tighten-one": ({ say }, { name, waitedFor }) => ({
    title: say.steps.tightenOne.title(name),
    why: say.steps.tightenOne.why(waitedFor),
  }),
  tighten: ({ say }, { name, passes, waitedFor, size }) => ({
    title: say.steps.tighten.title(name, passes.length),
    why: waitedFor === undefined ? say.steps.tighten.evenly : say.steps.tighten.waitedFor(waitedFor),
    cues: [say.common.commas(size)],
  }),
  tray: ({ say }) => say.steps.tray,
  cure: (speaker, { parts }) => {
    const words = speaker.say.steps.cure;
    return {
      title: words.title,
      why: words.why,
      cues: parts.map(({ name, cure_min }) => words.each(name, figure(speaker, cure_min, "min"))),
      afterwards: words.afterwards,
    };
  },
  ready: ({ say }, { do: title, why, moves }) => ({ title, why, cues: movesCues(say, moves) }),
  "shut-point": (speaker, { point, name, why, capped }) => ({
    title: speaker.say.steps.shutPoint[capped === true ? "capped" : point](name),
    why: actWhy(speaker, why),
  }),
  bypass: (speaker, { link, name, how, why, turns, where }) => {
    const words = speaker.say.steps.bypass;
    return {
      title: words[how](namedLink(speaker, link, name)),
      why: actWhy(speaker, why),
      cues: [
        ...(turns === undefined ? [] : [speaker.say.steps.open.turns(turns)]),
        ...(where === undefined ? [] : [where]),
      ],
    };
  },
  "start-pump": (speaker, { name, why }) => ({
    title: speaker.say.steps.startPump.title(name),
    why: actWhy(speaker, why),
  }),
  open: (speaker, { link, name, how, why, lock, turns, capped, warm_min }) => {
    const words = speaker.say.steps.open;
    return {
      title: (warm_min === undefined ? words[how] : words.warm)(
        how === "turn-back" || how === "leave-stem" ? name : namedLink(speaker, link, name),
      ),
      why: actWhy(speaker, why),
      cues: [
        ...(warm_min === undefined ? [] : [words.warmCue(figure(speaker, warm_min, "min"))]),
        ...(capped === true ? [words.capOn] : []),
        ...(lock ? [words.lock(lock)] : []),
        ...(turns !== undefined && how === "open" ? [words.turns(turns)] : []),
      ],
    };
  },
  "open-by-hand": ({ say }, { wrote, flow }) => {
    const words = say.steps.openByHand;
    return {
      title: flow === undefined ? words.title : words.flow(say.media.flows[flow]),
      why: words.wrote(wrote ?? words.nothing),
      ask: words.ask,
    };
  },
  tell: ({ say }, { names }) => ({
    title: say.steps.tell.title(say.common.and(names), names.length > 1),
    why: say.steps.tell.why,
    ask: say.steps.tell.ask,
  }),
  tag: ({ say }, { says }) => ({ title: says, why: say.steps.tag.why }),
  "sign-off": ({ say }, { notYet = [] }) => ({
    ...say.steps.signOff,
    cues: notYet.map(({ name, valve }) => say.steps.notYet(name, valve)),
  }),
};

/** At a place of the line by its name, at the valve in the sheet's words. */
const placed = (
  where: ProvePlace,
  words: { readonly title: (where: string) => string; readonly at: (name: string) => string },
): string => (where.kind === "said" ? words.title(where.at) : words.at(where.name));

/** Less than this staying in a section is nobody's concern, L. */
const WORTH_SAYING_L = 5;

/** What a card says to whoever reads it. */
export const stepWords = (speaker: Speaker, step: Step): StepWords =>
  (PHRASES[step.kind] as (speaker: Speaker, step: Step) => StepWords)(speaker, step);

export const stepTitle = (speaker: Speaker, step: Step): string => stepWords(speaker, step).title;

/** What can happen at a card, and the tools that would harm. */
export const stepDangers = (
  speaker: Speaker,
  { dangers, forbidden }: Step,
): { cautions: Caution[]; barred: { tool: string; why: string }[] } => ({
  cautions: dangers.map((danger) => dangerWords(speaker, danger)),
  barred: forbidden.map((each) => barredWords(speaker, each)),
});

function shutWords(speaker: Speaker, { link, name, lockable, turns, by }: StepOf<"shut">): StepWords {
  const { say } = speaker;
  const words = say.steps.shut;
  const named = namedLink(speaker, link, name);
  switch (by.kind) {
    case "closure": {
      const { medium, standsShut, outer, confined, why, now, heldFor } = by;
      const title = standsShut ? words.check : medium === "electricity" ? words.switchOff : words.shut;
      return {
        title: title(named),
        why: `${closureWhy(speaker, { medium, barrier: outer ? "outer" : "inner", lockable, why })} ${actWhy(speaker, now)}`.trim(),
        cues: [
          ...(turns === undefined ? [] : [words.turns(turns)]),
          ...(heldFor === undefined ? [] : [words.heldFor(heldFor)]),
          ...(outer ? [words.second] : []),
          ...(confined ? [words.confined] : []),
        ],
      };
    }
    case "turning":
      return {
        title: by.stands === true ? words.standsSo(name, by.to) : words.turn(name, by.to),
        why:
          by.stands === true ? say.isolation.turnsOff : `${say.isolation.turnsOff} ${words.stood(by.from)}`,
        cues: by.capped === true ? [words.capOff] : [],
      };
    case "shut-before":
      return { title: words.shut(named), why: by.passes ? words.passes : words.before };
  }
}

/** What is done at a strip step. */
export const doingWords = ({ say }: Speaker, doing: Doing): string =>
  doing.kind === "said" ? doing.says : say.steps.strip.lastOut(doing.stay, doing.name);

function stripWords(speaker: Speaker, step: StepOf<"strip">): StepWords {
  const { say } = speaker;
  const words = say.steps.strip;
  const { why, keep, renewal, count, marks, fastener } = step;
  const reason = {
    said: why.kind === "said" ? why.says : "",
    holds: why.kind === "holds" ? words.holds(say.common.and(why.parts.map(say.common.within))) : "",
    "came-for-it": words.cameForIt,
    "to-be-renewed-or-seen": words.toBeSeen,
  };
  return {
    title: doingWords(speaker, step.does),
    why: [
      reason[why.kind],
      keep !== undefined && words.keep(keep),
      renewal !== undefined && words.renewed(renewalWhy(speaker, renewal)),
    ]
      .filter((each) => each !== false)
      .join(" "),
    cues: [
      ...(count > 1 ? [words.count(count)] : []),
      ...(marks === undefined ? [] : [words.marks(marks)]),
      ...(fastener === undefined ? [] : [words.fastener(fastener.thread, fastener.drive)]),
    ],
  };
}

/** What is noted, as a question. */
export function notedAsk({ say }: Speaker, about: Noted): string {
  if (about.kind === "said") return about.ask;
  const name = [about.colour, about.name].filter((each) => each !== undefined).join(" ");
  return say.steps.mark.where(say.common.within(name));
}

export function notedWhy({ say }: Speaker, about: Noted): string {
  if (about.kind === "said") return about.why;
  const words = say.steps.mark;
  return about.free ? words.free : about.end === "hose" ? words.port : words.terminal;
}
