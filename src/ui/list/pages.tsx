import Link from "next/link";
import type { ReactNode } from "react";
import { grouped } from "@/core/quantity";
import { listAddress } from "./list-address";
import type { ListPage } from "./list-page";

type Ask = ListPage<object>["ask"];

/** Where in the list one is, and the way on and back; nothing when there is one page. */
export function Pages({ path, ask, pages }: { path: string; ask: Ask; pages: number }) {
  if (pages <= 1) return null;
  return (
    <nav aria-label="Pages" className="no-print flex items-center justify-center gap-3">
      <PageLink path={path} ask={ask} page={ask.page - 1} off={ask.page <= 1}>
        Before
      </PageLink>
      <span className="plate text-lead">
        {grouped(ask.page)} of {grouped(pages)}
      </span>
      <PageLink path={path} ask={ask} page={ask.page + 1} off={ask.page >= pages}>
        Further
      </PageLink>
    </nav>
  );
}

function PageLink({
  path,
  ask,
  page,
  off,
  children,
}: {
  path: string;
  ask: Ask;
  page: number;
  off: boolean;
  children: ReactNode;
}) {
  return off ? (
    <span className="btn btn-quiet opacity-50" aria-disabled>
      {children}
    </span>
  ) : (
    <Link href={listAddress(path, ask, { page })} className="btn btn-quiet">
      {children}
    </Link>
  );
}
