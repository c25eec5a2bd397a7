import { daySchema, extent, gap } from "../quantity/index.ts";
import * as z from "../zod.ts";
import { ownChecksSchema } from "./own-check.ts";

const owned = { id: z.string().min(1), name: z.string().min(1), retired: z.boolean() };

/** How a vise is held on the table. */
export const mountings = ["bolts", "clamps", "side"] as const;
export type Mounting = (typeof mountings)[number];

export const mountingWords: Record<Mounting, string> = {
  bolts: "bolts through its lugs",
  clamps: "clamps on its edge",
  side: "lying on its side",
};

export const viseSchema = z.object({
  ...owned,
  /** All in mm. Jaw depth is measured from the bed to the top of the jaw. */
  opening: extent,
  jawWidth: extent,
  jawDepth: extent,
  jawThickness: extent,
  /** Height of the bed above the table. */
  bedHeight: extent,
  /** Chamfer of the jaw edge. */
  jawChamfer: gap,
  /** Relief slot at the foot of the fixed jaw, mm high; 0 for none. */
  relief: gap,
  /** Where the fixed jaw stands, seen by the operator. */
  fixedJaw: z.enum(["back", "front"]),
  /** Lead of its screw, mm a turn, and an ordinary pull at its handle, N·m: they give the clamp force. */
  screwLead: extent.min(0.1).max(50),
  pull: z.number().min(1).max(1_000_000),
  /** Day the pull was last checked at the handle, yyyy-mm-dd; empty where nobody did. */
  pullChecked: daySchema.default(""),
  /** How far the fixed jaw gives under a hard pull, mm; null while not measured. */
  stretch: z.number().min(0).max(10_000).nullable(),
  /** How it is held on the table, and how far the jaw gave where that was tried: it hangs on the mounting; mm. */
  mounting: z.enum(mountings).default("bolts"),
  stretchBy: z.partialRecord(z.enum(mountings), z.number().min(0).max(10_000)).default({}),
  /** How far tightening lifts a part for each 10 mm that it is gripped above the middle of the jaw, mm; null while not measured. */
  jawLift: z.number().min(0).max(100).nullable().default(null),
  /** Fixed jaw out of square to the table: mm over 50, plus leans outward; null while not measured. */
  jawSquareness: z.number().min(-100).max(100).nullable(),
  /** Fixed jaw out of line with X, bed against the table along X and across: mm over 100; null while not measured. */
  jawLine: z.number().min(-100).max(100).nullable().default(null),
  bedAlong: z.number().min(-100).max(100).nullable().default(null),
  bedAcross: z.number().min(-100).max(100).nullable().default(null),
  checks: ownChecksSchema,
});
export type Vise = z.infer<typeof viseSchema>;

/** How far the jaw gives as the vise is mounted now, mm; null where that was never tried. */
export const stretchOf = ({
  stretch,
  mounting,
  stretchBy,
}: Pick<Vise, "stretch" | "mounting" | "stretchBy">) =>
  stretchBy[mounting] ?? (Object.keys(stretchBy).length === 0 ? stretch : null);

/** A matched pair of parallels. */
export const parallelsSchema = z.object({
  ...owned,
  /** mm */
  height: extent,
  thickness: extent,
  length: extent,
  /** How much one is higher than the other, mm; null while not measured. */
  unlike: z.number().min(0).max(10).nullable().default(null),
  checks: ownChecksSchema,
});
export type Parallels = z.infer<typeof parallelsSchema>;

/** Soft round bar between the moving jaw and an unmachined face. */
export const rodSchema = z.object({ ...owned, /** mm */ diameter: extent });
export type Rod = z.infer<typeof rodSchema>;

export const aidKinds = ["vBlocks", "strap", "stud", "tNut", "jack", "stop", "angleBlock", "plate"] as const;
export type AidKind = (typeof aidKinds)[number];

export const aidWords: Record<AidKind, string> = {
  vBlocks: "V-blocks",
  strap: "strap clamp",
  stud: "stud",
  tNut: "T-nut",
  jack: "jack",
  stop: "stop",
  angleBlock: "angle block",
  plate: "backing plate",
};

/** What helps to hold: V-blocks, straps, studs, T-nuts, jacks, stops, angle blocks, plates to cut into or to glue on. */
export const aidSchema = z.object({
  ...owned,
  kind: z.enum(aidKinds),
  count: z.number().int().min(1).max(10_000),
  /** Shortest and longest it spans: strap or stud length, jack height, diameter a V-block takes, slot of a T-nut; how thick a plate is and how far across; mm. */
  from: z.number().min(0).max(10_000),
  to: extent,
  /** Thread of stud, T-nut or jack, as it is called; empty for others. */
  thread: z.string(),
  /** Angle of an angle block or V-block, degrees; null for others. */
  angle: z.number().positive().max(180).nullable(),
  /** How closely a part comes back to a stop, mm, and the day that was tried, yyyy-mm-dd; null and empty where nobody did. */
  comesBack: z.number().min(0).max(100).nullable().default(null),
  tried: daySchema.default(""),
});
export type Aid = z.infer<typeof aidSchema>;
