import type { CutKind, CutterKind, ToolMaterial } from "./word-lists.ts";

/** How a cutter is held: by its shank, on a stub behind a screw (shell, face and fly cutters), or on a long arbor. */
export type Mount = "shank" | "shell" | "arbor";

export interface CutterKindFacts {
  mount: Mount;
  /** Cuts it can make; empty for tools of the hole. */
  cuts: readonly CutKind[];
  /** Share of the milling speed it runs at. */
  speed: number;
  /** Source of that share. */
  why: string;
}

const full = (mount: Mount, cuts: readonly CutKind[]): CutterKindFacts => ({
  mount,
  cuts,
  speed: 1,
  why: "milling speed",
});
const slower = (mount: Mount, cuts: readonly CutKind[], speed: number, why: string): CutterKindFacts => ({
  mount,
  cuts,
  speed,
  why,
});

const endMillCuts = ["face", "side", "slot", "step"] as const;

/** What each kind of cutter can do and how fast it runs against an end mill of its material. */
export const cutterKindFacts: Record<CutterKind, CutterKindFacts> = {
  endMill: full("shank", endMillCuts),
  cornerRadius: full("shank", ["face", "side", "step", "slot"]),
  ballEnd: full("shank", ["slot"]),
  roughing: full("shank", endMillCuts),
  faceMill: full("shell", ["face", "step"]),
  shellMill: full("shell", ["face", "step"]),
  flyCutter: full("shell", ["face"]),
  sideAndFace: full("arbor", ["groove", "slab"]),
  slabMill: slower("arbor", ["slab"], 0.85, "wide cuts on an arbor run slower"),
  slittingSaw: slower("arbor", ["groove"], 0.8, "thin blade, deep groove: chips leave badly"),
  woodruff: slower("shank", [], 0.8, "thin neck, buried cut"),
  tSlot: slower("shank", [], 0.7, "buried cut: chips leave badly"),
  dovetail: slower("shank", [], 0.7, "weak points of the teeth"),
  angleCutter: slower("arbor", [], 0.7, "weak points of the teeth"),
  chamfer: full("shank", []),
  spotDrill: slower("shank", [], 0.8, "drilling speed"),
  twistDrill: slower("shank", [], 0.8, "drilling speed"),
  boringHead: slower("shank", [], 0.8, "unbalanced head"),
  reamer: slower("shank", [], 0.4, "half of the drilling speed"),
  tap: slower("shank", [], 0.25, "tapping speed"),
  countersink: slower("shank", [], 0.4, "half of the drilling speed: against chatter"),
  counterbore: slower("shank", [], 0.5, "guided by its pilot"),
};

/** Modulus of elasticity of the tool in N/mm² (domain.md 6). */
export const toolModulus: Record<ToolMaterial, number> = {
  hss: 210_000,
  coatedHss: 210_000,
  cobalt: 210_000,
  carbide: 600_000,
  coatedCarbide: 600_000,
};

export const isCarbide = (tool: ToolMaterial): boolean => tool === "carbide" || tool === "coatedCarbide";
