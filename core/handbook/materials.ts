import { toolMaterialSchema } from "./word-lists.ts";
import * as z from "../zod.ts";

export const materialGroups = ["steel", "tough", "aluminum", "iron", "brass", "plastic"] as const;
/** Groups that share feed per tooth and depth rules. */
export type MaterialGroup = (typeof materialGroups)[number];

const rangeSchema = z
  .tuple([z.number().positive(), z.number().positive()])
  .refine(([low, high]) => low <= high, "the low end of a range lies above its high end");
export type Range = z.infer<typeof rangeSchema>;

export const materialSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1),
  group: z.enum(materialGroups),
  /** Cutting speed in m/min by tool material: the band where published tables overlap. */
  speeds: z.record(toolMaterialSchema, rangeSchema),
  /** Specific cutting force at 1 mm chip thickness, N/mm², and its exponent (Kienzle). */
  kc11: z.number().positive(),
  mc: z.number().min(0).max(0.6),
  /** kg/m³ */
  density: z.number().positive(),
  /** Growth in mm per m and °C. */
  expansion: z.number().nonnegative(),
  fluid: z.string(),
  behavior: z.string(),
  workHardens: z.boolean(),
  /** Depth of the soft skin that hot-rolled bars of it have, mm; null for none. */
  softSkin: z.number().positive().nullable().default(null),
  caution: z.string().optional(),
  source: z.string(),
  /** How far published speeds reach beyond the band, as a share either way. */
  spread: z.number().nonnegative(),
});
export type Material = z.infer<typeof materialSchema>;

const bands = "bands where handbooks overlap";

