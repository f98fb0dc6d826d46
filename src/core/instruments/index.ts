export { channelOf, type Heard, hear, lost, NOTHING_HEARD, type Wanted } from "./heard";
export {
  type Connected,
  type Doubt,
  faultOf,
  type NoReading,
  type Offer,
  offerOf,
  ranOut,
  reads,
  registeredAs,
  runsOutOn,
  takenWith,
} from "./offer";
export { type LineFault, readLine } from "./read-line";
export { asKept, type Recording, recordOn } from "./recording";
export { HIDES, type Hides } from "./simulated/hidden";
export { type Scene, sceneOf } from "./simulated/scene";
export {
  type Broken,
  beat,
  beatOf,
  helloOf,
  type Identity,
  identityOf,
  switchedOn,
  WHOLE,
} from "./simulated/simulated";
