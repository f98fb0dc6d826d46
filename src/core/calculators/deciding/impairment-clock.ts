import { formatDuration } from "../../quantity";
import { err, ok } from "../../result";
import { calculator } from "../calculator";
import { choice, day, HOURS, measured, named, result } from "../fields";
import { writeDate } from "../read-inputs";

const HOUR_S = 3600;
const DAY_S = 24 * HOUR_S;
const LIST = [
  { who: "Person in charge of fire protection on site", when: "before anything is shut", kind: "both" },
  { who: "Alarm receiving centre", when: "before anything is shut", kind: "both" },
  { who: "Fire service", when: "before anything is shut", kind: "both" },
  { who: "People who use the building", when: "before anything is shut", kind: "both" },
  { who: "Insurer", when: "before, or within the day of an emergency", kind: "both" },
  { who: "Water undertaker", when: "when a main or hydrant is out", kind: "water" },
] as const;

/** Calculation 39: how long fire protection has been out, and what that asks for. */
export const impairmentClock = calculator({
  id: "impairment-clock",
  chapter: "Deciding and timing",
  title: "Impairment clock",
  says: "How long fire protection has been out of service, when a fire watch is due, and who has to know.",
  words: ["impairment", "out of service", "fire watch", "sprinkler off", "who to call", "tag", "hydrant out"],
  inputs: {
    since: day("Out since", "Day and time it was shut.", { withTime: true }),
    now: day("Now", "Day and time.", { withTime: true, usual: "now" }),
    what: choice("Out of service", "What does not protect now.", {
      system: "a sprinkler or deluge system",
      hydrant: "a hydrant or its main",
    }),
    before: measured("Out before, in the last 24 h", HOURS, {
      help: "Earlier outages of the same system count.",
      least: 0,
      most: DAY_S,
      usual: 0,
    }),
    watch: measured("Fire watch after", HOURS, {
      help: "In any 24 h: 10 h by NFPA 25, unless your authority is stricter.",
      least: 0,
      most: 720 * HOUR_S,
      usual: 10 * HOUR_S,
    }),
    notice: measured("Told to the authority after", HOURS, {
      help: "By your site's rules.",
      least: 0,
      most: 720 * HOUR_S,
      usual: 4 * HOUR_S,
    }),
    kept: choice("Fire watch", "Somebody walks the place with a phone.", {
      no: "not set",
      yes: "walking now",
    }),
  },
  outputs: {
    out: result("Out for", HOURS),
    watchAt: named("Fire watch due at"),
    noticeAt: named("Authority told by"),
    left: result("Left until the fire watch", HOURS),
    tag: named("Tag"),
  },
  tables: {
    calls: { title: "Who has to know", columns: { who: named("Who"), when: named("When") } },
  },
  compute: (given) => {
    const [since, now] = [given.since, given.now];
    if (now < since) return err({ input: "now", message: "Now is before it was shut. Check day and time." });
    const out = now - since + given.before;
    const watchAt = since + Math.max(0, given.watch - given.before);
    const noticeAt = since + given.notice;
    const due = now >= watchAt;
    const kept = given.kept === "yes";
    return ok({
      outputs: {
        out,
        watchAt: writeDate(watchAt, true).replace("T", " "),
        noticeAt: writeDate(noticeAt, true).replace("T", " "),
        left: Math.max(0, watchAt - now),
        tag: `Out of service since ${writeDate(since, true).replace("T", " ")}`,
      },
      tables: {
        calls: LIST.filter((each) => each.kind === "both" || given.what === "hydrant").map(
          ({ who, when }) => ({ who, when }),
        ),
      },
      verdict: due && !kept ? "stop" : due || now >= noticeAt ? "watch" : "pass",
      reasons: [
        due && !kept
          ? "The fire watch is due now: somebody walks the place until it is back, or everybody leaves."
          : due
            ? "The fire watch is walking: keep it until it is back in service and proven."
            : now >= noticeAt
              ? "The authority has to be told."
              : `${formatDuration(watchAt - now)} until the fire watch is due.`,
      ],
      ...(!due && {
        bell: { kind: "at" as const, wall: watchAt, look: "The fire watch is due: post it now." },
      }),
      cautions: [
        "Stop hot work and all that can start a fire while it is out.",
        "When it is back: main drain test, take the tag off, tell everyone on the list again.",
      ],
    });
  },
  sources: [
    "NFPA 25, impairments: more than 10 h in a 24 h period ask for a fire watch, evacuation or a temporary supply. Your authority's rules go before.",
  ],
  examples: [
    {
      source: "By the clock: 08:30 to 20:00 are 11.5 h, over ten.",
      inputs: { since: "2026-03-02T08:30", now: "2026-03-02T20:00" },
      outputs: { out: "11.5 ± 0.0001 h", watchAt: "2026-03-02 18:30" },
      verdict: "stop",
    },
    {
      source: "By the clock: 3 h with 5 h before leave 2 h.",
      inputs: { since: "2026-03-02T08:30", now: "2026-03-02T11:30", before: "5 h" },
      outputs: { out: "8 ± 0.0001 h", left: "2 ± 0.0001 h", watchAt: "2026-03-02 13:30" },
      verdict: "pass",
    },
  ],
});
