import { BENCHES } from "./benches.fixtures";
import { Shown } from "./shown.fixtures";

type Family = keyof typeof BENCHES;

/** Every family's valve, walked when it is asked for. */
export const all = Object.fromEntries(
  Object.entries(BENCHES).map(([family, bench]) => [family, new Shown(bench)]),
) as Readonly<Record<Family, Shown>>;
