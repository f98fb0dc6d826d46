import { grouped } from "@/core/quantity";
import type { AnswerTo } from "@/edge/contract";
import type { IMPORT } from "@/edge/contracts/importing";

type Change = AnswerTo<typeof IMPORT>["lines"][number]["changes"][number];

/** What of one file changes: each field as it is and as it will be, and what the log knows better. */
export function ImportChanges({ changes, total }: { changes: readonly Change[]; total: number }) {
  const fresh = changes.filter((change) => change.isNew);
  const known = changes.filter((change) => !change.isNew);
  if (changes.length === 0) return null;
  return (
    <div className="mt-2 flex flex-col gap-2">
      {fresh.length > 0 && (
        <p className="text-note">
          <b>New:</b>{" "}
          <span className="break-words">
            {fresh
              .slice(0, 30)
              .map((change) => change.id)
              .join(", ")}
            {fresh.length > 30 && " …"}
          </span>
        </p>
      )}
      {known.length > 0 && (
        <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Fields before and after">
          <table className="w-full text-left text-note">
            <thead>
              <tr className="border-rule border-b-[1.5px]">
                <th className="py-1 pr-3 font-semibold">Which</th>
                <th className="pr-3 font-semibold">Field</th>
                <th className="pr-3 font-semibold">Before</th>
                <th className="font-semibold">After</th>
              </tr>
            </thead>
            <tbody>
              {known.flatMap((change) => [
                ...change.fields.map((field) => (
                  <tr key={change.id + field.path} className="border-rule border-b align-top">
                    <td className="py-1 pr-3 font-semibold">{change.id}</td>
                    <td className="pr-3">{field.path.slice(1)}</td>
                    <td className="break-all pr-3 text-soft line-through">{field.before ?? ""}</td>
                    <td className="break-all">{field.after ?? <i>empty</i>}</td>
                  </tr>
                )),
                ...change.stays.map((field) => (
                  <tr key={`${change.id}${field.path} stays`} className="border-rule border-b align-top">
                    <td className="py-1 pr-3 font-semibold">{change.id}</td>
                    <td className="pr-3">{field.path.slice(1)}</td>
                    <td className="break-all pr-3">{field.before}</td>
                    <td className="text-wait">
                      stays: it was signed off then. The file says {field.after ?? "nothing"}.
                    </td>
                  </tr>
                )),
              ])}
            </tbody>
          </table>
        </div>
      )}
      {total > changes.length && (
        <p className="text-note text-soft">
          … and {grouped(total - changes.length)} more changes, which are made as well.
        </p>
      )}
    </div>
  );
}
