export * from "./dimension";
export * from "./format";
export { quantityMessage } from "./messages";
export { type DecimalMark, fixed, grouped, marked, type Notation, notationOf } from "./notation";
export { FRACTIONS, inFractions, type PadKey, padUnits, pressed } from "./pad";
export { isBare, parseQuantity } from "./parse";
export { absolute, pascalsAbsolute, shownByGauge } from "./pressure";
export { fromSI, preferredUnit, toSI, UNITS, type Unit, unit, unitNamed, unitsOf } from "./units";
