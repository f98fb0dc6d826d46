"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { Modal } from "./modal";

/** Asks before a screen is left with work that is not saved: by a link, by closing the page or loading it anew. */
export function Unsaved({ unsaved, what }: { unsaved: boolean; what: string }) {
  const router = useRouter();
  const [leaving, setLeaving] = useState<string>();
  useEffect(() => {
    if (!unsaved) return;
    const onUnload = (event: BeforeUnloadEvent) => event.preventDefault();
    const onClick = (event: MouseEvent) => {
      const to = wayOut(event);
      if (to === undefined) return;
      event.preventDefault();
      event.stopPropagation();
      setLeaving(to);
    };
    addEventListener("beforeunload", onUnload);
    document.addEventListener("click", onClick, true);
    return () => {
      removeEventListener("beforeunload", onUnload);
      document.removeEventListener("click", onClick, true);
    };
  }, [unsaved]);
  return (
    <Modal
      open={leaving !== undefined}
      onOpenChange={(open) => !open && setLeaving(undefined)}
      title="Leave without saving?"
      says={`What you changed in ${what} is not saved.`}
    >
      <div className="flex justify-end gap-3 pt-3">
        <button
          type="button"
          className="btn btn-stop"
          onClick={() => {
            const to = leaving;
            setLeaving(undefined);
            if (to !== undefined) router.push(to);
          }}
        >
          Leave
        </button>
        <button type="button" className="btn btn-go" onClick={() => setLeaving(undefined)}>
          Stay
        </button>
      </div>
    </Modal>
  );
}

/** Where a press on a link would lead away from this screen; nothing when it opens elsewhere or is no link. */
function wayOut(event: MouseEvent): string | undefined {
  if (event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
    return undefined;
  const link = (event.target as HTMLElement | null)?.closest("a[href]") as HTMLAnchorElement | null;
  if (link === null || link.target !== "" || link.hasAttribute("download")) return undefined;
  const { origin, pathname, search, hash } = new URL(link.href);
  const stays = pathname === location.pathname && search === location.search;
  return origin !== location.origin || stays ? undefined : pathname + search + hash;
}
