"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { ROLES, type Role } from "@/core/people";
import { call } from "@/edge/client";
import { GIVE_ROLE, MAKE_CODE, TAKE_ACCOUNT } from "@/edge/contracts/people";
import { SelectField } from "@/ui/kit/select-field";
import { Modal } from "@/ui/modal";
import { Notice } from "@/ui/notice";
import { Day } from "@/ui/when";

interface Person {
  readonly id: string;
  readonly name: string;
  readonly may: string;
  /** Nothing for who is not let in. */
  readonly role?: Role;
  /** Whether a password was chosen. */
  readonly chosen?: boolean;
  /** Whether a code waits to be used. */
  readonly waits?: boolean;
}
interface Handed {
  readonly name: string;
  readonly code: string;
  readonly until: number;
}

const NONE = "";
const OPTIONS = [
  { id: NONE, name: "not let in" },
  ...ROLES.map((role) => ({ id: role as string, name: role as string })),
];

/** Each of the crew: as what one signs in, or not at all. */
export function Accounts({ people, me }: { people: readonly Person[]; me: string | undefined }) {
  const router = useRouter();
  const [handed, setHanded] = useState<Handed>();
  const [leaving, setLeaving] = useState<Person>();
  const [refused, setRefused] = useState<{ readonly id: string; readonly message: string }>();
  const told = (id: string, problems: readonly { message: string }[]) =>
    setRefused({ id, message: problems.map(({ message }) => message).join(" ") });
  const give = async (person: Person, role: string) => {
    setRefused(undefined);
    if (role === NONE) return setLeaving(person);
    const { id, name } = person;
    const done = await call(GIVE_ROLE, { params: { person: id }, body: { role: role as Role } });
    if (!done.ok) told(id, done.error.problems);
    else if (done.value.code !== undefined)
      setHanded({ name, code: done.value.code, until: done.value.until! });
    else toast(`${name} is a ${role} from now on.`);
    router.refresh();
  };
  const code = async ({ id, name }: Person) => {
    setRefused(undefined);
    const done = await call(MAKE_CODE, { params: { person: id }, body: {} });
    if (done.ok) setHanded({ name, code: done.value.code!, until: done.value.until! });
    else told(id, done.error.problems);
    router.refresh();
  };
  const takeAway = async ({ id, name }: Person) => {
    const done = await call(TAKE_ACCOUNT, { params: { person: id } });
    setLeaving(undefined);
    if (done.ok) toast(`${name} is let in no more, and signed out everywhere.`);
    else told(id, done.error.problems);
    router.refresh();
  };
  return (
    <>
      <ul className="dashed">
        {people.map((person) => (
          <li
            key={person.id}
            className="grid items-center gap-x-4 gap-y-2 py-2 sm:grid-cols-[minmax(0,1fr)_11rem_9rem]"
          >
            <span className="min-w-0">
              <b>{person.name}</b>
              {person.id === me && <span className="text-soft"> (you)</span>}
              <span className="block text-note text-soft">{person.may}</span>
              {person.role !== undefined && person.chosen === false && (
                <span className="block text-note text-wait">
                  {person.waits === true ? "has a code, and has not come in yet" : "has no code that holds"}
                </span>
              )}
            </span>
            <SelectField
              label={`${person.name} signs in as`}
              unseen
              value={person.role ?? NONE}
              options={OPTIONS}
              error={refused?.id === person.id ? refused.message : undefined}
              onChange={(role) => void give(person, role)}
            />
            {person.role !== undefined && (
              <button type="button" className="btn btn-quiet" onClick={() => void code(person)}>
                Make a code
              </button>
            )}
          </li>
        ))}
      </ul>
      <Modal
        open={handed !== undefined}
        onOpenChange={() => setHanded(undefined)}
        title={`A code for ${handed?.name ?? ""}`}
        says="Hand it over now: it is not shown again, and is good once."
      >
        {handed !== undefined && (
          <div className="mt-3 flex flex-col gap-3">
            <p className="plate rounded-md border-2 border-edge bg-paper py-4 text-center text-title tracking-[.12em]">
              {handed.code}
            </p>
            <p>
              {handed.name} opens this server’s page, presses “I have a code from a keeper”, and chooses a
              password. Until <Day at={handed.until} time />.
            </p>
            <button type="button" className="btn btn-go" onClick={() => setHanded(undefined)}>
              It is handed over
            </button>
          </div>
        )}
      </Modal>
      <Modal
        open={leaving !== undefined}
        onOpenChange={() => setLeaving(undefined)}
        title={`Let ${leaving?.name ?? ""} in no more?`}
        says="At once and everywhere. What was done and signed stays; letting in again takes a new code."
      >
        {leaving?.id === me && (
          <Notice tone="stop">This is you: you will be outside as soon as you press it.</Notice>
        )}
        <div className="mt-4 flex flex-wrap gap-2">
          <button type="button" className="btn btn-quiet" onClick={() => setLeaving(undefined)}>
            Leave it
          </button>
          <button type="button" className="btn btn-stop" onClick={() => void takeAway(leaving!)}>
            Let in no more
          </button>
        </div>
      </Modal>
    </>
  );
}
