import type { Tool } from "../formats";
import { formatIn, formatKept, type UnitSystem, unit } from "../quantity";

/**
 * A tool as one looks for it in the bag: its name, the size it goes by (a 17 mm spanner is one everywhere), and what it
 * measures, bears or reaches, in the reader's units.
 */
export function toolName(tool: Tool, system: UnitSystem): string {
  const { name, size, least_Nm, most_Nm, most_bar, bears_kg, reach_m } = tool;
  const say = (value: number, unitId: string) => formatKept(value, unitId, system);
  const least = least_Nm === undefined ? "up" : say(least_Nm, "N·m");
  return [
    name,
    size,
    most_Nm && `${least} to ${say(most_Nm, "N·m")}`,
    most_bar && `up to ${say(most_bar, "bar g")}`,
    bears_kg && `bears ${say(bears_kg, "kg")}`,
    reach_m && `reaches ${formatIn(reach_m, unit(system === "us" ? "ft" : "m"))}`,
  ]
    .filter((each) => each !== undefined)
    .join(", ");
}
