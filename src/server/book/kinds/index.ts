import type { ThingKind } from "@/core/formats";
import type { Kind, Things } from "../kind";
import { LINE, SHEET, STORE } from "./documents";
import { JOB, READING } from "./log";
import { PERSON } from "./person";
import { CASE, GROUND, HOUSE, INSTRUMENT, MAPPING, ORDER, PAPER, PLACE, ROUNDS, TROUBLE } from "./small";
import { VALVE } from "./valve";

/** Every kind of thing that can be changed, brought in, and taken back. */
const KINDS: { readonly [K in ThingKind]: Kind<Things[K]> } = {
  valve: VALVE,
  line: LINE,
  sheet: SHEET,
  store: STORE,
  person: PERSON,
  reading: READING,
  job: JOB,
  place: PLACE,
  instrument: INSTRUMENT,
  house: HOUSE,
  paper: PAPER,
  mapping: MAPPING,
  ground: GROUND,
  order: ORDER,
  trouble: TROUBLE,
  case: CASE,
  rounds: ROUNDS,
};

export const kindOf = <K extends ThingKind>(kind: K): Kind<Things[K]> =>
  KINDS[kind] as unknown as Kind<Things[K]>;
