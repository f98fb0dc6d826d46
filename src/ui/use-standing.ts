"use client";

import { useSyncExternalStore } from "react";
import { onStanding, type Standing, standingNow } from "@/device/sync";

const NOTHING_YET: Standing = { kind: "all-there" };

/** How what lies on this device stands to the server. */
export const useStanding = (): Standing => useSyncExternalStore(onStanding, standingNow, () => NOTHING_YET);
