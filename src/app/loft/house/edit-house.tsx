"use client";

import { Plus, X } from "lucide-react";
import { useState } from "react";
import { type Crew, type House, type Person, type Shift, WEEKDAYS } from "@/core/formats";
import { call } from "@/edge/client";
import { SAVE_HOUSE } from "@/edge/contracts/own";
import { TextField } from "@/ui/kit/text-field";
import type { OwnSection } from "@/ui/own/own-field";
import { OwnForm } from "@/ui/own/own-form";
import { Panel } from "@/ui/page";
import { Crews } from "./crews";

const SECTIONS: readonly OwnSection[] = [
  {
    title: "The department",
    fields: [
      { kind: "words", name: "name", label: "Name", hint: "It stands on records and isolation sheets." },
    ],
  },
  {
    title: "Closed days",
    fields: [
      {
        kind: "pairs",
        name: "closed",
        label: "Nobody works on",
        first: "Day",
        second: "What it is",
        secondIs: "words",
      },
    ],
  },
];

const BLANK: House = { format: "loftbell.house", version: 1, id: "house", name: "" };

/** What holds for the department; its shifts beside it. */
export function EditHouse({ house, people }: { house: House | undefined; people: readonly Person[] }) {
  const [crews, setCrews] = useState<readonly Crew[]>(house?.crews ?? []);
  const [shifts, setShifts] = useState<readonly Shift[]>(house?.shifts ?? []);
  const [another, setAnother] = useState(house?.anotherProves === true);
  return (
    <OwnForm
      asks="keeper"
      what="the house"
      sections={SECTIONS}
      row={house ?? BLANK}
      save={(made) => {
        const { shifts: _, crews: __, anotherProves: ___, ...rest } = made;
        const row = {
          ...rest,
          ...(shifts.length > 0 && { shifts: [...shifts] }),
          ...(crews.length > 0 && { crews: crews.map((crew) => ({ ...crew, people: [...crew.people] })) }),
          ...(another && { anotherProves: true }),
        };
        return call(SAVE_HOUSE, { body: house === undefined ? { row } : { was: house, row } });
      }}
      after={() => "/loft/house"}
      cancel="/loft"
      aside={
        <div className="flex flex-col gap-4">
          <Panel title="Rules of the house">
            <label className="flex min-h-14 items-center gap-3">
              <input
                type="checkbox"
                className="size-6 shrink-0"
                checked={another}
                onChange={(event) => setAnother(event.target.checked)}
              />
              <span>
                Another person proves zero
                <span className="block text-note text-soft">
                  Who shut it off does not read the gauge: of jobs that begin from now on.
                </span>
              </span>
            </label>
          </Panel>
          <Shifts shifts={shifts} onShifts={setShifts} />
          <Crews crews={crews} people={people} onCrews={setCrews} />
        </div>
      }
    />
  );
}

function Shifts({
  shifts,
  onShifts,
}: {
  shifts: readonly Shift[];
  onShifts: (to: readonly Shift[]) => void;
}) {
  const put = (index: number, change: Partial<Shift>) =>
    onShifts(shifts.map((shift, place) => (place === index ? { ...shift, ...change } : shift)));
  const free = () => {
    let number = shifts.length + 1;
    while (shifts.some(({ id }) => id === `shift-${number}`)) number += 1;
    return `shift-${number}`;
  };
  return (
    <Panel title="Shifts">
      <ul className="flex flex-col gap-4">
        {shifts.map((shift, index) => (
          <li key={shift.id} className="border-rule border-l-[4px] pl-3">
            <div className="flex items-end gap-2">
              <div className="flex-1">
                <TextField label="Name" value={shift.name} onChange={(name) => put(index, { name })} />
              </div>
              <button
                type="button"
                aria-label={`Take ${shift.name} away`}
                className="btn btn-quiet mb-0.5 min-w-11 px-3"
                onClick={() => onShifts(shifts.filter((_, place) => place !== index))}
              >
                <X size={18} aria-hidden />
              </button>
            </div>
            <div className="grid grid-cols-2 gap-2">
              <TextField
                label="From"
                value={shift.from}
                placeholder="07:30"
                onChange={(from) => put(index, { from })}
              />
              <TextField
                label="To"
                value={shift.to}
                placeholder="16:00"
                onChange={(to) => put(index, { to })}
              />
            </div>
            <div className="flex flex-wrap gap-1" role="group" aria-label={`Days of ${shift.name}`}>
              {WEEKDAYS.map((day) => {
                const on = shift.days.includes(day);
                return (
                  <button
                    key={day}
                    type="button"
                    aria-pressed={on}
                    className={`btn min-w-11 px-2 ${on ? "border-2 border-ink bg-ink text-paper" : "btn-quiet"}`}
                    onClick={() =>
                      put(index, {
                        days: WEEKDAYS.filter((each) => (each === day ? !on : shift.days.includes(each))),
                      })
                    }
                  >
                    {day}
                  </button>
                );
              })}
            </div>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-quiet mt-3"
        onClick={() =>
          onShifts([
            ...shifts,
            {
              id: free(),
              name: "New shift",
              days: ["mon", "tue", "wed", "thu", "fri"],
              from: "07:30",
              to: "16:00",
            },
          ])
        }
      >
        <Plus size={18} aria-hidden /> Add a shift
      </button>
    </Panel>
  );
}
