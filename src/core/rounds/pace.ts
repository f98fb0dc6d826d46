import { crossedEffects, type Spread } from "../statistics";

/** A job that was done: how long its hands-on work took beside what was compiled for it. */
export interface JobTaken {
  readonly family: string;
  /** Who did most of it, where that is a crew of today. */
  readonly crew: string | undefined;
  /** min. */
  readonly taken: number;
  readonly compiled: number;
}

/** Times of what was compiled: half of all jobs take no longer, four of five take no longer. */
export interface Times {
  readonly half: number;
  readonly most: number;
}

/** How long work takes here, as times of what is compiled. */
export interface Pace {
  /** Of a crew that nobody knows. */
  readonly ofFamily: (family: string) => number;
  /** Times what its family takes. */
  readonly ofCrew: (crew: string) => number;
  readonly of: (family: string, crew: string | undefined) => Times;
  /** How many jobs it is learnt from. */
  readonly jobsOfFamily: (family: string) => number;
  readonly jobsOfCrew: (crew: string) => number;
}

/**
 * Believed before any job is done, of the logarithm of the times: that compiled minutes are right for a crew at work, give
 * or take a fifth for a house, a quarter for a family, a seventh for a crew, and three tenths from one job to the next. No
 * source: of many jobs it hardly counts.
 */
const BELIEVED: Spread = { all: 0.2, rows: 0.25, columns: 0.15, each: 0.3, worth: 10 };
/** Beyond four times either way somebody entered it all afterwards, or went away without saying so. */
const MOST_TIMES = 4;
/** Less work than this says nothing of a crew. */
const LEAST_MIN = 10;
/** Planned work does not move for less. */
const STEP = 0.05;
/** Four of five lie below so many standard deviations. */
const FOUR_OF_FIVE = 0.8416;

/** What was taken, by family and crew: few jobs move it little. */
export function paceOf(done: readonly JobTaken[]): Pace {
  const counted = done.filter(
    ({ taken, compiled }) =>
      compiled >= LEAST_MIN && taken <= MOST_TIMES * compiled && taken >= compiled / MOST_TIMES,
  );
  const effects = crossedEffects(
    counted.map(({ family, crew, taken, compiled }) => ({
      row: family,
      column: crew,
      value: Math.log(taken / compiled),
    })),
    BELIEVED,
  );
  const inSteps = (effect: number) =>
    Math.min(MOST_TIMES, Math.max(1 / MOST_TIMES, Math.round(Math.exp(effect) / STEP) * STEP));
  const ofFamily = (family: string) => inSteps(effects.row(family));
  const ofCrew = (crew: string) => inSteps(effects.column(crew));
  return {
    ofFamily,
    ofCrew,
    of: (family, crew) => {
      const half = ofFamily(family) * (crew === undefined ? 1 : ofCrew(crew));
      return { half, most: half * Math.exp(FOUR_OF_FIVE * effects.next(family, crew).deviation) };
    },
    jobsOfFamily: (family) => counted.filter((each) => each.family === family).length,
    jobsOfCrew: (crew) => counted.filter((each) => each.crew === crew).length,
  };
}
