export { checkLine } from "./check-line";
export { energies, fed, isEnergy, type Network, network, otherEnd, reachable, standsShut } from "./network";
