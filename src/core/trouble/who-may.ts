import type { Certificates, Trouble } from "../formats";
import { lacking } from "../job";

/**
 * Looks that none of these people may do: what could hurt somebody is looked at by whoever has the paper for it, or with
 * such a one beside.
 *
 * @param people papers of whoever looks, and of whoever is there with them · @param at ms
 */
export const barredTo = (
  { looks }: Pick<Trouble, "looks">,
  people: readonly (Certificates | undefined)[],
  at: number,
): ReadonlySet<string> =>
  new Set(
    looks.flatMap(({ id, may }) =>
      may !== undefined && people.every((papers) => lacking([may], papers, at).length > 0) ? [id] : [],
    ),
  );