/** One row a material. Speeds: HSS, cobalt, carbide, coated carbide. */
// prettier-ignore
const rows: [
  id: string, name: string, group: MaterialGroup, hss: Range, cobalt: Range, carbide: Range, coated: Range,
  kc11: number, mc: number, density: number, fluid: string, behavior: string,
][] = [
  ["steel-low-drawn", "Low-carbon steel, cold-drawn (1018, S235)", "steel", [25, 35], [30, 40], [85, 140], [130, 220], 1780, 0.17, 7850, "soluble oil or brushed cutting oil", "Tears and builds up an edge when the speed is low; locked-in stress bows thin parts when one side is cut."],
  ["steel-low-rolled", "Low-carbon steel, hot-rolled (A36, S235)", "steel", [25, 35], [30, 40], [85, 140], [130, 220], 1780, 0.17, 7850, "soluble oil or brushed cutting oil", "Scale of about 0.5 mm kills a sharp edge: the first pass goes under it."],
  ["steel-free", "Free-cutting steel (12L14, 11SMn30)", "steel", [35, 48], [40, 55], [110, 180], [150, 260], 1350, 0.21, 7850, "soluble oil; dry is possible", "Short chips, good finish. Leaded grades: wash hands, no welding."],
  ["steel-medium", "Medium-carbon steel (1045, C45)", "steel", [20, 28], [24, 34], [70, 110], [110, 180], 2220, 0.14, 7850, "soluble oil", "Clean chips; harder at flame-cut edges."],
  ["steel-alloy", "Alloy steel, annealed (4140, 42CrMo4)", "steel", [16, 24], [19, 29], [60, 95], [95, 155], 2500, 0.26, 7850, "soluble oil", "Tough: a dull cutter squeals early."],
  ["steel-alloy-prehard", "Alloy steel, pre-hard 28 to 32 HRC (4140, 42CrMo4)", "steel", [13, 19], [16, 23], [50, 80], [90, 150], 2500, 0.26, 7850, "soluble oil", "Tough and evenly hard; low speed, no rubbing."],
  ["tool-steel-o1", "Tool steel O1, annealed", "tough", [14, 20], [17, 24], [50, 80], [80, 140], 2100, 0.23, 7850, "soluble or cutting oil", "Soft decarburized skin of about 1.5 mm when hot-rolled: take it off all round."],
  ["tool-steel-a2", "Tool steel A2, annealed", "tough", [11, 17], [13, 20], [42, 70], [70, 120], 2200, 0.24, 7850, "cutting oil", "Between O1 and D2: steady feed, keen edge."],
  ["tool-steel-d2", "Tool steel D2, annealed", "tough", [9, 15], [11, 18], [35, 60], [60, 100], 2150, 0.25, 7700, "cutting oil", "Abrasive carbides: low speed, steady feed."],
  ["stainless-303", "Stainless 303, free-cutting", "tough", [18, 26], [21, 30], [60, 90], [80, 140], 1900, 0.21, 8000, "flood or cutting oil", "Milder than 304, still hardens when rubbed."],
  ["stainless-304", "Stainless 304", "tough", [12, 20], [14, 23], [45, 75], [65, 120], 2350, 0.21, 7900, "flood or cutting oil", "Work-hardens: never dwell, never rub, keep the chip thick."],
  ["stainless-316", "Stainless 316", "tough", [11, 18], [13, 21], [40, 70], [55, 110], 2400, 0.21, 8000, "flood or cutting oil", "Work-hardens; gummier than 304."],
  ["stainless-420", "Stainless 420, annealed", "tough", [16, 24], [19, 28], [55, 90], [80, 140], 1900, 0.24, 7750, "soluble oil", "Martensitic: cuts like a tough carbon steel, hardly work-hardens."],
  ["iron-grey", "Grey cast iron (GG25, class 40)", "iron", [18, 26], [21, 30], [60, 100], [90, 160], 1160, 0.26, 7200, "dry", "Sand skin of about 1.5 mm; break the exit edge with a chamfer, it crumbles."],
  ["iron-ductile", "Ductile iron (GGG50, 65-45-12)", "iron", [16, 24], [19, 28], [50, 90], [90, 160], 1225, 0.25, 7100, "dry or soluble oil", "Tougher than grey iron; skin as hard."],
  ["aluminum-6061", "Aluminum 6061", "aluminum", [60, 110], [70, 130], [180, 400], [200, 450], 700, 0.25, 2700, "soluble or light oil", "Sticks to the edge when dry: brush on oil, polished flutes."],
  ["aluminum-6082", "Aluminum 6082", "aluminum", [60, 110], [70, 130], [180, 400], [200, 450], 700, 0.25, 2710, "soluble or light oil", "As 6061; cleaner chips in the hard temper."],
  ["aluminum-7075", "Aluminum 7075", "aluminum", [60, 110], [70, 130], [180, 400], [200, 450], 780, 0.23, 2810, "soluble or light oil", "Clean chips; locked-in stress in plate."],
  ["aluminum-cast", "Aluminum, cast (about 7 to 9 % Si)", "aluminum", [45, 85], [50, 100], [140, 300], [160, 340], 650, 0.25, 2680, "soluble or light oil", "Silicon wears the edge; sand skin on castings."],
  ["brass", "Free-cutting brass (CuZn39Pb3)", "brass", [50, 80], [55, 90], [120, 220], [140, 250], 780, 0.18, 8470, "dry", "Grabs a sharp hooked edge; needles fly: guard and glasses."],
  ["brass-cold", "Cold-working brass (CuZn37)", "brass", [35, 60], [40, 68], [90, 180], [110, 200], 900, 0.2, 8440, "dry or light oil", "Longer, stringier chips than free-cutting brass."],
  ["bronze", "Tin bronze (CuSn8)", "brass", [22, 38], [26, 44], [70, 130], [90, 160], 1100, 0.2, 8800, "soluble oil or dry", "Tough and springy; needs a keen edge."],
  ["bronze-aluminum", "Aluminum bronze", "brass", [16, 28], [19, 33], [55, 100], [75, 130], 1400, 0.22, 7600, "soluble oil", "Hard and abrasive; closes on drills and reamers."],
  ["copper", "Copper (Cu-ETP)", "brass", [30, 55], [35, 62], [90, 180], [110, 200], 1350, 0.22, 8940, "light oil or milk-like soluble oil", "Gummy: keen edge, large rake, chips welded to the edge spoil the face."],
  ["titanium", "Titanium Ti-6Al-4V", "tough", [9, 15], [11, 17], [30, 50], [35, 60], 1370, 0.21, 4430, "flood, plenty", "Springs away, heats the edge; never rub."],
  ["magnesium", "Magnesium (AZ31, AZ91)", "aluminum", [90, 180], [100, 200], [250, 500], [280, 550], 450, 0.2, 1780, "dry, never water", "Cuts freely; fine chips burn."],
  ["acetal", "Acetal (POM)", "plastic", [80, 150], [90, 170], [150, 350], [150, 350], 120, 0.2, 1410, "dry, brush or vacuum the chips", "Springs in the vise and grows when warm: snug it lightly, measure cold."],
  ["nylon", "Nylon (PA6)", "plastic", [70, 130], [80, 150], [140, 300], [140, 300], 110, 0.2, 1140, "dry", "Soft and stringy, takes up water and grows: measure dry and cold."],
  ["ptfe", "PTFE", "plastic", [80, 150], [90, 170], [150, 300], [150, 300], 80, 0.2, 2180, "dry", "Flows under the clamp: hold wide and light, keen edge."],
  ["pvc", "PVC, rigid", "plastic", [60, 120], [70, 140], [120, 280], [120, 280], 110, 0.2, 1400, "dry, air", "Softens when hot; use extraction for dust and fumes."],
  ["steel-unknown", "Unknown steel", "steel", [9, 14], [11, 17], [35, 60], [55, 95], 2500, 0.26, 7850, "soluble or cutting oil", "Try it with a file first: if the file skates it is hardened, do not mill it. Start low, listen, and go up after a good pass."],
];

