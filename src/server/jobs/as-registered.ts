import type { Instrument, JobEvent, TakenWith } from "@/core/formats";
import { registeredAs, runsOutOn } from "@/core/instruments";
import { withInstruments } from "@/core/job";
import type { Services } from "../services";

/**
 * What an instrument is, and until when its calibration holds, is what the register says here, whatever was sent: one
 * that is not in it stands without a calibration.
 */
export const asRegistered = (services: Services, event: JobEvent): JobEvent =>
  withInstruments(event, (taken) => calibratedAs(services, taken));

/** One instrument, as the register has it now. */
export const calibratedAs = ({ things }: Pick<Services, "things">, taken: TakenWith): TakenWith =>
  withCalibration(taken, registeredAs(things.all("instrument"), taken.serial));

function withCalibration(taken: TakenWith, instrument: Instrument | undefined): TakenWith {
  const { registered: _, calibrated: __, until: ___, ...said } = taken;
  if (instrument === undefined) return said;
  const until = runsOutOn(instrument);
  return {
    ...said,
    registered: instrument.id,
    ...(instrument.calibrated !== undefined && { calibrated: instrument.calibrated }),
    ...(until !== undefined && { until }),
  };
}
