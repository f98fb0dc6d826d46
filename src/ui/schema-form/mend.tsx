import type { Problem } from "@/core/result";
import { Notice } from "../notice";

const MOST_SHOWN = 12;

/** What has to be mended before it can be stored, in words of the document. @param of the document that problems point into */
export function Mend({ problems, of }: { problems: readonly Problem[]; of: object }) {
  const where = (path: string) => {
    const [, list = "", index = "", ...rest] = path.split("/");
    const entry = (of as Record<string, unknown[]>)[list]?.[Number(index)];
    const { name, ask, says } = (entry ?? {}) as { name?: string; ask?: string; says?: string };
    return [name || ask || says || `${list} ${index}`.trim(), ...rest].join(" › ");
  };
  return (
    <Notice tone="stop" live>
      <b>
        {problems.length === 1 ? "One thing" : `${problems.length} things`} to mend before it can be saved.
      </b>
      <ul className="mt-1 max-h-44 list-disc overflow-y-auto pl-5">
        {problems.slice(0, MOST_SHOWN).map(({ path, message }) => (
          <li key={path + message}>
            <span className="plate">{where(path)}</span>: {message}
          </li>
        ))}
        {problems.length > MOST_SHOWN && <li>and {problems.length - MOST_SHOWN} more.</li>}
      </ul>
    </Notice>
  );
}
