import { COMPETENCES, type Shift } from "@/core/formats";
import type { OwnSection } from "@/ui/own/own-field";
import { COMPETENCE_NAMES } from "./competence-names";

const KEYS = COMPETENCES.map((id) => ({ id, name: COMPETENCE_NAMES[id] }));

export const personSections = (
  shifts: readonly Shift[],
  places: readonly string[],
  isNew: boolean,
): OwnSection[] => [
  {
    title: "Who",
    fields: [
      { kind: "words", name: "name", label: "Name", hint: "As it stands under what this person signs." },
      { kind: "words", name: "may", label: "Trade, in words", placeholder: "e.g. hydrants; heating" },
      { kind: "words", name: "phone", label: "Telephone" },
      {
        kind: "words",
        name: "base",
        label: "Begins the day at",
        offered: places.map((value) => ({ value })),
      },
    ],
  },
  {
    title: "May do alone",
    fields: [
      {
        kind: "entries",
        name: "competent",
        label: "Until when",
        hint: "The last day it holds, as 2027-05-01, or the word open where it has no end. Left empty: not without somebody who may.",
        each: "words",
        keys: KEYS,
      },
      {
        kind: "entries",
        name: "proof",
        label: "Number of the certificate",
        each: "words",
        keys: KEYS,
      },
    ],
  },
  {
    title: "When",
    fields: [
      {
        kind: "choice",
        name: "shift",
        label: "Shift",
        options: shifts.map(({ id, name, from, to }) => ({ id, name: `${name}, ${from} to ${to}` })),
        none: "none",
      },
      {
        kind: "pairs",
        name: "away",
        label: "Away",
        hint: "First and last day, both away.",
        first: "From",
        second: "To",
        secondIs: "day",
      },
      ...(isNew
        ? []
        : [
            {
              kind: "day" as const,
              name: "left",
              label: "No longer here since",
              hint: "The name stays on what was signed; nobody can sign with it any more.",
            },
          ]),
    ],
  },
];
