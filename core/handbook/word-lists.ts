import * as z from "../zod.ts";

export const toolMaterials = ["hss", "coatedHss", "cobalt", "carbide", "coatedCarbide"] as const;
export const toolMaterialSchema = z.enum(toolMaterials);
export type ToolMaterial = z.infer<typeof toolMaterialSchema>;

export const cutterKinds = [
  "endMill",
  "cornerRadius",
  "ballEnd",
  "roughing",
  "faceMill",
  "shellMill",
  "flyCutter",
  "sideAndFace",
  "slabMill",
  "slittingSaw",
  "woodruff",
  "tSlot",
  "dovetail",
  "angleCutter",
  "chamfer",
  "spotDrill",
  "twistDrill",
  "boringHead",
  "reamer",
  "tap",
  "countersink",
  "counterbore",
] as const;
export const cutterKindSchema = z.enum(cutterKinds);
export type CutterKind = z.infer<typeof cutterKindSchema>;

/**
 * Face: with the end of the cutter. Side: with its flank, the wall as high as the cut. Slot: full width of the cutter.
 * Step: end and side together at a given width. Slab: with the flank of an arbor cutter over a face. Groove: an arbor
 * cutter as wide as the groove.
 */
export const cutKinds = ["face", "side", "slot", "step", "slab", "groove"] as const;
export const cutKindSchema = z.enum(cutKinds);
export type CutKind = z.infer<typeof cutKindSchema>;

/** What a face of the stock is like, flattest first. */
export const faceConditions = ["ground", "milled", "drawn", "hotRolled", "sawn", "flameCut", "cast"] as const;
export const faceConditionSchema = z.enum(faceConditions);
export type FaceCondition = z.infer<typeof faceConditionSchema>;

export const stockFormSchema = z.enum([
  "coldDrawn",
  "hotRolled",
  "flameCut",
  "sawn",
  "plate",
  "cast",
  "ground",
  "milled",
]);
export type StockForm = z.infer<typeof stockFormSchema>;

export const machineClasses = ["bench", "lightKnee", "knee", "heavy"] as const;
export const machineClassSchema = z.enum(machineClasses);
export type MachineClass = z.infer<typeof machineClassSchema>;

/** Words shown for the lists, in the trade's terms. */
export const wordsFor = {
  toolMaterial: {
    hss: "HSS",
    coatedHss: "coated HSS",
    cobalt: "cobalt HSS",
    carbide: "carbide",
    coatedCarbide: "coated carbide",
  },
  cutterKind: {
    endMill: "end mill",
    cornerRadius: "corner-radius end mill",
    ballEnd: "ball end mill",
    roughing: "roughing end mill",
    faceMill: "face mill",
    shellMill: "shell mill",
    flyCutter: "fly cutter",
    sideAndFace: "side-and-face cutter",
    slabMill: "slab mill",
    slittingSaw: "slitting saw",
    woodruff: "Woodruff cutter",
    tSlot: "T-slot cutter",
    dovetail: "dovetail cutter",
    angleCutter: "angle cutter",
    chamfer: "chamfer cutter",
    spotDrill: "spotting drill",
    twistDrill: "twist drill",
    boringHead: "boring head",
    reamer: "reamer",
    tap: "tap",
    countersink: "countersink",
    counterbore: "counterbore",
  },
  cutKind: {
    face: "facing with the end",
    side: "side of the cutter",
    slot: "slot, full width",
    step: "step, end and side",
    slab: "slab milling on the arbor",
    groove: "groove on the arbor",
  },
  faceCondition: {
    ground: "ground",
    milled: "milled",
    drawn: "cold-drawn",
    hotRolled: "hot-rolled scale",
    sawn: "sawn",
    flameCut: "flame-cut",
    cast: "cast skin",
  },
  stockForm: {
    coldDrawn: "cold-drawn bar",
    hotRolled: "hot-rolled bar",
    flameCut: "flame-cut blank",
    sawn: "sawn block",
    plate: "plate",
    cast: "casting",
    ground: "ground stock",
    milled: "already milled",
  },
  machineClass: { bench: "bench mill", lightKnee: "light knee mill", knee: "knee mill", heavy: "heavy mill" },
} as const satisfies {
  toolMaterial: Record<ToolMaterial, string>;
  cutterKind: Record<CutterKind, string>;
  cutKind: Record<CutKind, string>;
  faceCondition: Record<FaceCondition, string>;
  stockForm: Record<StockForm, string>;
  machineClass: Record<MachineClass, string>;
};
