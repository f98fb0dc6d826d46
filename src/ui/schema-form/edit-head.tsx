import type { ReactNode } from "react";

/** What an editor knows of its document's history and of its saving. */
export interface EditActs {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly saving: boolean;
  readonly maySave: boolean;
  readonly save: () => Promise<void>;
}

/** The head of an editor: what is edited, what saving does, undo, redo, save. */
export function EditHead({
  title,
  says,
  acts: { undo, redo, canUndo, canRedo, saving, maySave, save },
  children,
}: {
  title: string;
  says: string;
  acts: EditActs;
  /** Acts of its own, before the others. */
  children?: ReactNode;
}) {
  return (
    <header className="flex flex-wrap items-end gap-3">
      <div className="min-w-0 flex-1">
        <h1 className="font-bold text-title leading-tight">{title}</h1>
        <p className="text-soft">{says}</p>
      </div>
      {children}
      <button type="button" className="btn btn-quiet" disabled={!canUndo} onClick={undo}>
        Undo
      </button>
      <button type="button" className="btn btn-quiet" disabled={!canRedo} onClick={redo}>
        Redo
      </button>
      <button type="button" className="btn btn-go" disabled={!maySave} onClick={() => void save()}>
        {saving ? "Saving …" : "Save"}
      </button>
    </header>
  );
}
