import type { Person } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { edit } from "./book/edit";
import type { Services } from "./services";

/** Somebody of the crew who does something here. */
export type Actor = Pick<Person, "id" | "name">;

const plain = (name: string) => name.trim().toLowerCase();

/** The one of the crew who goes by this name or id. */
export function personNamed({ library }: Pick<Services, "library">, said: string): Actor | undefined {
  const wanted = plain(said);
  const found = library.crew().find((person) => plain(person.name) === wanted || plain(person.id) === wanted);
  return found && { id: found.id, name: found.name };
}

/** Names that nobody of the crew goes by, each with what to do; the name is told as it is written in the crew. */
export function strangers(
  { library }: Pick<Services, "library">,
  names: readonly string[],
): { readonly index: number; readonly message: string }[] {
  const crew = new Set(library.crew().map((person) => person.name));
  return names.flatMap((name, index) =>
    crew.has(name)
      ? []
      : [
          {
            index,
            message:
              crew.size === 0
                ? "Nobody is in the crew yet. Add yourself in the Loft first."
                : `Nobody of the crew is called "${name}". Choose your name as it stands in the Loft.`,
          },
        ],
  );
}

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
  { name, may }: { readonly name: string; readonly may: string },
  by: string,
): Result<Person, Problem[]> {
  const said = name.trim().replaceAll(/\s+/g, " ");
  if (said === "") return err([{ path: "/name", message: "Write the name." }]);
  const taken = new Set(services.library.people().map(({ id }) => id));
  const person = { id: idFor(said, taken), name: said, may: may.trim() };
  const done = edit(services, { by, what: { kind: "added", thing: "person", ids: [person.id] } }, [
    { kind: "person", id: person.id, after: person },
  ]);
  return done.ok ? ok(person) : done;
}
