import { actWhy, namedLink } from "../isolation";
import { iceBelow } from "../media";
import { movedWords, movesCues } from "../moved";
import { figure } from "../speaker";
import { type Phrases, placed } from "./phrases";

/** Afterwards: what brings it live again, tested, told, signed. */
export const BRINGING_BACK = {
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
  "second-signature": ({ say }, { why }) => ({ title: say.steps.secondSignature.title, why }),
  "sign-off": ({ say }, { notYet = [] }) => ({
    ...say.steps.signOff,
    cues: notYet.map(({ name, valve }) => say.steps.notYet(name, valve)),
  }),
} satisfies Partial<Phrases>;
