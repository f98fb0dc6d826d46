import { coverTask } from "./cover-task";
import type { HouseRoundsWork } from "./house-rounds-task";
import { isolateTask } from "./isolate-task";
import { jobPlanTask, jobProveTask } from "./job-task";
import { planTask } from "./plan-task";
import { roundsDayTask, roundsPlanTask } from "./rounds-task";
import type { StoreDone, StoreWork } from "./store-task";
import type { Task, TaskResult } from "./tasks";
import { bringTask, troubleTask } from "./trouble-task";

type Work = { readonly task: Task; readonly body: Uint8Array } | HouseRoundsWork | StoreWork;

/** One piece of work, in a worker of the pool. */
export default async function work(asked: Work): Promise<TaskResult | StoreDone> {
  switch (asked.task) {
    case "isolate":
      return isolateTask(asked.body);
    case "plan-strip":
      return planTask(asked.body);
    case "plan-job":
      return jobPlanTask(asked.body);
    case "prove-job":
      return jobProveTask(asked.body);
    case "trouble-next":
      return troubleTask(asked.body);
    case "trouble-bring":
      return bringTask(asked.body);
    case "rounds-day":
      return roundsDayTask(asked.body);
    case "rounds-plan":
      return roundsPlanTask(asked.body);
    case "rounds-house": {
      const { houseRoundsTask } = await import("./house-rounds-task");
      return houseRoundsTask(asked);
    }
    case "cover":
      return coverTask(asked.body);
    default: {
      // A worker that only answers questions needs no database.
      const { storeTask } = await import("./store-task");
      return storeTask(asked);
    }
  }
}
