import type { Look, Trouble } from "../formats";

/** A knowledge that can be worked out by hand: a shut cock, a burnt coil, a torn diaphragm; one complaint. */
export const SMALL: Trouble = {
  format: "loftbell.trouble",
  version: 1,
  family: "small",
  revision: 1,
  title: "Small",
  demonstration: true,
  complaints: [{ id: "dry", says: "Nothing comes" }],
  causes: [
    { id: "cock", name: "Cock shut", where: "upstream", weights: { dry: 50 }, held: 10, end: "open" },
    { id: "coil", name: "Coil burnt", where: "this-part", weights: { dry: 30 }, held: 10, end: "renew-coil" },
    { id: "torn", name: "Diaphragm torn", where: "this-part", weights: { dry: 20 }, held: 10, end: "inside" },
  ],
  looks: [
    {
      kind: "choice",
      id: "handle",
      ask: "Is the cock open?",
      do: "Look at it.",
      minutes: 1,
      drawn: "stop",
      caller: "Is the tap open?",
      answers: [
        { id: "open", label: "Open" },
        { id: "shut", label: "Shut" },
      ],
      usual: { open: 0.95, shut: 0.05 },
      tells: [{ causes: ["cock"], chances: { open: 0.1, shut: 0.9 } }],
    },
    {
      kind: "choice",
      id: "click",
      ask: "Does it click?",
      do: "Listen.",
      minutes: 2,
      drawn: "ear",
      answers: [
        { id: "yes", label: "It clicks" },
        { id: "no", label: "Silent" },
      ],
      usual: { yes: 0.9, no: 0.1 },
      tells: [{ causes: ["coil"], chances: { yes: 0.05, no: 0.95 } }],
    },
    {
      kind: "choice",
      id: "opened",
      ask: "Cover off: is it torn?",
      do: "Look.",
      minutes: 2,
      drawn: "inside",
      needs: ["cover-off"],
      answers: [
        { id: "whole", label: "Whole" },
        { id: "torn", label: "Torn" },
      ],
      usual: { whole: 0.98, torn: 0.02 },
      tells: [{ causes: ["torn"], chances: { whole: 0.02, torn: 0.98 } }],
    },
  ],
  ends: [
    {
      kind: "do-now",
      id: "open",
      says: "It was shut.",
      minutes: 3,
      do: "Open it",
      look: "It runs",
      once: { look: "handle", answers: ["shut"] },
    },
    { kind: "job", id: "renew-coil", says: "The coil.", minutes: 40, symptom: "dry" },
    { kind: "job", id: "inside", says: "Inside.", minutes: 80, symptom: "dry" },
  ],
  else_percent: 5,
};

export const withLooks = (looks: readonly Look[]): Trouble => ({ ...SMALL, looks: [...looks] });
export const DRY = { complaint: "dry" } as const;
