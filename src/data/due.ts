/** A valve of which neither service nor installation is known rings at once, whatever the time is. */
export const AT_ONCE = 0;
/** Nothing is planned: the last moment a date can hold, so that it sorts behind all that is. */
export const NEVER = 8_640_000_000_000_000;

/** When a valve rings next by the calendar, as its row keeps it. */
export interface KeptDue {
  readonly at: number;
  readonly what: string;
  readonly why: string;
}
