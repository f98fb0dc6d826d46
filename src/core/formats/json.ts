import { err, ok, type Problem, type Result } from "../result";

/** No document here is nested half as deep; what is deeper was made to be a burden. */
const MOST_LEVELS = 100;

/** Reads JSON text that somebody sent: nesting is counted first, so that nothing later runs out of room. */
export function readJson(text: string): Result<unknown, Problem[]> {
  if (nesting(text) > MOST_LEVELS)
    return err([
      { path: "", message: `Nested deeper than ${MOST_LEVELS} levels: this is no document of ours.` },
    ]);
  try {
    return ok(JSON.parse(text));
  } catch (error) {
    return err([
      {
        path: "",
        message: `Not readable as JSON: ${error instanceof Error ? error.message : error}. Export it again.`,
      },
    ]);
  }
}

function nesting(text: string): number {
  let depth = 0;
  let deepest = 0;
  let inString = false;
  for (let at = 0; at < text.length; at++) {
    const letter = text.charCodeAt(at);
    if (inString) {
      if (letter === 0x5c) at += 1;
      else if (letter === 0x22) inString = false;
    } else if (letter === 0x22) inString = true;
    else if (letter === 0x5b || letter === 0x7b) deepest = Math.max(deepest, ++depth);
    else if (letter === 0x5d || letter === 0x7d) depth -= 1;
  }
  return deepest;
}
