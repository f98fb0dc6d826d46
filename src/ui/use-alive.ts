"use client";

import { useSyncExternalStore } from "react";

const never = () => () => {};

/** Whether this page takes presses: not while it only stands as the server drew it. */
export const useAlive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
