import type { Store } from "../formats";
import type { Problem } from "../result";

/** What a schema cannot see: places that are used twice, stock that lies nowhere. */
export function checkStore({ places, stock }: Store): Problem[] {
  const known = new Set<string>();
  const twice = places.flatMap(({ id }, index): Problem[] => {
    const again = known.has(id);
    known.add(id);
    return again
      ? [{ path: `/places/${index}/id`, message: `"${id}" is used twice. Give each place its own id.` }]
      : [];
  });
  const nowhere = stock.flatMap(({ name, place }, index): Problem[] =>
    known.has(place)
      ? []
      : [
          {
            path: `/stock/${index}/place`,
            message: `"${name}" lies at "${place}", which is no place of this store. Add the place, or say where it lies.`,
          },
        ],
  );
  return [...twice, ...nowhere];
}
