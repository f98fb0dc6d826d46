export { boundsOf, distance, type Spot, toMetres } from "./metres";
export { placeOf, spotOf } from "./where";
