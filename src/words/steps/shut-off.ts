import type { StepOf } from "@/core/job";
import { formatDuration } from "@/core/quantity";
import { actWhy, closureWhy, isolationMessage, namedLink } from "../isolation";
import { iceBelow } from "../media";
import { movesCues } from "../moved";
import { figure, quantity, type Speaker } from "../speaker";
import type { Phrases, StepWords } from "./phrases";

const litres = (speaker: Speaker, volume_L: number) => quantity(speaker, volume_L / 1000, "volume");

/** Less than this staying in a section is nobody's concern, L. */
const WORTH_SAYING_L = 5;

/** Less than this is out before anybody looks at a watch, L. */
const WORTH_TIMING_L = 1;

/** Before the work: made ready, told, shut, let out, proven. */
export const SHUTTING_OFF = {
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
  notify: ({ say }, { hydrants, zones, others, itself, coldAlone = [], told = [] }) => {
    const { fire, users, cold, why, whyZones, whyUsers, ask, call } = say.steps.notify;
    const out = [...hydrants, ...zones, ...others, ...itself];
    const title = hydrants.length + zones.length + itself.length > 0 ? fire : users;
    return {
      title: [
        ...(out.length > 0 ? [title(say.common.and(out))] : []),
        ...(coldAlone.length > 0 ? [cold(say.common.and(coldAlone))] : []),
      ].join(" "),
      why: hydrants.length > 0 ? why : zones.length > 0 ? whyZones : whyUsers,
      ...(told.length > 0 && { cues: told.map(call) }),
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
        runs_L < WORTH_TIMING_L ? words.little : words.lowest(formatDuration(takes_min * 60)),
        vent === undefined ? "" : words.airIn(vent),
        stays_L > WORTH_SAYING_L ? words.stays(litres(speaker, stays_L)) : "",
      ].join(""),
      cues: runs_L < WORTH_TIMING_L ? [] : [litres(speaker, runs_L)],
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
  release: (speaker, { do: title, withPower, runs_L }) => {
    const words = speaker.say.steps.release;
    return {
      title,
      why: words.why + (withPower === true ? words.withPower : ""),
      cues: runs_L === undefined ? [] : [words.runsOut(litres(speaker, runs_L))],
    };
  },
  "liquid-out": (speaker, { name, above_bar }) => {
    const words = speaker.say.steps.liquidOut;
    return {
      title: words.title(name),
      why: words.why(figure(speaker, above_bar, "bar g"), iceBelow(speaker)),
      ask: words.ask,
    };
  },
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
  away: ({ say }, { where }) => ({ title: say.steps.away.title[where], why: say.steps.away.why }),
} satisfies Partial<Phrases>;

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
