import type { Instrument, JobInputs, Line, Person, Sheet, Valve } from "@/core/formats";
import type { Findable } from "@/data";

type Entry = Omit<Findable, "kind" | "owner">;

const path = (...parts: readonly string[]) => `/${parts.map(encodeURIComponent).join("/")}`;
/** `LD-M1` is typed as `ldm1`, too. */
const squeezed = (id: string) => id.replaceAll(/[^A-Za-z0-9]/g, "");

export const findableValve = (valve: Valve): Entry[] => [
  {
    name: valve.tag,
    says: `${valve.name}, ${valve.place}${valve.retired === undefined ? "" : " (retired)"}`,
    href: path("valves", valve.tag),
    words: `${squeezed(valve.tag)} ${valve.serial ?? ""}`,
  },
];

export const findableLine = (line: Line): Entry[] => [
  { name: line.name, says: line.medium, href: path("lines", line.id), words: line.id },
];

/** The valves one shuts: by their number on the line. */
export const findableLinks = (line: Line): Entry[] =>
  line.links.flatMap((link) =>
    link.kind !== "valve"
      ? []
      : [
          {
            name: link.id,
            says: [link.name, line.name].filter(Boolean).join(", "),
            href: `${path("lines", line.id)}?open=${encodeURIComponent(link.id)}`,
            words: squeezed(link.id),
          },
        ],
  );

export function findableSheet(sheet: Sheet): { itself: Entry[]; parts: Entry[]; kits: Entry[] } {
  const href = path("sheets", sheet.id);
  return {
    itself: [
      {
        name: sheet.title,
        says: `${sheet.maker} ${sheet.model}`,
        href,
        words: `${sheet.id} ${sheet.family}`,
      },
    ],
    parts: sheet.parts.map((part) => ({
      name: part.name,
      says: sheet.title,
      href: `${href}?part=${encodeURIComponent(part.id)}`,
    })),
    kits: sheet.kits.map((kit) => ({
      name: kit.name,
      says: `Kit ${kit.id} for ${sheet.title}`,
      href: "/store",
      words: squeezed(kit.id),
    })),
  };
}

export const findablePerson = (person: Person): Entry[] => [
  { name: person.name, says: person.may, href: path("crew", person.id) },
];

export const findablePlace = (name: string): Entry[] => [{ name, says: "Place", href: path("places", name) }];

export const findableInstrument = ({ id, name, kind, serial }: Instrument): Entry[] => [
  { name, says: kind, href: path("instruments", id), words: `${squeezed(id)} ${serial ?? ""}` },
];

export const findableJob = ({ id, valve, reason }: JobInputs): Entry[] => [
  { name: valve.tag, says: reason.says, href: path("jobs", id), words: squeezed(valve.tag) },
];
