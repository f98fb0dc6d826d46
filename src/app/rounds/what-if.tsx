"use client";

import { addDays, format } from "date-fns";
import { useState } from "react";
import type { HouseRounds, WhatIfAnswer, WhatIfFigures } from "@/core/due-work";
import type { Problem } from "@/core/result";
import { call } from "@/edge/client";
import { WHAT_IF } from "@/edge/contracts/house-rounds";
import { Notice } from "@/ui/notice";
import { Panel } from "@/ui/page";
import { useFigures } from "@/ui/use-figures";
import { Changes } from "./plan-state";

const KINDS = { ill: "Somebody is ill", late: "A kit comes late", called: "A pipe bursts" } as const;
type Kind = keyof typeof KINDS;

type Found = { readonly answer: WhatIfAnswer } | { readonly problems: readonly Problem[] };

/** What the plan would be if something happened, beside the plan: nothing of it is kept. */
export function WhatIfPanel({ rounds, places }: { rounds: HouseRounds; places: readonly string[] }) {
  const people = rounds.crews.flatMap(({ people: members }) => members);
  const [kind, setKind] = useState<Kind>("ill");
  const [person, setPerson] = useState(people[0] ?? "");
  const [kit, setKit] = useState(rounds.kits[0] ?? "");
  const [place, setPlace] = useState(places[0] ?? "");
  const [day, setDay] = useState(() => format(addDays(rounds.at, 1), "yyyy-MM-dd"));
  const [days, setDays] = useState("1");
  const [busy, setBusy] = useState(false);
  const [found, setFound] = useState<Found>();
  const ask = async () => {
    setBusy(true);
    const body = {
      ill: { kind: "ill" as const, person, day, days: Number(days) },
      late: { kind: "late" as const, what: kit, day },
      called: { kind: "called" as const, place },
    }[kind];
    const answer = await call(WHAT_IF, { body });
    setFound(answer.ok ? { answer: answer.value } : { problems: answer.error.problems });
    setBusy(false);
  };
  const change =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      setFound(undefined);
      set(value);
    };
  return (
    <Panel title="What if">
      <form
        aria-label="What if"
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void ask();
        }}
      >
        <Choice
          label="This happens"
          value={kind}
          of={Object.entries(KINDS)}
          onChange={change((value) => setKind(value as Kind))}
        />
        {kind === "ill" && (
          <>
            <Choice label="Who" value={person} of={people.map(same)} onChange={change(setPerson)} />
            <DayField label="From" value={day} onChange={change(setDay)} />
            <Choice
              label="For"
              value={days}
              of={["1", "2", "3", "5", "10", "20"].map((each) => [
                each,
                each === "1" ? "1 day" : `${each} days`,
              ])}
              onChange={change(setDays)}
            />
          </>
        )}
        {kind === "late" && (
          <>
            <Choice label="What" value={kit} of={rounds.kits.map(same)} onChange={change(setKit)} />
            <DayField label="It comes on" value={day} onChange={change(setDay)} />
          </>
        )}
        {kind === "called" && (
          <>
            <Choice label="Where" value={place} of={places.map(same)} onChange={change(setPlace)} />
            <p className="text-note text-soft leading-snug">
              Who is nearest to being free goes, for three hours. Shut off first: the line says what.
            </p>
          </>
        )}
        <button type="submit" className="btn btn-quiet min-h-12" disabled={busy}>
          {busy ? "Planning …" : "See what that does"}
        </button>
      </form>
      <div role="status" className="mt-3 flex flex-col gap-3">
        {found !== undefined && "problems" in found
          ? found.problems.map(({ message }) => (
              <Notice key={message} tone="stop">
                {message}
              </Notice>
            ))
          : found !== undefined && <Answer {...found.answer} />}
      </div>
    </Panel>
  );
}

const same = (each: string): readonly [string, string] => [each, each];

function Answer({ crew, moved, before, after }: WhatIfAnswer) {
  return (
    <>
      {crew !== undefined && (
        <p>
          <strong>{crew}</strong> can best be spared.
        </p>
      )}
      {moved.length === 0 ? (
        <Notice tone="go">Nothing has to move.</Notice>
      ) : (
        <>
          <Beside before={before} after={after} />
          <Changes title={`${moved.length} would move`} changes={moved} />
        </>
      )}
      <p className="text-note text-soft">Nothing of this is kept.</p>
    </>
  );
}

/** The plan as it is and as it would be, in figures. */
function Beside({ before, after }: { before: WhatIfFigures; after: WhatIfFigures }) {
  const { fixed } = useFigures();
  const rows: readonly (readonly [string, keyof WhatIfFigures, number])[] = [
    ["In no shift", "left", 0],
    ["Days late", "late_days", 0],
    ["Overtime, min", "overtime_min", 0],
    ["Way, km", "km", 1],
  ];
  return (
    <table className="w-full text-body">
      <thead>
        <tr className="border-rule border-b text-left text-note text-soft">
          <th className="py-1 font-semibold">Of the quarter</th>
          <th className="py-1 text-right font-semibold">Now</th>
          <th className="py-1 text-right font-semibold">Then</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([label, key, digits]) => (
          <tr key={key}>
            <th scope="row" className="py-1 text-left font-normal">
              {label}
            </th>
            <td className="plate py-1 text-right">{fixed(before[key], digits)}</td>
            <td className="plate py-1 text-right">{fixed(after[key], digits)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Choice({
  label,
  value,
  of,
  onChange,
}: {
  label: string;
  value: string;
  of: readonly (readonly [string, string])[];
  onChange: (value: string) => void;
}) {
  return (
    <label className="block">
      <span className="mb-1 block leading-tight">{label}</span>
      <select className="field w-full" value={value} onChange={(event) => onChange(event.target.value)}>
        {of.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

function DayField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="block">
      <span className="mb-1 block leading-tight">{label}</span>
      <input
        type="date"
        required
        className="field w-full"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
