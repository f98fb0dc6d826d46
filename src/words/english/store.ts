const pieces = (count: number) => `${count} ${count === 1 ? "piece" : "pieces"}`;

/** The store's ledger. */
export const store = {
  pieces,
  kinds: {
    in: "Came in",
    out: "Given out",
    moved: "Moved",
    used: "Used",
    back: "Brought back",
    counted: "Counted",
    scrapped: "Thrown away",
    aside: "Put aside",
    freed: "Freed again",
    priced: "New price",
    undone: "Taken back",
  },
  refused: {
    "no-such-place": (place: string) =>
      `"${place}" is no place of this store any more. Choose another place.`,
    "no-such-item": (id: string) => `"${id}" is not known here yet. Add it to the store first.`,
    "too-few": (name: string, place: string, have: number) =>
      have === 0
        ? `No "${name}" is free at ${place}. Count it, or take it from another place.`
        : `Only ${pieces(have)} of "${name}" ${have === 1 ? "is" : "are"} free at ${place}. Count it, or write fewer.`,
    nothing: "Write how many pieces: 1 or more.",
    "same-place": "Choose another place to move it to.",
    "counted-meanwhile": (name: string, place: string, have: number) =>
      `"${name}" at ${place} was moved while you counted: the books say ${have} now. Look again, then save.`,
    "not-of-that-day": (name: string, until: string, have: number) =>
      have === 0
        ? `No "${name}" that holds until ${until} lies here.`
        : `Only ${pieces(have)} of "${name}" ${have === 1 ? "holds" : "hold"} until ${until}.`,
    "not-aside": (name: string, place: string, have: number) =>
      have === 0
        ? `Nothing of "${name}" is put aside at ${place} for that.`
        : `Only ${pieces(have)} of "${name}" ${have === 1 ? "is" : "are"} put aside at ${place} for that.`,
    "undone-already": "This was taken back already.",
  },
};
