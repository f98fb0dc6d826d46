export {
  asTold,
  asWorked,
  type BeginRefusal,
  type Born,
  begin,
  type Chosen,
  placedAt,
  type Which,
} from "./begin";
