import { COVER_QUESTION } from "@/core/formats";
import { answerCover } from "@/core/store";
import { highsSolver } from "./highs";
import { readTask } from "./read-task";
import type { TaskResult } from "./tasks";

export async function coverTask(body: Uint8Array): Promise<TaskResult> {
  const read = readTask(body, COVER_QUESTION);
  if (!read.ok) return read.error;
  const answer = answerCover(read.value, await highsSolver());
  return answer.ok ? answer : { ok: false, status: 422, title: "Not valid", problems: answer.error };
}
