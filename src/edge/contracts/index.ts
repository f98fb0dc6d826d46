import type { Contract } from "../contract";
import { TAKE_ALONG } from "./along";
import { CARE } from "./backups";
import { BUNDLE } from "./bundle";
import {
  CHECK_SHEET,
  COPY_LINE,
  GET_LINE,
  GET_SHEET,
  JOIN_LINE,
  NEW_LINE,
  REMOVE_LINE,
  REMOVE_SHEET,
  SAVE_LINE,
  SAVE_SHEET,
  SPLIT_LINE,
} from "./documents";
import {
  CALCULATE,
  CALCULATORS_LIST,
  COVER,
  GASKET_TEMPLATE,
  ISOLATE,
  JOB_PLAN,
  JOB_PROVE,
  PLAN,
} from "./engines";
import { ADD_PERSON, BELLS, FIND, HEALTH, LIVE, OPENAPI, RESET_DEMO, SCHEMA } from "./here";
import {
  DAY_GEOJSON,
  HOUSE_DAY,
  HOUSE_ROUNDS,
  MOVE_WORK,
  MY_DAY,
  PLAN_AGAIN,
  PUBLISH_WEEK,
  REPORT_WORK,
  ROUNDS_CALENDAR,
  ROUNDS_CSV,
  WHAT_IF,
} from "./house-rounds";
import { IMPORT, TEMPLATE } from "./importing";
import { ADD_EVENTS, GET_JOB, GET_PHOTO, OPEN_JOB, PUT_PHOTO, PUT_PIECE } from "./jobs";
import { OWN } from "./own";
import { PAPERS } from "./papers";
import { PEOPLE_ROUTES } from "./people";
import { JOBS_CSV, KEEP_RESULT, READINGS, TAKE_BACK, VALVE_TAGS, VALVES_CSV } from "./register";
import { ROUNDS_DAY, ROUNDS_PLAN } from "./rounds";
import { STORE } from "./store";
import { TAKING_OUT } from "./taking-out";
import { TROUBLE } from "./trouble";

/** Every route there is; a test holds the folders of the app to this list. */
export const CONTRACTS: readonly Contract[] = [
  ISOLATE,
  PLAN,
  JOB_PLAN,
  JOB_PROVE,
  COVER,
  ROUNDS_DAY,
  ROUNDS_PLAN,
  HOUSE_DAY,
  MY_DAY,
  REPORT_WORK,
  WHAT_IF,
  DAY_GEOJSON,
  HOUSE_ROUNDS,
  MOVE_WORK,
  PUBLISH_WEEK,
  PLAN_AGAIN,
  ROUNDS_CALENDAR,
  ROUNDS_CSV,
  CALCULATORS_LIST,
  CALCULATE,
  GASKET_TEMPLATE,
  OPEN_JOB,
  GET_JOB,
  ADD_EVENTS,
  PUT_PHOTO,
  PUT_PIECE,
  GET_PHOTO,
  JOBS_CSV,
  FIND,
  ...OWN,
  ...TROUBLE,
  ...STORE,
  ...TAKING_OUT,
  ...PAPERS,
  ...BUNDLE,
  ...CARE,
  ...PEOPLE_ROUTES,
  READINGS,
  KEEP_RESULT,
  TAKE_BACK,
  VALVES_CSV,
  VALVE_TAGS,
  CHECK_SHEET,
  SAVE_SHEET,
  GET_SHEET,
  NEW_LINE,
  SAVE_LINE,
  GET_LINE,
  COPY_LINE,
  SPLIT_LINE,
  JOIN_LINE,
  REMOVE_LINE,
  REMOVE_SHEET,
  SCHEMA,
  IMPORT,
  TEMPLATE,
  BELLS,
  TAKE_ALONG,
  LIVE,
  ADD_PERSON,
  RESET_DEMO,
  HEALTH,
  OPENAPI,
] as unknown as readonly Contract[];
