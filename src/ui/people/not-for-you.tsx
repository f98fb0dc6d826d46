"use client";

import type { Role } from "@/core/people";
import { Notice } from "../notice";
import { useMay, useSignedIn } from "../settings";

/** What is shown can be looked at; who may change it is said before one begins, where that is not oneself. */
export function NotForYou({ asks }: { asks: Role }) {
  const may = useMay(asks);
  const signedIn = useSignedIn();
  if (may) return null;
  return (
    <Notice tone="wait">
      A {asks} {asks !== "keeper" && "or above "}changes this; you signed in as a {signedIn?.role}. Look at
      it, or ask a keeper.
    </Notice>
  );
}
