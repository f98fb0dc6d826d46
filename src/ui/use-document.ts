"use client";

import { type RefObject, useEffect, useRef, useState } from "react";
import type { Line, Sheet } from "@/core/formats";
import { call } from "@/edge/client";
import { GET_LINE, GET_SHEET } from "@/edge/contracts/documents";

/** Documents fetched by this page: a list that is scrolled does not fetch them twice. */
const fetched = new Map<string, Promise<Sheet | Line | undefined>>();

function fetchOnce<D extends Sheet | Line>(
  key: string,
  ask: () => Promise<D | undefined>,
): Promise<D | undefined> {
  const known = fetched.get(key) as Promise<D | undefined> | undefined;
  const asked = known ?? ask();
  fetched.set(key, asked);
  return asked;
}

export type Fetched<D> =
  | { readonly kind: "waiting" }
  | { readonly kind: "here"; readonly document: D }
  | { readonly kind: "none" };

/** Fetched when it comes into sight, or at once where all of it is wanted (a wall to be printed). */
function useFetched<D extends Sheet | Line>(
  key: string,
  ask: () => Promise<D | undefined>,
  atOnce: boolean,
): { readonly ref: RefObject<HTMLDivElement | null>; readonly fetched: Fetched<D> } {
  const ref = useRef<HTMLDivElement>(null);
  const [state, setState] = useState<Fetched<D>>({ kind: "waiting" });
  const asking = useRef(ask);
  asking.current = ask;
  useEffect(() => {
    let gone = false;
    const begin = () =>
      void fetchOnce(key, () => asking.current()).then((document) => {
        if (!gone) setState(document === undefined ? { kind: "none" } : { kind: "here", document });
      });
    if (atOnce || ref.current === null) {
      begin();
      return () => {
        gone = true;
      };
    }
    const watch = new IntersectionObserver(
      (entries) => {
        if (!entries.some((entry) => entry.isIntersecting)) return;
        watch.disconnect();
        begin();
      },
      { rootMargin: "300px" },
    );
    watch.observe(ref.current);
    return () => {
      gone = true;
      watch.disconnect();
    };
  }, [key, atOnce]);
  return { ref, fetched: state };
}

export const useSheet = (id: string, atOnce = false) =>
  useFetched<Sheet>(
    `sheet ${id}`,
    async () => {
      const answer = await call(GET_SHEET, { params: { id } });
      return answer.ok ? answer.value : undefined;
    },
    atOnce,
  );

export const useLine = (id: string) =>
  useFetched<Line>(
    `line ${id}`,
    async () => {
      const answer = await call(GET_LINE, { params: { id } });
      return answer.ok ? answer.value : undefined;
    },
    false,
  );
