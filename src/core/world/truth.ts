/** What an adversary may have hidden: one thing that is otherwise than anybody believes. */
export type Truth =
  | { readonly kind: "none" }
  /** This closure passes a little when it is shut. */
  | { readonly kind: "passes"; readonly link: string }
  /** The gauge reads low by this much. */
  | { readonly kind: "gauge-reads-low"; readonly bar: number }
  /** Pressure is caught behind the closing part and shows when the joint is cracked. */
  | { readonly kind: "caught"; readonly bar: number }
  /** Work is stopped before this card and taken up again after a night, in which every closure lets a little through. */
  | { readonly kind: "stopped-at"; readonly step: string }
  /** The valve stands otherwise than its sheet begins with. */
  | { readonly kind: "found-at"; readonly position: string }
  /** The store has none of this part, whatever its list says. */
  | { readonly kind: "store-lacks"; readonly part: string };
