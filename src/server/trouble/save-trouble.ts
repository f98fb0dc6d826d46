import type { Trouble } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type Edited, edit } from "../book/edit";
import type { Services } from "../services";
import { shippedTrouble, troubleOf } from "./knowledge";

/**
 * Keeps what may be wrong with a family as somebody wrote it, as the next revision of what was there: in place of what
 * ships. It is proven before, and can be undone.
 *
 * @param known revision that was edited
 */
export function saveTrouble(
  services: Services,
  family: string,
  known: number,
  row: Trouble,
  by: string,
): Result<Edited & { readonly revision: number }, Problem[]> {
  const now = troubleOf(services, family);
  if (row.family !== family)
    return err([
      { path: "/row/family", message: `It is kept for "${family}". Bring another family in as a file.` },
    ]);
  if (now !== undefined && now.revision !== known)
    return err([
      {
        path: "/known",
        message: `Somebody kept revision ${now.revision} while you edited revision ${known}. Load it again, and bring your changes in.`,
      },
    ]);
  const before = services.things.one("trouble", family);
  const after = { ...row, revision: (now?.revision ?? 0) + 1 };
  const done = edit(
    services,
    { by, what: { kind: before === undefined ? "added" : "changed", thing: "trouble", ids: [family] } },
    [{ kind: "trouble", id: family, after }],
  );
  return done.ok
    ? ok({ ...done.value, revision: after.revision })
    : err(done.error.map((each) => ({ ...each, path: `/row${each.path}` })));
}

/** Lets go of what the house wrote: what ships holds again. */
export function shipAgain(services: Services, family: string, by: string): Result<Edited, Problem[]> {
  if (services.things.one("trouble", family) === undefined)
    return err([
      {
        path: "",
        message:
          shippedTrouble(family) === undefined
            ? `Nothing is known of "${family}".`
            : "What ships is in use already. Nothing has to be taken away.",
      },
    ]);
  return edit(services, { by, what: { kind: "removed", thing: "trouble", ids: [family] } }, [
    { kind: "trouble", id: family, after: undefined },
  ]);
}
