import { openDatabase } from "@/data";
import { loadDemo } from "./importing/load-demo";
import { type Installation, passingInstallation } from "./proof/installation";
import { passingServices, type Services, servicesOn } from "./services";

interface Loaded {
  readonly bytes: Buffer;
  readonly installation: Installation;
}

const loaded = new Map<number, Loaded>();

/** The demo as it stands at a moment is loaded once; each test has a copy of its own. */
function demoAt(now: number): Loaded {
  const had = loaded.get(now);
  if (had !== undefined) return had;
  const installation = passingInstallation();
  const services = passingServices(() => now, undefined, installation);
  loadDemo(services);
  const made = { bytes: services.db.$client.serialize(), installation };
  services.db.$client.close();
  loaded.set(now, made);
  return made;
}

/** It signs with the same key, and remembers for itself. */
function copyOf(installation: Installation): Installation {
  let newest = installation.witness();
  return {
    ...installation,
    witness: () => newest,
    remember: (witness) => {
      newest = witness;
    },
  };
}

/** Services on the demo, in memory: for tests. */
export function demoServices(now: () => number, newId?: () => string): Services {
  const { bytes, installation } = demoAt(now());
  return servicesOn(openDatabase(bytes), now, newId, copyOf(installation));
}
