import { Notice } from "./notice";
import type { Draft } from "./use-draft";

/** Work of last time that was not saved, where there is any: to go on with, or to let go. */
export function DraftFound<Document>({
  draft,
  onTake,
}: {
  draft: Draft<Document>;
  onTake: (found: Document) => void;
}) {
  const { found, dismiss, forget } = draft;
  if (found === undefined) return null;
  return (
    <Notice tone="wait">
      What you changed last time was not saved, and is kept on this device.
      <span className="mt-2 flex gap-2">
        <button
          type="button"
          className="btn btn-quiet bg-card"
          onClick={() => {
            onTake(found);
            dismiss();
          }}
        >
          Go on with it
        </button>
        <button type="button" className="btn btn-quiet bg-card" onClick={forget}>
          Let it go
        </button>
      </span>
    </Notice>
  );
}
