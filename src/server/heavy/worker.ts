import { isolateTask } from "./isolate-task";
import { planTask } from "./plan-task";
import type { Task, TaskResult } from "./tasks";

/** One question, in a worker of the pool. */
export default function work({ task, body }: { readonly task: Task; readonly body: Uint8Array }): TaskResult {
  switch (task) {
    case "isolate":
      return isolateTask(body);
    case "plan-strip":
      return planTask(body);
  }
}
