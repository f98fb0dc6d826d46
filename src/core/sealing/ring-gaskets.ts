/** Gasket factor m and seating stress y, Pa: ASME VIII-1, Appendix 2, table 2-5.1. */
export const GASKET_FACTORS = {
  "soft rubber": { name: "rubber without fabric, below 75 Shore A", m: 0.5, y: 0 },
  "hard rubber": { name: "rubber, 75 Shore A or harder", m: 1, y: 1.4e6 },
  "fabric rubber": { name: "rubber with cotton fabric", m: 1.25, y: 2.8e6 },
  "fibre 3": { name: "fibre sheet with binder, 3.2 mm", m: 2, y: 11e6 },
  "fibre 1.6": { name: "fibre sheet with binder, 1.6 mm", m: 2.75, y: 26e6 },
  "spiral steel": { name: "spiral wound, steel", m: 2.5, y: 69e6 },
  "spiral stainless": { name: "spiral wound, stainless", m: 3, y: 69e6 },
  "flat copper": { name: "solid flat copper", m: 4.75, y: 90e6 },
} as const;
export type GasketKind = keyof typeof GASKET_FACTORS;

/** Basic seating width above which only part of it counts, m: 1/4 in. */
const WIDE = 0.25 * 0.0254;

export interface GasketLoad {
  /** Effective width b and reaction diameter G, m. */
  readonly width: number;
  readonly diameter: number;
  /** End thrust H, operating Wm1 and seating load Wm2, N. */
  readonly thrust: number;
  readonly operating: number;
  readonly seating: number;
}

/**
 * Bolt load of a ring gasket inside the bolt circle. b₀ = N/2; b = b₀, or √(b₀·¼ in) when wider; G the mean diameter, or the
 * outside less 2b. Wm1 = π/4·G²·p + 2b·π·G·m·p; Wm2 = π·b·G·y.
 *
 * @param inside, outside of the pressed ring, m · @param pressure Pa gauge
 * @see ASME VIII-1, Appendix 2, 2-3 and 2-5
 */
export function ringGasketLoad(
  kind: GasketKind,
  inside: number,
  outside: number,
  pressure: number,
): GasketLoad {
  const { m, y } = GASKET_FACTORS[kind];
  const ring = (outside - inside) / 2;
  const basic = ring / 2;
  const wide = basic > WIDE;
  const width = wide ? Math.sqrt(basic * WIDE) : basic;
  const diameter = wide ? outside - 2 * width : (inside + outside) / 2;
  const thrust = (Math.PI / 4) * diameter ** 2 * pressure;
  return {
    width,
    diameter,
    thrust,
    operating: thrust + 2 * width * Math.PI * diameter * m * pressure,
    seating: Math.PI * width * diameter * y,
  };
}
