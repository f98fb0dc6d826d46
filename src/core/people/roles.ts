/**
 * As what somebody signs in. Each may do what those before it may: a reader looks; a technician works and reports; a
 * planner changes what the work is planned by; a keeper says who may do what, and keeps the data.
 */
export const ROLES = ["reader", "technician", "planner", "keeper"] as const;
export type Role = (typeof ROLES)[number];

/** What only a keeper changes: who may work on what, and by which rules. */
const KEPT_BY_KEEPERS: ReadonlySet<string> = new Set(["person", "house"]);

/** As what one has to come in, at least, to change own data of a kind. */
export const roleToChange = (kind: string): Role => (KEPT_BY_KEEPERS.has(kind) ? "keeper" : "planner");

/** Whether one role may do what is asked of at least another. */
export const mayAs = (role: Role, asked: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(asked);
