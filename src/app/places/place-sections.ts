import type { OwnSection } from "@/ui/own/own-field";

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
    title: "Who is told before",
    fields: [
      { kind: "words", name: "contact", label: "Who" },
      { kind: "words", name: "phone", label: "Telephone" },
      { kind: "number", name: "notice_days", label: "Told before", mark: "days" },
    ],
  },
];
