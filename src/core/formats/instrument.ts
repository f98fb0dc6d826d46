import { type Static, Type } from "@sinclair/typebox";
import { closed, Day, Id, oneOf, Words } from "./shared";

export const INSTRUMENT_KINDS = [
  "multimeter",
  "gauge",
  "logger",
  "thermometer",
  "torque-wrench",
  "dial-meter",
  "pitot",
  "leak-detector",
  "gas-monitor",
  "scale",
] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** What readings are taken with: it is trusted as long as its calibration holds. */
export const InstrumentSchema = Type.Object(
  {
    id: Id,
    name: Words,
    kind: oneOf(...INSTRUMENT_KINDS),
    serial: Type.Optional(Words),
    keeper: Type.Optional(
      Type.String({ minLength: 1, maxLength: 400, description: "Who carries it, or where it lies." }),
    ),
    calibrated: Type.Optional(Day),
    every_months: Type.Optional(
      Type.Number({ exclusiveMinimum: 0, maximum: 600, description: "Months that a calibration holds." }),
    ),
    certificate: Type.Optional(Words),
    out: Type.Optional(
      Type.String({
        format: "day",
        description: "Since when it is not used any more.",
        says: "Write the date as year-month-day: 2018-03-12.",
      }),
    ),
  },
  {
    ...closed,
    $id: "loftbell.instrument-row.json",
    title: "Instrument row",
    description: "An instrument and its calibration, one CSV row.",
  },
);
export type Instrument = Static<typeof InstrumentSchema>;
