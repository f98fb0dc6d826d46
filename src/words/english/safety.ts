/** What can happen beyond the valve itself: to those behind it, at a door, in a header. */
export const safety = {
  noSource: {
    can: "Nobody is named who says this figure.",
    do: "Compare it with the maker's paper before you rely on it, and have its source entered in the sheet.",
  },
  mustNotBeWithout: {
    can: (name: string, why: string) => `${name} goes without, and must not: ${why}`,
    do: "No way round is known. Agree with them when, and for how long, before anything is shut.",
  },
  behindADoor: {
    can: (name: string, door: string) => `${name} stands behind a door: ${door}`,
    do: "Have somebody there who lets you in, both when it is shut and when it is opened again.",
  },
  shutForOthers: {
    can: (names: string) => `It is shut off for ${names}, too: more is shut than this valve alone asks for.`,
    do: (names: string) =>
      `Shut all of it before either is opened. Each job hangs locks of its own, and ${names} may still be open when yours come off.`,
  },
  openedBeforeOthers: {
    can: (names: string) =>
      `It was shut off for ${names}, too: opened now, it is shut off once more for that.`,
    do: (names: string) =>
      `Begin ${names} and hang its locks before you open anything here, unless it is done already.`,
  },
  goesOutBehind: {
    can: (names: string) => `While the key passes shut, ${names} can go out.`,
    do: "Be let in to every one of them before it is turned, and leave none before it burns again.",
  },
  sharedHeader: {
    can: (others: string, header: string) =>
      `Others blow into ${header}, too: ${others}. When one lifts, it comes out here.`,
    do: "Stand out of its way until the header is blanked, and again while the blank is out.",
  },
};
