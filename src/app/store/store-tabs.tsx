import clsx from "clsx";
import Link from "next/link";

const TABS = [
  ["/store", "Stock"],
  ["/store/order", "To order"],
  ["/store/ledger", "Ledger"],
  ["/store/places", "Places"],
] as const;

/** The parts of the store. */
export function StoreTabs({ at }: { at: (typeof TABS)[number][0] }) {
  return (
    <nav aria-label="Store" className="no-print flex flex-wrap gap-x-1 border-rule border-b-[1.5px]">
      {TABS.map(([href, name]) => (
        <Link
          key={href}
          href={href}
          aria-current={href === at ? "page" : undefined}
          className={clsx(
            "min-h-12 content-center border-b-[4px] px-3",
            href === at ? "border-brass-line font-semibold" : "border-transparent text-soft",
          )}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
