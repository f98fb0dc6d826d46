import type { Services } from "../services";

const SWITCH = "sign-in";

/** Others than this machine reach the server, or it was started so: nobody comes in unnamed. */
export const isAlwaysNeeded = (): boolean =>
  process.env.LOFTBELL_OPEN_TO_NETWORK === "yes" || process.env.LOFTBELL_SIGN_IN === "yes";

/** Whether one has to sign in here: beyond this machine always, on it where it was switched on. */
export const signInNeeded = ({ access }: Pick<Services, "access">): boolean =>
  isAlwaysNeeded() || access.isOn(SWITCH);

export const switchSignIn = ({ access }: Pick<Services, "access">, on: boolean): void =>
  access.switch(SWITCH, on);

/** Whether somebody can come in who may let others in. */
export const hasKeeper = ({ access, library }: Pick<Services, "access" | "library">): boolean => {
  const crew = new Set(library.crew().map(({ id }) => id));
  return access
    .accounts()
    .some(({ person, role, password }) => role === "keeper" && password !== null && crew.has(person));
};
