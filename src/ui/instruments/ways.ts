/// <reference types="w3c-web-serial" />
import { ASK_HELLO } from "@/core/formats";
import {
  type Broken,
  beat,
  beatOf,
  helloOf,
  type Identity,
  type Scene,
  sceneOf,
  switchedOn,
  WHOLE,
} from "@/core/instruments";
import { nextBolt, type Run } from "@/core/job";
import { timeNow } from "@/edge/clock";
import { instruments } from "./connected";
import { type Ears, plugIn, type Wire } from "./plug-in";
import { forget, hiding, type Remembered, remember } from "./remembered";

/** s between tries to reach a gateway again. */
const TRIES = [1, 2, 5, 10];

/** Connects what was connected, or what somebody chose. */
export function connect(one: Exclude<Remembered, { by: "serial" }>): string {
  remember(one);
  return one.by === "simulated" ? simulated(one.is) : socket(one.address);
}

/** An instrument or its gateway on a WebSocket. */
function socket(address: string): string {
  return plugIn({
    by: "socket",
    name: address,
    tries: TRIES,
    forget: () => forget({ by: "socket", address }),
    open: (ears) => {
      const one = new WebSocket(address);
      one.onopen = () => one.send(`${ASK_HELLO}\n`);
      one.onmessage = ({ data }) => {
        for (const line of String(data).split("\n")) if (line.trim() !== "") ears.line(line);
      };
      one.onclose = ears.lost;
      return {
        close: () => {
          one.onclose = null;
          one.close();
        },
      };
    },
  });
}

/** A port of this device, as the browser hands it over. */
export function cable(port: SerialPort, baud: number): string {
  const way: Remembered = { by: "serial", baud };
  remember(way);
  return plugIn({
    by: "serial",
    name: "cable",
    forget: () => {
      forget(way);
      void port.forget?.();
    },
    open: (ears) => readPort(port, baud, ears),
  });
}

/** Longer than any line: without a line feed it is noise of a wrong speed. */
const MOST_WITHOUT_END = 4000;

function readPort(port: SerialPort, baud: number, ears: Ears): Wire {
  let closed = false;
  let reader: ReadableStreamDefaultReader<Uint8Array> | undefined;
  const hearIt = async () => {
    await port.open({ baudRate: baud });
    const writer = port.writable?.getWriter();
    await writer?.write(new TextEncoder().encode(`${ASK_HELLO}\n`));
    writer?.releaseLock();
    reader = port.readable?.getReader();
    const text = new TextDecoder();
    let rest = "";
    while (!closed && reader !== undefined) {
      const { value, done } = await reader.read();
      if (done) break;
      const lines = (rest + text.decode(value, { stream: true })).split(/\r?\n/);
      rest = lines.pop() ?? "";
      if (rest.length > MOST_WITHOUT_END) {
        lines.push(rest);
        rest = "";
      }
      for (const line of lines) if (line.trim() !== "") ears.line(line);
    }
  };
  hearIt()
    .catch(() => {})
    .finally(() => {
      if (!closed) ears.lost();
    });
  return {
    close: () => {
      closed = true;
      void (reader?.cancel() ?? Promise.resolve()).catch(() => {}).then(() => port.close().catch(() => {}));
    },
  };
}

/** What simulated instruments look at: worked out once for each entry of the job. */
let seen: { readonly job: Run; readonly hides: string; readonly scene: Scene } | undefined;
function sceneNow(): Scene | undefined {
  const job = instruments.lookedAt();
  if (job === undefined) return undefined;
  const hides = hiding();
  if (seen?.job !== job || seen.hides !== hides) seen = { job, hides, scene: sceneOf(job, hides) };
  return seen.scene;
}

/** The pass of the bolts in hand, from 1. */
function passNow(): number | undefined {
  const job = instruments.lookedAt();
  const step = job?.current;
  return job !== undefined && step?.kind === "tighten" ? nextBolt(step, job.progress)?.pass : undefined;
}

/** A simulated instrument: it says the same lines a real one would. */
function simulated(is: Identity): string {
  let broken: Broken = WHOLE;
  let state = switchedOn(is);
  const id: string = plugIn(
    {
      by: "simulated",
      name: is.name,
      forget: () => forget({ by: "simulated", is }),
      open: (ears) => {
        ears.line(JSON.stringify(helloOf(is)));
        const says = () => {
          const pass = passNow();
          const { after, lines } = beat(state, {
            scene: sceneNow(),
            ...(pass !== undefined && { pass }),
            broken,
            now: timeNow(),
            chance: Math.random,
          });
          state = after;
          for (const line of lines) ears.line(line);
        };
        says();
        const ticking = setInterval(says, beatOf(is) * 1000);
        return { close: () => clearInterval(ticking) };
      },
    },
    {
      broken: WHOLE,
      handles: {
        letGo: () => {},
        again: () => {},
        breakIt: (to) => {
          broken = to;
          if (!to.drifts) state = { ...state, off: 0 };
          const one = instruments.all().find((each) => each.id === id);
          if (one !== undefined) instruments.put({ ...one, broken: to });
        },
      },
    },
  );
  return id;
}
