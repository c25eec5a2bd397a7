import type { ToolMaterial } from "./word-lists.ts";

/** Groups that share feed per tooth and depth rules. */
export type MaterialGroup = "steel" | "tough" | "aluminum" | "iron" | "brass" | "plastic";

export type Range = [low: number, high: number];

export interface Material {
  id: string;
  name: string;
  group: MaterialGroup;
  /** Cutting speed in m/min by tool material: the band where published tables overlap. */
  speeds: Record<ToolMaterial, Range>;
  /** Specific cutting force at 1 mm chip thickness, N/mm², and its exponent (Kienzle). */
  kc11: number;
  mc: number;
  /** kg/m³ */
  density: number;
  fluid: string;
  behavior: string;
  workHardens: boolean;
  caution?: string;
  source: string;
}

const bands = "bands where handbooks overlap; published spread is about ±40 %";

/** One row a material. Speeds: HSS, cobalt, carbide, coated carbide. */
const rows: [
  id: string,
  name: string,
  group: MaterialGroup,
  hss: Range,
  cobalt: Range,
  carbide: Range,
  coated: Range,
  kc11: number,
  mc: number,
  density: number,
  fluid: string,
  behavior: string,
][] = [
  ["steel-low-drawn", "Low-carbon steel, cold-drawn (1018, S235)", "steel", [25, 35], [30, 40], [85, 140], [130, 220], 1780, 0.17, 7850, "soluble oil or brushed cutting oil", "Tears and builds up an edge when the speed is low; locked-in stress bows thin parts when one side is cut."],
  ["steel-low-rolled", "Low-carbon steel, hot-rolled (A36, S235)", "steel", [25, 35], [30, 40], [85, 140], [130, 220], 1780, 0.17, 7850, "soluble oil or brushed cutting oil", "Scale of about 0.5 mm kills a sharp edge: the first pass goes under it."],
  ["steel-free", "Free-cutting steel (12L14, 11SMn30)", "steel", [35, 48], [40, 55], [110, 180], [150, 260], 1350, 0.21, 7850, "soluble oil; dry is possible", "Short chips, good finish. Leaded grades: wash hands, no welding."],
  ["steel-medium", "Medium-carbon steel (1045, C45)", "steel", [20, 28], [24, 34], [70, 110], [110, 180], 2000, 0.22, 7850, "soluble oil", "Clean chips; harder at flame-cut edges."],
  ["steel-alloy", "Alloy steel, annealed or pre-hard to 32 HRC (4140, 42CrMo4)", "steel", [15, 22], [18, 27], [55, 90], [90, 150], 2250, 0.24, 7850, "soluble oil", "Tough: a dull cutter squeals early."],
  ["tool-steel-o1", "Tool steel O1, annealed", "tough", [14, 20], [17, 24], [50, 80], [80, 140], 2100, 0.23, 7850, "soluble or cutting oil", "Soft decarburized skin of about 1.5 mm when hot-rolled: take it off all round."],
  ["tool-steel-d2", "Tool steel D2, annealed", "tough", [9, 15], [11, 18], [35, 60], [60, 100], 2400, 0.23, 7700, "cutting oil", "Abrasive carbides: low speed, steady feed."],
  ["stainless-303", "Stainless 303, free-cutting", "tough", [18, 26], [21, 30], [60, 90], [80, 140], 1900, 0.21, 8000, "flood or cutting oil", "Milder than 304, still hardens when rubbed."],
  ["stainless-304", "Stainless 304", "tough", [12, 20], [14, 23], [45, 75], [65, 120], 2150, 0.2, 7900, "flood or cutting oil", "Work-hardens: never dwell, never rub, keep the chip thick."],
  ["stainless-316", "Stainless 316", "tough", [11, 18], [13, 21], [40, 70], [55, 110], 2200, 0.2, 8000, "flood or cutting oil", "Work-hardens; gummier than 304."],
  ["iron-grey", "Grey cast iron (GG25, class 40)", "iron", [18, 26], [21, 30], [60, 100], [90, 160], 1150, 0.28, 7200, "dry", "Sand skin of about 1.5 mm; break the exit edge with a chamfer, it crumbles."],
  ["iron-ductile", "Ductile iron (GGG50, 65-45-12)", "iron", [16, 24], [19, 28], [50, 90], [90, 160], 1500, 0.25, 7100, "dry or soluble oil", "Tougher than grey iron; skin as hard."],
  ["aluminum-6061", "Aluminum 6061 / 6082", "aluminum", [60, 110], [70, 130], [180, 400], [200, 450], 700, 0.25, 2700, "soluble or light oil", "Sticks to the edge when dry: brush on oil, polished flutes."],
  ["aluminum-7075", "Aluminum 7075", "aluminum", [60, 110], [70, 130], [180, 400], [200, 450], 750, 0.25, 2810, "soluble or light oil", "Clean chips; locked-in stress in plate."],
  ["brass", "Free-cutting brass (CuZn39Pb3)", "brass", [50, 80], [55, 90], [120, 220], [140, 250], 680, 0.18, 8400, "dry", "Grabs a sharp hooked edge; needles fly: guard and glasses."],
  ["bronze", "Bronze, tin or aluminum", "brass", [22, 38], [26, 44], [70, 130], [90, 160], 1100, 0.2, 8700, "soluble oil or dry", "Tough and springy; needs a keen edge."],
  ["acetal", "Acetal", "plastic", [80, 150], [90, 170], [150, 350], [150, 350], 150, 0.2, 1410, "dry, blow chips with care", "Springs in the vise and grows when warm: light pull, measure cold."],
];

const cautions: Partial<Record<string, string>> = {
  "iron-grey": "Dust of cast iron: draw it off or wear a mask, and cover the ways.",
  "iron-ductile": "Dust of cast iron: draw it off or wear a mask, and cover the ways.",
  brass: "Chips fly as needles: guard in place, eye protection.",
  "steel-free": "Contains lead: wash hands before eating.",
};

export const materials: Material[] = rows.map(
  ([id, name, group, hss, cobalt, carbide, coatedCarbide, kc11, mc, density, fluid, behavior]) => ({
    id,
    name,
    group,
    speeds: { hss, cobalt, carbide, coatedCarbide },
    kc11,
    mc,
    density,
    fluid,
    behavior,
    workHardens: id.startsWith("stainless"),
    ...(cautions[id] ? { caution: cautions[id] } : {}),
    source: bands,
  }),
);

/** The material with this id, or undefined. */
export const materialById = (id: string): Material | undefined => materials.find((m) => m.id === id);
