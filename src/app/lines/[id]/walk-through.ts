import type { Act, IsolationPlan } from "@/core/isolation";
import type { Setting } from "@/core/line";

/** How the line is set after the first acts of a plan: shutting, then restoring. */
export function settingAfter(plan: IsolationPlan, acts: number, held: readonly string[]): Required<Setting> {
  const shut = new Set(held);
  const turned = new Map<string, string>();
  for (const act of [...plan.shutting, ...plan.restoring].slice(0, acts))
    switch (act.kind) {
      case "shut":
      case "switch-off":
        shut.add(act.id);
        break;
      case "open":
      case "switch-on":
        if (!held.includes(act.id)) shut.delete(act.id);
        break;
      case "turn":
        turned.set(act.id, plan.turned.find((each) => each.node === act.id)!.to.id);
        break;
      case "turn-back":
        turned.delete(act.id);
        break;
      default:
        break;
    }
  return { shut, turned };
}

export const actAt = (plan: IsolationPlan, step: number): Act | undefined =>
  [...plan.shutting, ...plan.restoring][step - 1];
