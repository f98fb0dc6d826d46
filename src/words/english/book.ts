const list = (ids: readonly string[]) =>
  ids.length > 4 ? `${ids.slice(0, 3).join(", ")} and ${ids.length - 3} more` : ids.join(", ");

/** The book of changes. */
export const book = {
  things: {
    sheet: "sheet",
    line: "line",
    store: "store",
    valve: "valve",
    person: "crew",
    reading: "reading",
    job: "job",
    place: "place",
    instrument: "instrument",
    house: "house",
    paper: "paper",
    mapping: "columns",
    ground: "map",
    order: "order",
    trouble: "what may be wrong",
    case: "trouble",
    rounds: "rounds, week of",
  },
  imported: (files: readonly string[]) =>
    `Brought in: ${list(files.map((file) => file.split("/").at(-1) ?? file))}`,
  added: (thing: string, ids: readonly string[]) => `New ${thing}: ${list(ids)}`,
  changed: (thing: string, ids: readonly string[]) => `Changed ${thing}: ${list(ids)}`,
  removed: (thing: string, ids: readonly string[]) => `Taken away, ${thing}: ${list(ids)}`,
  restored: (backup: string) => `Backup put back: ${backup}`,
  renamed: (thing: string, from: string, to: string) => `Renamed ${thing}: ${from} is ${to} now`,
  retired: (ids: readonly string[]) => `Retired: ${list(ids)}`,
  broughtBack: (ids: readonly string[]) => `Brought back into service: ${list(ids)}`,
  reported: (ids: readonly string[]) => `Fault reported or cleared: ${list(ids)}`,
};
