import type { Sheet } from "@/core/formats";
import type { Problem } from "@/core/result";
import { Notice } from "@/ui/notice";

/** What has to be mended before it can be stored, in words of the sheet. */
export function Problems({ problems, sheet }: { problems: readonly Problem[]; sheet: Sheet }) {
  const where = (path: string) => {
    const [, list, index, ...rest] = path.split("/");
    const entry = (sheet as unknown as Record<string, unknown[]>)[list ?? ""]?.[Number(index)];
    const name =
      (entry as { name?: string; id?: string } | undefined)?.name || `${list ?? ""} ${index ?? ""}`;
    return [name.trim(), ...rest].join(" › ");
  };
  return (
    <Notice tone="stop" live>
      <b>
        {problems.length === 1 ? "One thing" : `${problems.length} things`} to mend before it can be saved.
      </b>
      <ul className="mt-1 max-h-44 list-disc overflow-y-auto pl-5">
        {problems.slice(0, 12).map((problem) => (
          <li key={problem.path + problem.message}>
            <span className="plate">{where(problem.path)}</span>: {problem.message}
          </li>
        ))}
        {problems.length > 12 && <li>and {problems.length - 12} more.</li>}
      </ul>
    </Notice>
  );
}
