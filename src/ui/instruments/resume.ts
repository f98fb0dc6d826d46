/// <reference types="w3c-web-serial" />
import { instrumentRegister } from "@/device/instruments";
import { deviceStore } from "@/device/store";
import { instruments } from "./connected";
import { remembered } from "./remembered";
import { cable, connect } from "./ways";

/** Reads what the register says of instruments; what it said last, without signal. */
export async function learnRegister(): Promise<void> {
  instruments.know(await instrumentRegister(deviceStore()));
}

let resumed = false;
/** Connects what was connected on this device before the page was loaded. */
export async function resume(): Promise<void> {
  if (resumed) return;
  resumed = true;
  void learnRegister();
  for (const one of remembered()) {
    if (one.by !== "serial") connect(one);
    // Ports that were allowed once are open to this page without asking again.
    else for (const port of (await navigator.serial?.getPorts()) ?? []) cable(port, one.baud);
  }
}