const cautions: Partial<Record<string, string>> = {
  "iron-grey": "Cast iron dust: use extraction or a mask, and cover the ways.",
  "iron-ductile": "Cast iron dust: use extraction or a mask, and cover the ways.",
  brass: "Chips fly as needles: guard in place, eye protection.",
  "steel-free": "Contains lead: wash hands before eating.",
  magnesium:
    "Fine magnesium chips burn fiercely. Sharp edge, thick chips, no water near them; sweep up at once, dry sand or a class D extinguisher at hand.",
  titanium: "Fine titanium chips can burn: keep them wet or swept up, no dull edges.",
  pvc: "Overheated PVC gives off acid fumes: keep it cool and use extraction.",
  ptfe: "Overheated PTFE gives off harmful fumes: keep it cool, no smoking at the machine.",
  "bronze-aluminum": "Fine copper-alloy dust: use extraction or a mask.",
  "steel-unknown": "The grade is a guess, so the plan is too. Stop when it squeals or the chips turn blue.",
};

/** Growth in mm per m and °C: usual table values, about ±5 %; plastics vary by half. */
const groupExpansion: Record<MaterialGroup, number> = {
  steel: 0.0115,
  tough: 0.0115,
  aluminum: 0.0235,
  iron: 0.0105,
  brass: 0.019,
  plastic: 0.1,
};
const expansions: Partial<Record<string, number>> = {
  "stainless-303": 0.0172,
  "stainless-304": 0.0172,
  "stainless-316": 0.016,
  "stainless-420": 0.0103,
  titanium: 0.0086,
  magnesium: 0.026,
  bronze: 0.0175,
  "bronze-aluminum": 0.0165,
  copper: 0.0168,
  "iron-ductile": 0.0115,
  "aluminum-cast": 0.0215,
  acetal: 0.11,
  nylon: 0.09,
  ptfe: 0.13,
  pvc: 0.08,
};

/** Hot-rolled tool steel has lost its carbon so deep, mm (domain.md 3). */
const softSkinOfToolSteel = 1.5;

/** The materials as published here, before what the person changed. */
export const materials: Material[] = rows.map(
  ([id, name, group, hss, cobalt, carbide, coatedCarbide, kc11, mc, density, fluid, behavior]) => ({
    id,
    name,
    group,
    // Coated HSS runs as cobalt does: tables that tell them apart hardly differ.
    speeds: { hss, coatedHss: cobalt, cobalt, carbide, coatedCarbide },
    kc11,
    mc,
    density,
    expansion: expansions[id] ?? groupExpansion[group],
    fluid,
    behavior,
    softSkin: /^tool-steel-/.test(id) ? softSkinOfToolSteel : null,
    workHardens: /^stainless-(303|304|316)|^titanium/.test(id),
    ...(cautions[id] ? { caution: cautions[id] } : {}),
    source: bands,
    spread: 0.4,
  }),
);

/** The material with this id, or undefined. */
export const materialById = (id: string): Material | undefined => materials.find((m) => m.id === id);
