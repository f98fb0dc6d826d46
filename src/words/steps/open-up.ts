import type { Tool } from "@/core/formats";
import { type StepOf, staysAt } from "@/core/job";
import { renewalWhy } from "../kits";
import { movesCues } from "../moved";
import { armPull, figure, quantity, type Speaker } from "../speaker";
import type { Phrases, StepWords } from "./phrases";
import { doingWords, notedAsk, notedWhy } from "./said";

/** At the valve: noted, taken off, looked at, put in again. */
export const OPENING_UP = {
  mark: (speaker, { about, right }) => ({
    title: notedAsk(speaker, about),
    why: [
      notedWhy(speaker, about),
      ...(right === undefined ? [] : [speaker.say.steps.mark.wrong(right)]),
    ].join(" "),
  }),
  "other-build": ({ say }, { registered, found }) => {
    const words = say.steps.otherBuild;
    return { title: words.title(registered), why: words.why(found), cues: [words.cue] };
  },
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
  crack: ({ say }, { bolts, of, stay, stayAt, joint = say.steps.crack.joint }) => {
    const words = say.steps.crack;
    return {
      title: words.title(bolts, of, of - stay, joint, words.stayAt[staysAt({ of, stay, stayAt })](stay)),
      why: words.why,
      cues: [words.cue(stay)],
    };
  },
  strip: stripWords,
  blank: ({ say }, { how, header }) => ({
    title: say.steps.blank[how].title(header),
    why: say.steps.blank[how].why,
    cues: [say.steps.blank[how].cue],
  }),
  task: ({ say }, { do: title, why, moves, count, swing }) => ({
    title,
    why,
    cues: [
      ...movesCues(say, moves),
      ...(count === undefined ? [] : [say.steps.task.most(count.what, count.most)]),
      ...(swing === undefined ? [] : [say.steps.task.within(swing.most_s)]),
      ...(count?.before === undefined ? [] : [say.steps.task.before(count.what, count.before)]),
    ],
  }),
  "other-way": ({ say }, { way, why }) => ({
    title: say.schools.card.title[way],
    why: say.schools.card.why(why),
  }),
  soak: (speaker, { minutes, why, most_min }) => ({
    title: speaker.say.steps.soak.title(minutes),
    why,
    cues: most_min === undefined ? [] : [speaker.say.steps.soak.noLonger(figure(speaker, most_min, "min"))],
    afterwards: speaker.say.steps.soak.afterwards,
  }),
  fit: (speaker, { do: title, why, renewal, count, tools, torque_Nm }) => {
    const { fit, strip } = speaker.say.steps;
    return {
      title,
      why: renewal === undefined ? (why ?? fit.goesBack) : fit.renewed(renewalWhy(speaker, renewal)),
      cues: [...(count > 1 ? [strip.count(count)] : []), ...pullOf(speaker, tools, torque_Nm)],
    };
  },
  "tighten-one": (speaker, { name, waitedFor, tools, torque_Nm }) => ({
    title: speaker.say.steps.tightenOne.title(name),
    why: speaker.say.steps.tightenOne.why(waitedFor),
    cues: pullOf(speaker, tools, torque_Nm),
  }),
  tighten: (speaker, { name, passes, waitedFor, size, tools }) => {
    const { tighten } = speaker.say.steps;
    return {
      title: tighten.title(name, passes.length),
      why: waitedFor === undefined ? tighten.evenly : tighten.waitedFor(waitedFor),
      cues: [speaker.say.common.commas(size), ...pullOf(speaker, tools, passes.at(-1)?.torque_Nm)],
    };
  },
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
} satisfies Partial<Phrases>;

/** How hard one has to pull at the end of the arm. */
function pullOf(speaker: Speaker, tools: readonly Tool[], torque_Nm: number | undefined): string[] {
  const arm = tools.find(({ arm_m }) => arm_m !== undefined)?.arm_m;
  if (arm === undefined || torque_Nm === undefined) return [];
  return [speaker.say.steps.fit.pull(armPull(speaker, torque_Nm / arm), quantity(speaker, arm, "length"))];
}

function stripWords(speaker: Speaker, step: StepOf<"strip">): StepWords {
  const { say } = speaker;
  const words = say.steps.strip;
  const { why, keep, renewal, count, marks, fastener, slackened } = step;
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
      ...(slackened === true ? [words.slackened] : []),
      ...(fastener === undefined ? [] : [words.fastener(fastener.thread, fastener.drive)]),
      ...(fastener?.lengths ?? []).map(({ pieces, length_mm, where }) =>
        words.lengths(pieces, figure(speaker, length_mm, "mm"), where),
      ),
    ],
  };
}
