import type { Person } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { speaker } from "@/words";
import { type Edited, edit } from "../book/edit";
import { dateOf } from "../rounds/days";
import type { Services } from "../services";
import { joined, type LeaveRead, readLeave } from "./read-leave";

/** What a calendar of leave brought in. */
export interface LeaveTaken extends Edited, Pick<LeaveRead, "left"> {
  /** Days away that were not known, in spans. */
  readonly taken: LeaveRead["spans"];
}

/** Adds the whole days of a calendar to when somebody is away: what is known stays. */
export function takeLeave(
  services: Services,
  id: string,
  text: string,
  by: string,
): Result<LeaveTaken, Problem[]> {
  const { leave } = speaker().say;
  const person = services.library.people().find((each) => each.id === id);
  if (person === undefined) return err([{ path: "", message: leave.nobody(id) }]);
  const read = readLeave(text, dateOf(services.now()));
  if (!read.ok) return err([{ path: "/text", message: leave.noCalendar }]);
  const { spans, left } = read.value;
  if (spans.length === 0 && left.length === 0) return err([{ path: "/text", message: leave.empty }]);
  const known = Object.entries(person.away ?? {}).map(([from, to]) => ({ from, to: to as string }));
  const taken = spans.filter(({ from, to }) => !known.some((each) => each.from <= from && to <= each.to));
  if (taken.length === 0) return ok({ edit: undefined, changes: 0, taken, left });
  const away = Object.fromEntries(joined([...known, ...taken]).map(({ from, to }) => [from, to]));
  const after: Person = { ...person, away };
  const kept = edit(services, { by, what: { kind: "changed", thing: "person", ids: [id] } }, [
    { kind: "person", id, after },
  ]);
  return kept.ok ? ok({ ...kept.value, taken, left }) : kept;
}
