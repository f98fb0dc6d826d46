import { ROLES, type Role, roleToChange } from "@/core/people";
import type { Services } from "../services";

/** As what one undoes a change: one's own as what one made it, somebody else's as what changes such things. */
export function roleToUndo({ edits }: Services, id: string, by: string): Role {
  if (edits.find(id)?.by === by) return "technician";
  const asked = edits.kindsOf(id).map((kind) => ROLES.indexOf(roleToChange(kind)));
  return ROLES[Math.max(ROLES.indexOf("planner"), ...asked)]!;
}
