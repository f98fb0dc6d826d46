import type { Person } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import type { Services } from "../services";
import { type Saved, saveThing } from "./save-thing";

const plain = (name: string) => name.trim().toLowerCase();

/** An id made of a name: letters and figures, and a number behind it when it is taken. */
function idFor(name: string, taken: ReadonlySet<string>): string {
  const base =
    plain(name)
      .normalize("NFKD")
      .replaceAll(/\p{M}/gu, "")
      .replaceAll(/[^a-z0-9]+/g, "-")
      .replaceAll(/^-+|-+$/g, "")
      .slice(0, 40) || "person";
  let id = base;
  for (let number = 2; taken.has(id); number++) id = `${base}-${number}`;
  return id;
}

/** Adds one to the crew; entries are signed by name, so no two have the same. */
export function addPerson(
  services: Services,
  row: Omit<Person, "id">,
  by: string,
): Result<Saved & Pick<Person, "name">, Problem[]> {
  const name = row.name.trim().replaceAll(/\s+/g, " ");
  if (name === "") return err([{ path: "/name", message: "Write the name." }]);
  const taken = new Set(services.library.people().map(({ id }) => id));
  const person = { ...row, id: idFor(name, taken), name, may: row.may.trim() };
  const saved = saveThing(services, "person", undefined, { row: person }, by);
  return saved.ok ? ok({ ...saved.value, name }) : saved;
}
