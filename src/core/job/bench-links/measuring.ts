import type { KeptTrace } from "../entered";
import { BAR } from "../progress";
import { relief } from "./relief";
import { figure, is, open, type Rule } from "./rule";
import { stack } from "./stack";
import { asReadings, pressureTrace } from "./traced";

const decay = (trace: KeptTrace) => open("decay-test", { fill: "water", ...asReadings(trace) });

/** A measurement that the bench book corrects or explains, by what is measured. */
export const measuring: Rule = ({ inputs, progress }, step) => {
  const check = step.kind === "check" ? step.check : undefined;
  if (check?.kind !== "measure") return [];
  const { low, high, unit } = check;
  const watched = pressureTrace(progress, (id) => id === step.id);
  const limit = (name: string, value: number | undefined) =>
    value === undefined ? {} : { [name]: `${figure(value)} ${unit}` };
  switch (check.what) {
    case "coil-resistance":
      return [
        {
          calculator: "coil",
          start: { ...limit("least", low), ...limit("most", high) },
          measures: "at20",
        },
        ...(is(inputs, "irrigation") ? [open("field-wire")] : []),
      ];
    case "static-pressure": {
      const typed = progress.answers.get(check.id)?.answer;
      return [
        open("hydrant-flow", typed?.kind === "measured" ? { static: `${figure(typed.si / BAR)} bar g` } : {}),
        open("head"),
      ];
    }
    case "drain-time":
      return [open("drain-down", limit("limit", high))];
    case "mixed-temperature":
      return [
        open("mixing", low !== undefined && high !== undefined ? limit("set", (low + high) / 2) : {}),
        open("sensor-check"),
        open("descale"),
      ];
    case "set-pressure":
      return [open("relief-check", relief(inputs)), open("relief-vent")];
    case "stack-depth":
      return [open("stack-depth", stack(inputs.sheet.parts.find((part) => part.pieces !== undefined)))];
    case "outlet-temperature":
    case "body-temperature":
      return [open("trap-loss"), open("steam-table")];
    case "hardness":
      return [open("softener"), open("brine")];
    case "backwash-flow":
      return [open("brine")];
    case "vapour-charge":
      return [open("co2-charge"), open("gauge-fitness", { prove: "above" })];
    case "turns-set":
      return [open("kv"), open("saturation")];
    case "heating-surface":
      return [open("radiator")];
    case "standing-pressure":
      return [open("leak-by"), ...(watched === undefined ? [] : [decay(watched)])];
    case "test-pressure":
      return [watched === undefined ? open("decay-test", { fill: "water" }) : decay(watched)];
    case "trip-pressure":
      return [open("actuator-balance")];
    case "closing-time":
      return is(inputs, "air-valve")
        ? [open("fill-and-vent")]
        : [open("pilot-differential"), open("zone-flush")];
    default:
      return [];
  }
};
