"use client";

import type { Person } from "@/core/formats";
import { call } from "@/edge/client";
import { ADD_PERSON } from "@/edge/contracts/here";
import { PEOPLE } from "@/edge/contracts/own";
import type { OwnSection } from "@/ui/own/own-field";
import { OwnForm } from "@/ui/own/own-form";
import { saveSettings, useCrew, useSettings } from "@/ui/settings";

/** One of the crew, new or known. A new one is given an id made of the name. */
export function EditPerson({
  person,
  sections,
}: {
  person: Person | undefined;
  sections: readonly OwnSection[];
}) {
  const settings = useSettings();
  const crew = useCrew();
  return (
    <OwnForm<Person>
      asks="keeper"
      what={person?.name ?? "the new person"}
      verb={person === undefined ? "Add to the crew" : "Save"}
      sections={sections}
      row={person ?? ({} as Person)}
      save={(row) =>
        person === undefined
          ? call(ADD_PERSON, { body: { ...row, name: row.name ?? "", may: row.may ?? "" } })
          : call(PEOPLE.save, {
              params: { id: person.id },
              body: { was: person, row: { ...row, may: row.may ?? "" } },
            })
      }
      after={({ name }) => {
        // Whoever adds the first one is that one.
        if (crew.length === 0) saveSettings({ ...settings, who: name.trim() });
        return "/crew";
      }}
      cancel="/crew"
    />
  );
}
