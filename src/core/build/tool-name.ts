import type { Tool } from "../formats";
import { formatIn, toSI, type UnitSystem, unit } from "../quantity";

/** The unit a sheet has it in, which metric readers see, and the one of the others. */
const TORQUE = { metric: "N·m", us: "ft·lbf" } as const;
const PRESSURE = { metric: "bar g", us: "psi g" } as const;
const MASS = { metric: "kg", us: "lb" } as const;
const LENGTH = { metric: "m", us: "ft" } as const;

/**
 * A tool as one looks for it in the bag: its name, the size it goes by (a 17 mm spanner is one everywhere), and what it
 * measures, bears or reaches, in the reader's units.
 */
export function toolName(tool: Tool, system: UnitSystem): string {
  const { name, size, least_Nm, most_Nm, most_bar, bears_kg, reach_m } = tool;
  const say = (value: number, units: Readonly<Record<UnitSystem, string>>) =>
    formatIn(toSI(value, unit(units.metric)), unit(units[system]));
  const torque =
    most_Nm === undefined
      ? undefined
      : `${least_Nm === undefined ? "up" : say(least_Nm, TORQUE)} to ${say(most_Nm, TORQUE)}`;
  return [
    name,
    size,
    torque,
    most_bar && `up to ${say(most_bar, PRESSURE)}`,
    bears_kg && `bears ${say(bears_kg, MASS)}`,
    reach_m && `reaches ${say(reach_m, LENGTH)}`,
  ]
    .filter((each) => each !== undefined)
    .join(", ");
}
