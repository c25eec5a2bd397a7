/** Woodruff keys: ASME B17.2 by number in inch, ISO 3912 and the older DIN 6888 in mm. */

/** One row of ASME B17.2, all inch: nominal width and cutter diameter, key height C at its largest, drop E of its center. */
export interface InchWoodruff {
  number: string;
  width: number;
  diameter: number;
  height: number;
  drop: number;
}

/** Height and drop by diameter: every key of a diameter has the same. */
const byDiameter: readonly (readonly [
  eighths: number,
  height: number,
  drop: number,
  widths: readonly number[],
])[] = [
  [2, 0.109, 1 / 64, [2]],
  [2.5, 0.14, 1 / 64, [2, 3]],
  [3, 0.172, 1 / 64, [2, 3, 4]],
  [4, 0.203, 3 / 64, [2, 3, 4]],
  [5, 0.25, 1 / 16, [3, 4, 5, 6]],
  [6, 0.313, 1 / 16, [4, 5, 6, 8]],
  [7, 0.375, 1 / 16, [5, 6, 7, 8]],
  [8, 0.438, 1 / 16, [6, 7, 8, 10, 12]],
  [9, 0.484, 5 / 64, [6, 7, 8, 10]],
  [10, 0.547, 5 / 64, [6, 7, 8, 10, 12]],
  [11, 0.594, 3 / 32, [8, 10, 12]],
  [12, 0.641, 7 / 64, [8, 10, 12]],
];

export const inchWoodruffs: readonly InchWoodruff[] = byDiameter.flatMap(([eighths, height, drop, widths]) =>
  widths.map((w) => ({
    number: `${w}${Number.isInteger(eighths) ? String(eighths).padStart(2, "0") : `0${eighths}`}`,
    width: w / 32,
    diameter: eighths / 8,
    height,
    drop,
  })),
);

export const inchWoodruff = (number: string): InchWoodruff | null =>
  inchWoodruffs.find((k) => k.number === number.trim()) ?? null;

/**
 * Nominal width and diameter by the rule of the numbers: the last two digits are eighths of an inch of diameter, those before
 * them thirty-seconds of width. Null for what is no such number; an old single number is one too few.
 */
export function decodeWoodruff(number: string): { width: number; diameter: number } | null {
  const parts = /^([1-9]\d?)(\d\d(?:\.5)?)(?:-1)?$/.exec(number.trim());
  if (!parts) return null;
  const eighths = Number(parts[2]);
  return eighths > 0 ? { width: Number(parts[1]) / 32, diameter: eighths / 8 } : null;
}

/** Depth in shaft and hub as tabulated, inch, both from the side wall of the seat and with +0.005: B = C − W/2 − 0.005. */
export const inchWoodruffDepths = ({ width, height }: Pick<InchWoodruff, "width" | "height">) => ({
  shaft: height - width / 2 - 0.005,
  hub: width / 2 + 0.006,
  plus: 0.005,
});

/** Numbers that drawings before the present ones used, and what they are called now. */
export const oldWoodruffNumbers: Readonly<Record<string, string>> = {
  "1": "204",
  "2": "304",
  "3": "404",
  "4": "305",
  "5": "405",
  "6": "505",
  "7": "406",
  "8": "506",
  "9": "606",
  "10": "507",
  "11": "607",
  "12": "707",
  A: "807",
  "13": "608",
  "14": "708",
  "15": "808",
  B: "1008",
  "16": "609",
  "17": "709",
  "18": "809",
  C: "1009",
  "19": "610",
  "20": "710",
  "21": "810",
  D: "1010",
  E: "1210",
  "22": "811",
  "23": "1011",
  F: "1211",
  "24": "812",
  "25": "1012",
  G: "1212",
};

/** One metric row, all mm: key, depth in the shaft from its crown, depth in the hub; ISO 3912 also the shafts it drives. */
export interface MetricWoodruff {
  b: number;
  h: number;
  diameter: number;
  t1: number;
  t2: number;
}

/** ISO 3912, series 1: shafts over the first and up to the second figure, for driving. */
export const iso3912: readonly (MetricWoodruff & { over: number; to: number })[] = (
  [
    [3, 4, 1, 1.4, 4, 1, 0.6],
    [4, 5, 1.5, 2.6, 7, 2, 0.8],
    [5, 6, 2, 2.6, 7, 1.8, 1],
    [6, 7, 2, 3.7, 10, 2.9, 1],
    [7, 8, 2.5, 3.7, 10, 2.7, 1.2],
    [8, 10, 3, 5, 13, 3.8, 1.4],
    [10, 12, 3, 6.5, 16, 5.3, 1.4],
    [12, 14, 4, 6.5, 16, 5, 1.8],
    [14, 16, 4, 7.5, 19, 6, 1.8],
    [16, 18, 5, 6.5, 16, 4.5, 2.3],
    [18, 20, 5, 7.5, 19, 5.5, 2.3],
    [20, 22, 5, 9, 22, 7, 2.3],
    [22, 25, 6, 9, 22, 6.5, 2.8],
    [25, 28, 6, 10, 25, 7.5, 2.8],
    [28, 32, 8, 11, 28, 8, 3.3],
    [32, 38, 10, 13, 32, 10, 3.3],
  ] as const
).map(([over, to, b, h, diameter, t1, t2]) => ({ over, to, b, h, diameter, t1, t2 }));

/** DIN 6888, row A, for older drawings: it differs from ISO 3912 in rows and by 0.1 to 0.2 in depths. */
export const din6888: readonly MetricWoodruff[] = (
  [
    [1, 1.4, 4, 1, 0.6],
    [1.5, 2.6, 7, 2, 0.8],
    [2, 2.6, 7, 1.8, 1],
    [2, 3.7, 10, 2.9, 1],
    [2.5, 3.7, 10, 2.9, 1],
    [3, 3.7, 10, 2.5, 1.4],
    [3, 5, 13, 3.8, 1.4],
    [3, 6.5, 16, 5.3, 1.4],
    [4, 5, 13, 3.5, 1.7],
    [4, 6.5, 16, 5, 1.7],
    [4, 7.5, 19, 6, 1.7],
    [5, 6.5, 16, 4.5, 2.2],
    [5, 7.5, 19, 5.5, 2.2],
    [5, 9, 22, 7, 2.2],
    [6, 7.5, 19, 5.1, 2.6],
    [6, 9, 22, 6.6, 2.6],
    [6, 10, 25, 7.6, 2.6],
    [6, 11, 28, 8.6, 2.6],
    [8, 9, 22, 6.2, 3],
    [8, 11, 28, 8.2, 3],
    [8, 13, 32, 10.2, 3],
    [10, 11, 28, 7.8, 3.4],
    [10, 13, 32, 9.8, 3.4],
    [10, 16, 45, 12.8, 3.4],
  ] as const
).map(([b, h, diameter, t1, t2]) => ({ b, h, diameter, t1, t2 }));

/** The Woodruff key that drives a shaft by ISO 3912, mm; null outside 3 to 38. */
export const metricWoodruffFor = (shaft: number) =>
  iso3912.find((row) => shaft > row.over && shaft <= row.to) ?? null;
