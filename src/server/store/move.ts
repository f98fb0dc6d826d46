import type { AskedMove, Movement } from "@/core/formats";
import { err, ok, type Problem, type Result } from "@/core/result";
import { type Asked, moved, undone } from "@/core/store";
import { moveRefused, speaker } from "@/words";
import { store as inOneAct } from "../proof/ledger";
import type { Services } from "../services";

/** A movement as it is asked for; a device gives its own id, so that sending it twice does no harm. */
export type SentMove = AskedMove & { readonly id?: string };

const noStore = (id: string): Problem[] => [
  { path: "", message: `There is no store "${id}" any more. Load the page again.` },
];

/**
 * Books movements of one store, all of them or none, in their order. One that is booked already is passed over.
 *
 * @returns the entries as the ledger has them
 */
export function moveStock(
  services: Services,
  id: string,
  asked: readonly SentMove[],
  by: string,
): Result<readonly Movement[], Problem[]> {
  const at = new Date(services.now()).toISOString();
  return inOneAct(services, (): Result<readonly Movement[], Problem[]> => {
    const { library, movements } = services;
    let store = library.stores().find((each) => each.id === id);
    if (store === undefined) return err(noStore(id));
    const entries: Movement[] = [];
    for (const [index, { id: own = services.newId(), ...move }] of asked.entries()) {
      const known = movements.find(own);
      if (known !== undefined) {
        entries.push(known);
        continue;
      }
      const full: Asked = { ...move, id: own, at, by };
      const done = moved(store, full);
      if (!done.ok)
        return err([
          { path: `/movements/${index}/quantity`, message: moveRefused(speaker(), done.error, store) },
        ]);
      store = done.value.store;
      movements.add([done.value.entry]);
      entries.push(done.value.entry);
    }
    library.saveStore(store);
    return ok(entries);
  });
}

/** Takes an entry back by a contrary one. */
export function undoMovement(services: Services, id: string, by: string): Result<Movement, Problem[]> {
  return inOneAct(services, (): Result<Movement, Problem[]> => {
    const { library, movements } = services;
    const entry = movements.find(id);
    if (entry === undefined) return err([{ path: "", message: "There is no such entry in the ledger." }]);
    const store = library.stores().find((each) => each.id === entry.store);
    if (store === undefined) return err(noStore(entry.store));
    const done = movements.isUndone(id)
      ? err({ kind: "undone-already" as const })
      : undone(store, entry, { id: services.newId(), at: new Date(services.now()).toISOString(), by });
    if (!done.ok) return err([{ path: "", message: moveRefused(speaker(), done.error, store) }]);
    library.saveStore(done.value.store);
    movements.add([done.value.entry]);
    return ok(done.value.entry);
  });
}
