import clsx from "clsx";
import { type ReactNode, useId } from "react";

/** What every field says: what it asks, what helps, what is wrong with what stands in it. */
export interface Labels {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
  /** A word or two beside the label: "if known", "usual figure". */
  readonly mark?: string | undefined;
  /** In the hand, on a job, the label is read from farther away. */
  readonly large?: boolean;
  /** What it asks is seen from where it stands: the label is read out only. */
  readonly unseen?: boolean;
}

/** What ties an input to its label and to what is said below it. */
export interface Wiring {
  readonly id: string;
  readonly "aria-invalid": boolean;
  readonly "aria-describedby": string;
}

/** A label, what is filled in below it, and under that one line: the message, or what helps. */
export function Labelled({
  label,
  hint,
  error,
  mark,
  large = false,
  unseen = false,
  children,
}: Labels & { children: (wiring: Wiring) => ReactNode }) {
  const id = useId();
  const wrong = error !== undefined;
  return (
    <div className="min-w-0">
      <div className={unseen ? "sr-only" : "mb-1 leading-tight"}>
        <label htmlFor={id} className={clsx("font-semibold", large && "text-lead")}>
          {label}
        </label>
        {mark !== undefined && (
          <span id={`${id}-mark`} className="ml-1.5 text-fine text-soft">
            {mark}
          </span>
        )}
      </div>
      {children({
        id,
        "aria-invalid": wrong,
        "aria-describedby": mark === undefined ? `${id}-says` : `${id}-says ${id}-mark`,
      })}
      <Says id={`${id}-says`} hint={hint} error={error} />
    </div>
  );
}

/** The line below a field. It stands there empty, too, so that a message is read out when it comes. */
export function Says({
  id,
  hint,
  error,
}: {
  id?: string;
  hint?: string | undefined;
  error?: string | undefined;
}) {
  return (
    <span
      {...(id !== undefined && { id })}
      role={error === undefined ? undefined : "alert"}
      className={clsx("mt-0.5 block text-note leading-snug", error === undefined ? "text-soft" : "text-stop")}
    >
      {error ?? hint}
    </span>
  );
}
