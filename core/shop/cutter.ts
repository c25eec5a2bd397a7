import { extent, gap, type Mm } from "../quantity/index.ts";
import { cutterKindFacts, cutterKindSchema, toolMaterialSchema } from "../handbook/index.ts";
import * as z from "../zod.ts";
import { ownChecksSchema } from "./own-check.ts";

export const cutterConditions = ["new", "used", "worn", "expendable"] as const;
export const ratings = ["good", "fair", "poor"] as const;
const ratingSchema = z.enum(ratings);

export const dialWays = ["diameter", "radius"] as const;

export const cutterSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1),
  retired: z.boolean(),
  kind: cutterKindSchema,
  material: toolMaterialSchema,
  /** Nominal diameter, mm. */
  diameter: extent.min(0.1).max(500),
  /** Diameter as measured, mm; null while it was not. */
  measured: extent.min(0.1).max(500).nullable(),
  teeth: z.number().int().min(1).max(300),
  /** Helix in degrees; 0 for straight teeth. */
  helix: z.number().min(0).max(60),
  hand: z.enum(["right", "left"]),
  /** Length of the cutting edges along the axis, mm; of a disc cutter or saw its width. */
  fluteLength: extent.max(1000),
  /** Length out of its holder to the cutting end, mm. */
  stickout: extent.max(1000),
  /** Shank diameter, mm; of an arbor or shell cutter its bore. */
  shank: extent.max(300),
  /** Radius at the corner, mm; half the diameter for a ball. */
  cornerRadius: z.number().min(0).max(250),
  /** Entering angle in degrees: 90 is a square shoulder (the lead angle is 90° minus it). */
  enteringAngle: z.number().min(10).max(90),
  inserts: z.enum(["none", "straight", "round"]),
  /** Whether every insert stands level with the others, as tried with an indicator. */
  level: z.boolean(),
  /** Deepest cut the insert or tooth bears, mm; null when the rule for its kind decides. */
  maxDepth: extent.nullable(),
  centerCutting: z.boolean(),
  /** Of a tap: what it goes on in a turn, mm; null while it is not entered. */
  pitch: extent.max(25).nullable().default(null),
  /** Of a boring head: the largest hole it bores, mm (its diameter is the smallest it goes into); null while it is not entered. */
  opens: extent.max(500).nullable().default(null),
  /** Of a boring head: whether its dial counts on the diameter or on the radius, and its division, mm; null for no dial. */
  dialOn: z.enum(dialWays).default("diameter"),
  dialDivision: extent.max(2).nullable().default(null),
  /** Run-out at the edge as indicated (TIR), mm; null while not tried. */
  runOut: gap.max(5).nullable(),
  condition: z.enum(cutterConditions),
  /** What it is good for: a wall, a floor, scale and skin. */
  rating: z.object({ wall: ratingSchema, floor: ratingSchema, scale: ratingSchema }),
  minutesUsed: z.number().min(0).max(1_000_000),
  /** Holder it stands in; null when none is chosen. */
  holder: z.string().nullable(),
  /** What a new one costs, in the shop's money, and how many minutes it lasts; null while not entered. */
  price: z.number().min(0).max(1e6).nullable().default(null),
  life: z.number().positive().max(1e6).nullable().default(null),
  checks: ownChecksSchema,
});
export type Cutter = z.infer<typeof cutterSchema>;

/** The diameter that cuts: as measured, else nominal, mm. */
export const cuttingDiameter = (cutter: Cutter): Mm => cutter.measured ?? cutter.diameter;

/** A boring head opened to a diameter, mm: as any cutter of that size. Another cutter is what it is. */
export const setTo = (cutter: Cutter, diameter: Mm): Cutter =>
  cutter.kind === "boringHead" ? { ...cutter, measured: diameter } : cutter;

/** A cutter with the usual values of its kind for what is not said. Sizes in mm. */
export function newCutter(
  given: Pick<Cutter, "id" | "name" | "kind" | "material" | "diameter" | "teeth" | "fluteLength"> &
    Partial<Cutter>,
): Cutter {
  const { mount } = cutterKindFacts[given.kind];
  const shank = mount === "shank";
  return {
    retired: false,
    measured: null,
    helix: given.kind === "faceMill" || given.kind === "flyCutter" || given.kind === "slittingSaw" ? 0 : 30,
    hand: "right",
    stickout: Math.max(given.fluteLength + (shank ? 5 : 0), shank ? 2 * given.diameter : given.fluteLength),
    shank: shank ? given.diameter : mount === "arbor" ? 27 : 22,
    cornerRadius: given.kind === "ballEnd" ? given.diameter / 2 : given.kind === "faceMill" ? 0.8 : 0,
    enteringAngle: 90,
    inserts: given.kind === "faceMill" ? "straight" : "none",
    level: true,
    maxDepth: null,
    centerCutting: false,
    pitch: null,
    opens: null,
    dialOn: "diameter",
    dialDivision: null,
    runOut: null,
    condition: "used",
    rating: { wall: "fair", floor: "fair", scale: "poor" },
    minutesUsed: 0,
    price: null,
    life: null,
    holder: null,
    ...given,
  };
}
