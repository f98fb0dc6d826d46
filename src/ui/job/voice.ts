/** Whether this browser can speak. */
export const canSpeak = (): boolean => typeof speechSynthesis !== "undefined";

/** Says one sentence; what was being said is broken off. @param ended not called when it was broken off */
export function speak(text: string, ended: () => void): void {
  speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  said.lang = document.documentElement.lang || "en";
  // Slow enough to be understood beside a pump.
  said.rate = 0.92;
  said.onend = ended;
  speechSynthesis.speak(said);
}

export const hush = (): void => speechSynthesis.cancel();

export interface Buttons {
  readonly again: () => void;
  readonly next: () => void;
  readonly done: () => void;
}

/**
 * The buttons of a headset: the one for stop and go says the next sentence, forward is done, back is again. They come to
 * a page that plays something: it plays nothing that is heard.
 */
export function onHeadset({ again, next, done }: Buttons): () => void {
  if (!("mediaSession" in navigator) || typeof AudioContext === "undefined") return () => {};
  const context = new AudioContext();
  const silence = new Audio();
  silence.srcObject = context.createMediaStreamDestination().stream;
  void silence.play().catch(() => undefined);
  const session = navigator.mediaSession;
  const handlers = { play: next, pause: next, previoustrack: again, nexttrack: done } as const;
  const set = (on: boolean) => {
    for (const [action, handler] of Object.entries(handlers))
      try {
        session.setActionHandler(action as MediaSessionAction, on ? handler : null);
      } catch {
        // This browser knows no such button.
      }
  };
  set(true);
  return () => {
    set(false);
    silence.pause();
    silence.srcObject = null;
    void context.close();
  };
}
