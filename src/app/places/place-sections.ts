import { WEEKDAYS } from "@/core/formats";
import type { OwnSection } from "@/ui/own/own-field";

const NAMES = {
  mon: "Monday",
  tue: "Tuesday",
  wed: "Wednesday",
  thu: "Thursday",
  fri: "Friday",
  sat: "Saturday",
  sun: "Sunday",
} as const satisfies Record<(typeof WEEKDAYS)[number], string>;
const DAYS = WEEKDAYS.map((id) => ({ id, name: NAMES[id] }));

export const placeSections = (others: readonly string[]): OwnSection[] => [
  {
    title: "What it is",
    fields: [
      { kind: "words", name: "name", label: "Name", placeholder: "e.g. North yard" },
      {
        kind: "choice",
        name: "within",
        label: "Part of",
        options: others.map((id) => ({ id, name: id })),
        none: "stands by itself",
      },
    ],
  },
  {
    title: "Where it is",
    fields: [
      {
        kind: "number",
        name: "lat",
        label: "North",
        mark: "degrees, WGS 84",
        hint: "As 57.1042; south is minus.",
      },
      {
        kind: "number",
        name: "lon",
        label: "East",
        mark: "degrees, WGS 84",
        hint: "As 2.3117; west is minus.",
      },
      { kind: "sentence", name: "way", label: "The way in", hint: "Gate, key, who opens." },
    ],
  },
  {
    title: "What can hurt there",
    fields: [{ kind: "sentence", name: "hazard", label: "What can happen, and what to do" }],
  },
  {
    title: "When work may be done",
    folded: true,
    fields: [
      {
        kind: "entries",
        name: "hours",
        label: "Hours",
        hint: "As 07:30-12:00. On a day left empty none may; all left empty: at any time.",
        each: "words",
        keys: DAYS,
      },
    ],
  },
  {
    title: "Who is told before",
    fields: [
      { kind: "words", name: "contact", label: "Who" },
      { kind: "words", name: "phone", label: "Telephone" },
      { kind: "number", name: "notice_days", label: "Told before", mark: "days" },
    ],
  },
];
