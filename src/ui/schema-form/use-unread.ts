"use client";

import { useCallback, useState } from "react";
import type { Problem } from "@/core/result";

/** What stands in a form but cannot be read, and so is not in the document: nothing is saved over it. */
export function useUnread() {
  const [unread, setUnread] = useState<readonly Problem[]>([]);
  const onUnread = useCallback(
    (path: string, message: string | undefined) =>
      setUnread((now) => {
        const others = now.filter((each) => each.path !== path);
        return message === undefined ? others : [...others, { path, message }];
      }),
    [],
  );
  return { unread, onUnread };
}
