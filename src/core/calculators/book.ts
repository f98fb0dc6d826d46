import { boltUp } from "./bolts/bolt-up";
import { drawOut } from "./bolts/draw-out";
import { lockerCure } from "./bolts/locker-cure";
import { spannerFinder } from "./bolts/spanner-finder";
import { studLength } from "./bolts/stud-length";
import { taperThread } from "./bolts/taper-thread";
import { threadFinder } from "./bolts/thread-finder";
import { tighteningOrder } from "./bolts/tightening-order";
import { twoThreads } from "./bolts/two-threads";
import { impairmentClock } from "./deciding/impairment-clock";
import { interval } from "./deciding/interval";
import { renewOrReuse } from "./deciding/renew-or-reuse";
import { soakAndHold } from "./deciding/soak-and-hold";
import type { Calculator } from "./declaration";
import { dialTest } from "./gas/dial-test";
import { leakGrade } from "./gas/leak-grade";
import { rideThrough } from "./gas/ride-through";
import { seasonGate } from "./gas/season-gate";
import { coil } from "./irrigation/coil";
import { fieldWire } from "./irrigation/field-wire";
import { pilotDifferential } from "./irrigation/pilot-differential";
import { sensorCheck } from "./irrigation/sensor-check";
import { zoneFlush } from "./irrigation/zone-flush";
import { co2Charge } from "./refrigeration/co2-charge";
import { kv } from "./refrigeration/kv";
import { lockedLiquid } from "./refrigeration/locked-liquid";
import { reliefCheck } from "./refrigeration/relief-check";
import { saturation } from "./refrigeration/saturation";
import { standTest } from "./refrigeration/stand-test";
import { actuatorBalance } from "./safety/actuator-balance";
import { coverForce } from "./safety/cover-force";
import { exposure } from "./safety/exposure";
import { gaugeFitness } from "./safety/gauge-fitness";
import { lift } from "./safety/lift";
import { meterFitness } from "./safety/meter-fitness";
import { reliefVent } from "./safety/relief-vent";
import { gasketCutter } from "./seals/gasket-cutter";
import { gasketLoad } from "./seals/gasket-load";
import { oRing } from "./seals/o-ring";
import { packing } from "./seals/packing";
import { stackDepth } from "./seals/stack-depth";
import { coolDown } from "./steam/cool-down";
import { descale } from "./steam/descale";
import { mixing } from "./steam/mixing";
import { radiator } from "./steam/radiator";
import { steamTable } from "./steam/steam-table";
import { trapLoss } from "./steam/trap-loss";
import { brine } from "./treatment/brine";
import { softener } from "./treatment/softener";
import { decayTest } from "./water/decay-test";
import { drainDown } from "./water/drain-down";
import { fillAndVent } from "./water/fill-and-vent";
import { hammer } from "./water/hammer";
import { head } from "./water/head";
import { hydrantFlow } from "./water/hydrant-flow";
import { leakBy } from "./water/leak-by";
import { vesselContent } from "./water/vessel-content";

/** The bench book: a calculation is added by its file and a line here. */
export const CALCULATORS: readonly Calculator[] = [
  boltUp,
  tighteningOrder,
  studLength,
  drawOut,
  threadFinder,
  twoThreads,
  spannerFinder,
  taperThread,
  lockerCure,
  oRing,
  packing,
  gasketCutter,
  gasketLoad,
  stackDepth,
  hydrantFlow,
  drainDown,
  vesselContent,
  fillAndVent,
  hammer,
  leakBy,
  head,
  decayTest,
  steamTable,
  trapLoss,
  radiator,
  mixing,
  coolDown,
  descale,
  saturation,
  co2Charge,
  reliefCheck,
  standTest,
  lockedLiquid,
  kv,
  softener,
  brine,
  coil,
  fieldWire,
  sensorCheck,
  zoneFlush,
  pilotDifferential,
  rideThrough,
  dialTest,
  leakGrade,
  seasonGate,
  coverForce,
  meterFitness,
  exposure,
  gaugeFitness,
  lift,
  actuatorBalance,
  reliefVent,
  renewOrReuse,
  interval,
  impairmentClock,
  soakAndHold,
];

export const calculatorNamed = (id: string): Calculator | undefined =>
  CALCULATORS.find((each) => each.id === id);
