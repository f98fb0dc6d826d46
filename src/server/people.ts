import type { Person } from "@/core/formats";
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
