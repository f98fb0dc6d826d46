import {
  type Case,
  certificatesOf,
  type End,
  type Trouble,
  type TroubleAnswer,
  type TroubleFacts,
  triedAs,
  UNKNOWN,
  UNLISTED,
} from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { advise, answersGiven, barredTo, refuseHandedOver } from "@/core/trouble";
import { type Edited, edit } from "../book/edit";
import { calibratedAs } from "../jobs/as-registered";
import type { Services } from "../services";
import { knownFacts } from "./facts";
import { troubleOf } from "./knowledge";

/** A case as somebody ended it. */
export interface EndedCase {
  /** Made by who sends it: sending it twice is harmless. */
  readonly id: string;
  readonly valve: string;
  readonly at?: string;
  readonly complaint: string;
  readonly says: string;
  readonly from: Case["from"];
  /** Who was there, and may do what the first may not. */
  readonly with?: string;
  readonly answers: readonly TroubleAnswer[];
  readonly told?: Pick<TroubleFacts, "water" | "duty" | "frost">;
  readonly end: string;
  readonly to?: string;
  readonly note?: string;
}

const DAY_MS = 86_400_000;
/** Whoever was called says within a day what they found, or is asked. */
const HEARD_WITHIN_DAYS = 1;

/** Keeps how a case ended. How likely everything was is worked out here: nobody hands that in. */
export function keepCase(
  services: Services,
  ended: EndedCase,
  by: string,
): Result<Edited & Pick<Case, "id">, Problem[]> {
  const { things, register, library, now } = services;
  const before = things.one("case", ended.id);
  if (before !== undefined)
    return before.end === ended.end && before.valve === ended.valve
      ? ok({ id: ended.id, edit: undefined, changes: 0 })
      : err([
          { path: "/id", message: "This case was kept already, with another end. Begin the complaint anew." },
        ]);
  const valve = register.valve(ended.valve);
  const sheet = valve && library.sheet(valve.sheet);
  const knowledge = sheet && troubleOf(services, sheet.family);
  if (valve === undefined || sheet === undefined || knowledge === undefined)
    return err([{ path: "/valve", message: `Nothing is known of what may be wrong with "${ended.valve}".` }]);
  const complaint = knowledge.complaints.find(({ id }) => id === ended.complaint);
  if (complaint === undefined)
    return err([{ path: "/complaint", message: `There is no complaint "${ended.complaint}".` }]);
  const { foundFor, ...known } = knownFacts(services, valve, sheet, knowledge);
  const facts: TroubleFacts = {
    ...known,
    ...ended.told,
    complaint: complaint.id,
    from: ended.from,
    found: foundFor[complaint.id] ?? {},
  };
  const given = answersGiven(knowledge, ended.answers, sheet);
  if (!given.ok) return given;
  // A clock that runs ahead dated both the case and what was read for it: beside each other they are right.
  const said = ended.at === undefined ? now() : Date.parse(ended.at);
  const at = Math.min(now(), said);
  const otherwise = refuseHandedOver(ended.answers, sheet, said);
  if (otherwise.length > 0) return err(otherwise);
  const barred = barredLooks(services, knowledge, ended, by);
  if (barred.length > 0) return err(barred);
  const end = endNamed(knowledge, ended.end);
  if (end === undefined) return err([{ path: "/end", message: `There is no end "${ended.end}".` }]);
  const { odds } = advise(knowledge, facts, given.value);
  const cured = given.value.get(triedAs(ended.end));
  if (end.kind === "do-now" && cured !== "cured")
    return err([{ path: "/answers", message: "Say first whether it helped: look whether it works now." }]);
  if (end.kind === "do-now" && end.once !== undefined) {
    const { look, answers } = end.once;
    if (!answers.includes(given.value.get(look) ?? ""))
      return err([
        {
          path: "/answers",
          message: `This is done only once "${look}" was seen. Look at that first, and say what it showed.`,
        },
      ]);
  }
  const days = askedAfter(end);
  const row: Case = {
    id: ended.id,
    valve: valve.tag,
    at: new Date(at).toISOString(),
    by,
    family: knowledge.family,
    revision: knowledge.revision,
    complaint: complaint.id,
    says: ended.says,
    from: ended.from,
    ...(ended.with !== undefined && { with: ended.with }),
    answers: ended.answers.map((each) => ({
      ...each,
      answer: given.value.get(each.look)!,
      ...(each.with !== undefined && {
        with: Object.fromEntries(
          Object.entries(each.with).map(([name, taken]) => [name, calibratedAs(services, taken)]),
        ),
      }),
    })),
    odds: Object.fromEntries(odds.map(({ cause, chance }) => [cause, Math.round(chance * 1e4) / 1e4])),
    end: ended.end,
    ended: end.says,
    outcome: outcomeOf(end),
    minutes: knowledge.looks.reduce((sum, { id, minutes }) => (given.value.has(id) ? sum + minutes : sum), 0),
    ...(ended.to !== undefined && { to: ended.to }),
    ...(ended.note !== undefined && { note: ended.note }),
    ...(days !== undefined && { due: new Date(now() + days * DAY_MS).toISOString().slice(0, 10) }),
  };
  const kept = edit(
    services,
    { by, what: { kind: "added", thing: "case", ids: [`${valve.tag}: ${ended.says}`] } },
    [{ kind: "case", id: row.id, after: row }],
  );
  return kept.ok ? ok({ ...kept.value, id: row.id }) : kept;
}

function endNamed({ ends }: Trouble, id: string): (Pick<End, "kind" | "says"> & Partial<End>) | undefined {
  if (id === UNLISTED)
    return { kind: "order", says: "Nothing that is known here fits.", within_days: 1 } as End;
  return ends.find((end) => end.id === id);
}

/** What was looked at by somebody who may not, with nobody beside who may: it counts for nothing. */
function barredLooks(
  { library, now }: Services,
  knowledge: Trouble,
  { from, answers, with: beside }: EndedCase,
  by: string,
): Problem[] {
  if (from === "telephone") return [];
  const papersOf = (name: string | undefined) => {
    const person = library.crew().find((each) => each.name === name);
    return person && certificatesOf(person);
  };
  const barred = barredTo(knowledge, [papersOf(by), papersOf(beside)], now());
  return answers.flatMap(({ look: id, answer }, index) => {
    const look = knowledge.looks.find((each) => each.id === id);
    // What a caller can tell from afar anybody may.
    return look === undefined || look.caller !== undefined || answer === UNKNOWN || !barred.has(id)
      ? []
      : [
          {
            path: `/answers/${index}/look`,
            message: `${by} has no paper for ${look.may}, and "${look.ask}" asks for one. Say who of the crew was there and has it, or take the answer back.`,
          },
        ];
  });
}

/** Days until somebody asks what came of it; none where it has its end here. */
function askedAfter(end: Pick<End, "kind"> & Partial<End>): number | undefined {
  switch (end.kind) {
    case "watch":
      return "days" in end ? end.days : undefined;
    case "order":
      return "within_days" in end ? end.within_days : undefined;
    case "call":
    case "leak":
      return HEARD_WITHIN_DAYS;
    case "do-now":
    case "job":
      return undefined;
  }
}

function outcomeOf({ kind }: Pick<End, "kind">): Case["outcome"] {
  switch (kind) {
    case "do-now":
      return "cured";
    case "job":
      return "job";
    case "watch":
      return "watched";
    case "leak":
    case "order":
    case "call":
      return "handed-over";
  }
}
