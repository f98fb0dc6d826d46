import clsx from "clsx";
import Link from "next/link";

/** A stamped brass tag with its rivet hole: the id of a valve. */
export function Plate({ id, size = "md", href }: { id: string; size?: "md" | "lg"; href?: string }) {
  const plate = (
    <span
      className={clsx(
        "plate relative inline-block whitespace-nowrap rounded border-[1.5px] border-brass-line bg-brass-bg text-ink",
        size === "lg" ? "py-1 pr-4 pl-8 text-title" : "py-0.5 pr-2.5 pl-6 text-lead",
      )}
    >
      <span
        aria-hidden
        className={clsx(
          "-translate-y-1/2 absolute top-1/2 rounded-full border-[1.5px] border-brass-line bg-paper",
          size === "lg" ? "left-2.5 size-3" : "left-2 size-2.5",
        )}
      />
      {id}
    </span>
  );
  return href === undefined ? (
    plate
  ) : (
    <Link prefetch={false} href={href} className="inline-flex min-h-11 items-center">
      {plate}
    </Link>
  );
}
