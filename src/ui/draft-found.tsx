import { Notice } from "./notice";

/** Work of last time that was not saved: to go on with, or to let go. */
export function DraftFound({ onTake, onForget }: { onTake: () => void; onForget: () => void }) {
  return (
    <Notice tone="wait">
      What you changed last time was not saved, and is kept on this device.
      <span className="mt-2 flex gap-2">
        <button type="button" className="btn btn-quiet bg-card" onClick={onTake}>
          Go on with it
        </button>
        <button type="button" className="btn btn-quiet bg-card" onClick={onForget}>
          Let it go
        </button>
      </span>
    </Notice>
  );
}
