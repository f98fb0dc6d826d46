import type { Line, Person, Sheet, Store } from "@/core/formats";
import { findableLine, findableLinks, findablePerson, findableSheet } from "../find/findable";
import type { Services } from "../services";
import { fromSheet } from "./keep-valve";

/** Stores a sheet's revision; what rings by its intervals is worked out anew when it is the newest. */
export function keepSheet(services: Services, sheet: Sheet): void {
  const { library, find } = services;
  library.saveSheet(sheet);
  refreshSheet(services, sheet.id);
  if (library.sheet(sheet.id)?.revision !== sheet.revision) return;
  const { itself, parts, kits } = findableSheet(sheet);
  find.put("sheet", sheet.id, itself);
  find.put("part", sheet.id, parts);
  find.put("kit", sheet.id, kits);
}

export function removeSheet(services: Services, sheet: Sheet): void {
  services.library.removeSheet(sheet.id, sheet.revision);
  const newest = services.library.sheet(sheet.id);
  if (newest !== undefined) keepSheet(services, newest);
  else {
    for (const kind of ["sheet", "part", "kit"] as const) services.find.remove(kind, sheet.id);
    refreshSheet(services, sheet.id);
  }
}

/** Valves of a sheet ring by its newest revision. */
export function refreshSheet(services: Services, id: string): void {
  const { library, register } = services;
  const sheet = library.sheet(id);
  for (const valve of register.ofSheet(id)) register.save(valve, fromSheet(services, valve, sheet));
}

export function keepLine({ library, find }: Services, line: Line): void {
  library.saveLine(line);
  find.put("line", line.id, findableLine(line));
  find.put("link", line.id, findableLinks(line));
}

export function removeLine({ library, find }: Services, id: string): void {
  library.removeLine(id);
  find.remove("line", id);
  find.remove("link", id);
}

export function keepStore({ library }: Services, store: Store): void {
  library.saveStore(store);
}

export function keepPerson({ library, find }: Services, person: Person): void {
  library.savePerson(person);
  find.put("person", person.id, findablePerson(person));
}

export function removePerson({ library, find }: Services, id: string): void {
  library.removePerson(id);
  find.remove("person", id);
}
