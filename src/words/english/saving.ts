/** Where what was entered is. */
export const saving = {
  saved: "saved",
  sending: "saving …",
  "waiting-for-signal": "kept on this device, waiting for signal",
  "not-stored": "kept on this device, the server does not store",
};

export const notStored = {
  title: "The server does not store.",
  kept: "What you enter is kept on this device.",
  refused: "The server refused it.",
};
