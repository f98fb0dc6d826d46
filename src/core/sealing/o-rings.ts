const INCH = 0.0254;

/** An O-ring by its AS568 number: inside diameter and cross-section, m. */
export interface ORing {
  readonly dash: string;
  readonly inside: number;
  readonly section: number;
}

/** Inside diameters in thousandths of an inch, in the order of the dash numbers from `first` on. SAE AS568. */
const series = (first: number, section: number, insides: string): ORing[] =>
  insides.split(" ").map((inside, index) => ({
    dash: String(first + index).padStart(3, "0"),
    inside: (Number(inside) / 1000) * INCH,
    section: section * INCH,
  }));

/** 9xx: rings of straight-thread port fittings, "dash inside section" in thousandths. SAE AS568. */
const PORTS =
  "901 185 56,902 239 64,903 301 64,904 351 72,905 414 72,906 468 78,907 530 82,908 644 87,909 706 97,910 755 97,911 863 116,912 924 116,913 986 116,914 1047 116,916 1171 116,918 1355 116,920 1475 118,924 1720 118,928 2090 118,932 2337 118";

/** The whole series of SAE AS568; ISO 3601-1 lists the same rings in millimetres. */
export const O_RINGS: readonly ORing[] = [
  { dash: "001", inside: 0.029 * INCH, section: 0.04 * INCH },
  { dash: "002", inside: 0.042 * INCH, section: 0.05 * INCH },
  { dash: "003", inside: 0.056 * INCH, section: 0.06 * INCH },
  ...series(
    4,
    0.07,
    "70 101 114 145 176 208 239 301 364 426 489 551 614 676 739 801 864 926 989 1051 1114 1176 1239 1301 1364 1489 1614 1739 1864 1989 2114 2239 2364 2489 2614 2739 2864 2989 3239 3489 3739 3989 4239 4489 4739 4989 5239",
  ),
  ...series(
    102,
    0.103,
    "49 81 112 143 174 206 237 299 362 424 487 549 612 674 737 799 862 924 987 1049 1112 1174 1237 1299 1362 1424 1487 1549 1612 1674 1737 1799 1862 1925 1987 2050 2112 2175 2237 2300 2362 2425 2487 2550 2612 2675 2737 2800 2862 2987 3237 3487 3737 3987 4237 4487 4737 4987 5237 5487 5737 5987 6237 6487 6737 6987 7237 7487 7737 7987 8237 8487 8737 8987 9237 9487 9737",
  ),
  ...series(
    201,
    0.139,
    "171 234 296 359 421 484 546 609 671 734 796 859 921 984 1046 1109 1171 1234 1296 1359 1421 1484 1609 1734 1859 1984 2109 2234 2359 2484 2609 2734 2859 2984 3109 3234 3359 3484 3609 3734 3859 3984 4109 4234 4359 4484 4609 4734 4859 4984 5109 5234 5359 5484 5609 5734 5859 5984 6234 6484 6734 6984 7234 7484 7734 7984 8234 8484 8734 8984 9234 9484 9734 9984 10484 10984 11484 11984 12984 13984 14984 15955 16955 17955",
  ),
  ...series(
    309,
    0.21,
    "412 475 537 600 662 725 787 850 912 975 1037 1100 1162 1225 1287 1350 1475 1600 1725 1850 1975 2100 2225 2350 2475 2600 2725 2850 2975 3100 3225 3350 3475 3600 3725 3850 3975 4100 4225 4350 4475 4600 4725 4850 4975 5100 5225 5350 5475 5600 5725 5850 5975 6225 6475 6725 6975 7225 7475 7725 7975 8225 8475 8725 8975 9225 9475 9725 9975 10475 10975 11475 11975 12975 13975 14975 15955 16955 17955 18955 19955 20955 21955 22940 23940 24940 25940",
  ),
  ...series(
    425,
    0.275,
    "4475 4600 4725 4850 4975 5100 5225 5350 5475 5600 5725 5850 5975 6225 6475 6725 6975 7225 7475 7725 7975 8475 8975 9475 9975 10475 10975 11475 11975 12475 12975 13475 13975 14475 14975 15475 15955 16455 16955 17455 17955 18455 18955 19455 19955 20955 21955 22940 23940 24940 25940",
  ),
  ...PORTS.split(",").map((each): ORing => {
    const [dash, inside, section] = each.split(" ");
    return { dash: dash!, inside: (Number(inside) / 1000) * INCH, section: (Number(section) / 1000) * INCH };
  }),
];

/** Rings nearest to a measured one; a used ring has lost section more than diameter. */
export function nearestORings(inside: number, section: number): readonly ORing[] {
  const off = (ring: ORing) =>
    Math.abs(Math.log(ring.section / section)) * 2 +
    Math.abs(Math.log((ring.inside + ring.section) / (inside + section)));
  return [...O_RINGS].sort((a, b) => off(a) - off(b));
}

/** What a seal's stuff bears: K, and media it must not meet. Usual text-book ranges; the maker's sheet goes before. */
export interface SealMaterial {
  readonly name: string;
  readonly least_K: number;
  readonly most_K: number;
  /** Suits, short-lived or ruled out, by medium. */
  readonly media: Readonly<Record<SealMedium, "good" | "poor" | "never">>;
  readonly mineralGrease: boolean;
}

export const SEAL_MEDIA = [
  "water",
  "hot water",
  "steam",
  "fuel gas",
  "ammonia",
  "co2",
  "mineral oil",
  "chlorinated water",
] as const;
export type SealMedium = (typeof SEAL_MEDIA)[number];

const by = (row: string): SealMaterial["media"] =>
  Object.fromEntries(
    SEAL_MEDIA.map((medium, index) => [
      medium,
      ({ g: "good", p: "poor", n: "never" } as const)[row[index] as "g" | "p" | "n"],
    ]),
  ) as SealMaterial["media"];

const C = 273.15;
/** Letters in the order of SEAL_MEDIA: good, poor, never. Chemical resistance as any elastomer handbook has it. */
export const SEAL_MATERIALS: Readonly<Record<string, SealMaterial>> = {
  nbr: {
    name: "nitrile (NBR)",
    least_K: C - 30,
    most_K: C + 100,
    media: by("gpngpggp"),
    mineralGrease: true,
  },
  epdm: { name: "EPDM", least_K: C - 45, most_K: C + 150, media: by("gggngpng"), mineralGrease: false },
  fkm: {
    name: "fluoro rubber (FKM)",
    least_K: C - 15,
    most_K: C + 200,
    media: by("gpngnpgg"),
    mineralGrease: true,
  },
  cr: {
    name: "chloroprene (CR)",
    least_K: C - 40,
    most_K: C + 100,
    media: by("gpnpgppp"),
    mineralGrease: true,
  },
  vmq: {
    name: "silicone (VMQ)",
    least_K: C - 55,
    most_K: C + 200,
    media: by("gpnnppng"),
    mineralGrease: false,
  },
  ptfe: { name: "PTFE", least_K: C - 150, most_K: C + 230, media: by("gggggggg"), mineralGrease: true },
};
