import * as z from "../zod.ts";

export const toolMaterials = ["hss", "cobalt", "carbide", "coatedCarbide"] as const;
export const toolMaterialSchema = z.enum(toolMaterials);
export type ToolMaterial = z.infer<typeof toolMaterialSchema>;

export const cutterKindSchema = z.enum(["endMill", "faceMill", "shellMill", "flyCutter"]);
export type CutterKind = z.infer<typeof cutterKindSchema>;

/** Face: with the end of the cutter. Side: with its flank. */
export const cutKindSchema = z.enum(["face", "side"]);
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

export const machineClassSchema = z.enum(["bench", "lightKnee", "knee", "heavy"]);
export type MachineClass = z.infer<typeof machineClassSchema>;

/** Words shown for the lists, in the trade's terms. */
export const wordsFor = {
  toolMaterial: { hss: "HSS", cobalt: "cobalt HSS", carbide: "carbide", coatedCarbide: "coated carbide" },
  cutterKind: {
    endMill: "end mill",
    faceMill: "face mill",
    shellMill: "shell mill",
    flyCutter: "fly cutter",
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
  faceCondition: Record<FaceCondition, string>;
  stockForm: Record<StockForm, string>;
  machineClass: Record<MachineClass, string>;
};
