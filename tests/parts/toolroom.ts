import type { Face } from "../../core/frame/index.ts";
import { featureOf } from "../support/cheek-block.ts";
import type { Described } from "./described.ts";

/** Forty parts as they come to a toolroom: what each is for is in its name. All sizes are invented. */

type Given = NonNullable<Parameters<typeof featureOf>[3]>;

const hole = (id: string, face: Face, first: string, second: string, diameter: string, more: Given = {}) =>
  featureOf("hole", id, face, { first, second, ...more, sizes: { diameter, ...more.sizes } });
const grid = (
  id: string,
  face: Face,
  [first, second]: [string, string],
  diameter: string,
  [countFirst, pitchFirst, towardFirst]: [number, string, Face],
  [countSecond, pitchSecond, towardSecond]: [number, string, Face],
  more: Given = {},
) =>
  hole(id, face, first, second, diameter, {
    ...more,
    sizes: { pitchFirst, pitchSecond, ...more.sizes },
    numbers: { countFirst, countSecond },
    choices: { pattern: "grid", towardFirst, towardSecond, ...more.choices },
  });
const counterbored: Given = {
  sizes: { headDiameter: "15", headDepth: "8.6" },
  choices: { form: "counterbored", screw: "M8" },
};
const tapped = (screw: string, depth?: string, threadDepth?: string): Given => ({
  sizes: { ...(depth ? { depth } : {}), ...(threadDepth ? { threadDepth } : {}) },
  choices: { form: "tapped", screw },
});
const all: readonly Face[] = ["left", "right", "front", "back", "bottom", "top"];

export const toolroomParts: readonly Described[] = [
  {
    name: "Bracket plate with four holes",
    material: "steel-low-rolled",
    block: ["120 ±0.2", "80 ±0.2", "12 ±0.1"],
    features: [
      grid("holes", "top", ["left 15", "front 15"], "9", [2, "90", "right"], [2, "50", "back"]),
      hole("middle", "top", "left 60", "front 40", "11.8"),
    ],
  },
  {
    name: "Angle bracket cut from a block",
    material: "aluminum-6061",
    block: ["60", "50 ±0.1", "50 ±0.1"],
    features: [
      featureOf("step", "inside", "top", { sizes: { width: "38", depth: "38" }, choices: { side: "back" } }),
      hole("foot", "top", "left 30", "back 18", "8.5"),
    ],
  },
  {
    name: "Yoke",
    material: "steel-medium",
    block: ["70", "40 ±0.05", "40 ±0.05"],
    features: [
      featureOf("slot", "fork", "right", {
        sizes: { width: "16 +0.1/0", depth: "30" },
        choices: { along: "height" },
        second: "center",
      }),
      hole("pin", "front", "right 14", "bottom 20", "12 H7", { choices: { form: "reamed" } }),
    ],
  },
  {
    name: "Tool post block",
    material: "steel-medium",
    block: ["80 ±0.05", "80 ±0.05", "50 ±0.05"],
    features: [
      featureOf("slot", "tool", "front", { sizes: { width: "20", depth: "18" }, second: "bottom 20" }),
      hole("post", "top", "left 40", "front 40", "12 H7", { choices: { form: "reamed" } }),
      hole("screw-1", "top", "left 16", "front 9", "6.8", tapped("M8", "26", "20")),
      hole("screw-2", "top", "left 64", "front 9", "6.8", tapped("M8", "26", "20")),
    ],
  },
  {
    name: "Sine bar body",
    material: "tool-steel-o1",
    block: ["130 ±0.05", "25 ±0.02", "22 ±0.02"],
    features: [
      featureOf("step", "left-seat", "bottom", {
        sizes: { width: "10", depth: "8" },
        choices: { side: "left" },
      }),
      featureOf("step", "right-seat", "bottom", {
        sizes: { width: "10", depth: "8" },
        choices: { side: "right" },
      }),
      grid("lighten", "front", ["left 35", "center"], "9", [3, "30", "right"], [1, "1", "top"]),
    ],
  },
  {
    name: "V-block",
    material: "steel-medium",
    block: ["50", "40 ±0.02", "35 ±0.02"],
    features: [
      featureOf("vGroove", "vee", "top", {
        sizes: { width: "24", reliefWidth: "6", reliefDepth: "13" },
        numbers: { angle: 90 },
      }),
      featureOf("slot", "clamp-front", "front", { sizes: { width: "6", depth: "5" }, second: "bottom 12" }),
      featureOf("slot", "clamp-back", "back", { sizes: { width: "6", depth: "5" }, second: "bottom 12" }),
    ],
  },
  {
    name: "T-nut",
    material: "steel-medium",
    block: ["30", "22", "18"],
    features: [
      featureOf("tShape", "tee", "top", { sizes: { stem: "13.6", depth: "9" } }),
      hole("thread", "top", "left 15", "center", "8.5", tapped("M10")),
    ],
  },
  {
    name: "Strap clamp",
    material: "steel-medium",
    block: ["100", "30", "16"],
    features: [
      featureOf("slot", "slot", "top", {
        sizes: { width: "12.5", length: "45" },
        first: "left 55",
        choices: { end: "closed" },
      }),
      featureOf("chamfer", "nose", "top", { sizes: { leg: "4" }, choices: { edge: "left" } }),
    ],
  },
  {
    name: "Cam with a hollow",
    material: "steel-alloy",
    block: ["60", "20", "40"],
    features: [
      featureOf("arc", "hollow", "top", { sizes: { radius: "30", depth: "6" }, choices: { along: "width" } }),
      hole("pivot", "front", "left 30", "bottom 12", "10 H7", { choices: { form: "reamed" } }),
    ],
  },
  {
    name: "Shaft with two keyseats",
    material: "steel-medium",
    shaft: [
      ["30 h7", "120"],
      ["25 h7", "40"],
    ],
    features: [
      featureOf("keyway", "key-1", "top", { sizes: { length: "30" }, first: "left 30" }),
      featureOf("keyway", "key-2", "top", { sizes: { length: "20" }, first: "left 140" }),
    ],
  },
  {
    name: "Shaft with a Woodruff seat and a cross hole",
    material: "steel-medium",
    shaft: [["20 h7", "140"]],
    features: [
      featureOf("woodruff", "seat", "top", { first: "left 25", choices: { key: "606" } }),
      hole("cross", "top", "left 110", "center", "6"),
    ],
  },
  {
    name: "Thin cover with screw holes",
    material: "aluminum-6082",
    block: ["110", "70", "5 ±0.1"],
    stock: "plate",
    features: [grid("screws", "top", ["left 7", "front 7"], "5", [2, "96", "right"], [2, "56", "back"])],
  },
  {
    name: "Shim plate 3 thick",
    material: "brass",
    block: ["60", "40", "3 ±0.05"],
    stock: "plate",
    over: [3, 3, 1.5],
    features: [hole("hole", "top", "left 30", "front 20", "8.5")],
  },
  {
    name: "Long rail bought to width",
    material: "steel-low-drawn",
    block: ["300 ±0.3", "30", "16"],
    stock: "coldDrawn",
    over: [4, 0, 0],
    finished: ["front", "back", "bottom", "top"],
    features: [
      grid("bolts", "top", ["left 25", "center"], "9", [6, "50", "right"], [1, "1", "back"], counterbored),
    ],
  },
  {
    name: "Cast bracket",
    material: "iron-grey",
    block: ["110", "70", "45"],
    stock: "cast",
    over: [6, 6, 6],
    features: [
      featureOf("step", "seat", "top", { sizes: { width: "25", depth: "12" }, choices: { side: "left" } }),
      grid("bolts", "top", ["right 20", "front 15"], "11.8", [1, "1", "left"], [2, "40", "back"]),
    ],
  },
  {
    name: "Gib strip",
    material: "iron-grey",
    block: ["120", "16", "6 ±0.02"],
    features: [featureOf("chamfer", "edge", "top", { sizes: { leg: "2" }, choices: { edge: "front" } })],
  },
  {
    name: "Base plate 240 by 160",
    material: "steel-low-rolled",
    block: ["240", "160", "20"],
    stock: "plate",
    over: [0, 0, 0],
    finished: all,
    features: [
      grid("corners", "top", ["left 20", "front 20"], "11.8", [2, "200", "right"], [2, "120", "back"]),
      featureOf("slot", "middle", "top", { sizes: { width: "16", depth: "6" }, second: "center" }),
    ],
  },
  {
    name: "Motor plate with a pocket",
    material: "aluminum-6061",
    block: ["180", "140", "16"],
    stock: "plate",
    over: [0, 0, 0],
    finished: all,
    features: [
      featureOf("pocket", "recess", "top", { sizes: { first: "70", second: "50", depth: "6", radius: "8" } }),
      grid("feet", "top", ["left 12", "front 12"], "9", [2, "156", "right"], [2, "116", "back"]),
    ],
  },
  {
    name: "Vise jaw plate",
    material: "steel-medium",
    block: ["125", "40", "12"],
    features: [
      grid("screws", "top", ["left 30", "center"], "9", [2, "65", "right"], [1, "1", "back"], {
        sizes: { headDiameter: "15", headDepth: "6" },
        choices: { form: "counterbored", screw: "M8" },
      }),
      featureOf("step", "rest", "top", { sizes: { width: "5", depth: "4" }, choices: { side: "back" } }),
    ],
  },
  {
    name: "Soft jaw with a step",
    material: "aluminum-7075",
    block: ["125", "45", "25"],
    features: [
      featureOf("step", "step", "back", { sizes: { width: "4", depth: "3" }, choices: { side: "top" } }),
      grid("screws", "back", ["left 30", "center"], "9", [2, "65", "right"], [1, "1", "top"], counterbored),
    ],
  },
  {
    name: "Parallel with lightening holes",
    material: "tool-steel-o1",
    block: ["125", "10 ±0.02", "32 ±0.01"],
    features: [grid("holes", "front", ["left 25", "center"], "11.8", [4, "25", "right"], [1, "1", "top"])],
  },
  {
    name: "Dovetail slide",
    material: "iron-grey",
    block: ["80", "60", "25"],
    features: [
      featureOf("slot", "key", "top", { sizes: { width: "12 +0.05/0", depth: "4" } }),
      hole("gib", "front", "left 40", "bottom 12", "5", { sizes: { depth: "16" } }),
    ],
  },
  {
    name: "Clevis with a cross pin",
    material: "stainless-303",
    block: ["50", "25", "25"],
    features: [
      featureOf("slot", "gap", "right", {
        sizes: { width: "10", depth: "20" },
        choices: { along: "height" },
      }),
      hole("pin", "front", "right 9", "center", "7.1"),
      hole("rod", "left", "center", "center", "8.5", tapped("M10", "20", "16")),
    ],
  },
  {
    name: "Hinge leaf",
    material: "steel-low-rolled",
    block: ["70", "40", "8"],
    stock: "plate",
    features: [
      featureOf("step", "knuckle", "top", { sizes: { width: "14", depth: "3" }, choices: { side: "back" } }),
      grid("screws", "top", ["left 12", "front 10"], "5", [3, "23", "right"], [1, "1", "back"], {
        sizes: { headDiameter: "10" },
        numbers: { headAngle: 90 },
        choices: { form: "countersunk" },
      }),
    ],
  },
  {
    name: "Guide block with a T-slot",
    material: "iron-grey",
    block: ["80", "50", "35"],
    features: [featureOf("slot", "neck", "top", { sizes: { width: "14", depth: "12" } })],
  },
  {
    name: "Drill jig plate",
    material: "tool-steel-o1",
    block: ["90 ±0.05", "60 ±0.05", "14"],
    features: [
      hole("bush-1", "top", "left 20 ±0.02", "front 15 ±0.02", "12 H7", { choices: { form: "reamed" } }),
      hole("bush-2", "top", "left 70 ±0.02", "front 45 ±0.02", "12 H7", { choices: { form: "reamed" } }),
    ],
  },
  {
    name: "Bearing housing half",
    material: "iron-grey",
    block: ["100", "60", "40"],
    features: [
      featureOf("arc", "bore", "top", { sizes: { radius: "20", depth: "18" }, choices: { along: "width" } }),
      grid("bolts", "top", ["left 12", "center"], "9", [2, "76", "right"], [1, "1", "back"]),
    ],
  },
  {
    name: "Pump cover with a sealing rebate",
    material: "aluminum-6082",
    block: ["80", "80", "15"],
    features: [
      featureOf("rebate", "spigot", "top", { sizes: { width: "6", depth: "3" } }),
      hole("ring", "top", "center", "center", "6.8", {
        sizes: { circle: "66" },
        numbers: { count: 6, start: 0 },
        choices: { pattern: "circle" },
      }),
    ],
  },
  {
    name: "Lever arm",
    material: "steel-medium",
    block: ["150", "30", "15"],
    features: [
      hole("hub", "top", "left 18", "center", "12 H7", { choices: { form: "reamed" } }),
      hole("end", "top", "right 15", "center", "10 H7", { choices: { form: "reamed" } }),
      featureOf("slot", "slot", "top", {
        sizes: { width: "10", length: "40" },
        first: "left 80",
        choices: { end: "closed" },
      }),
    ],
  },
  {
    name: "Wedge",
    material: "steel-medium",
    block: ["60", "25", "15"],
    features: [
      featureOf("slope", "slope", "top", {
        sizes: { width: "60" },
        numbers: { angle: 6 },
        choices: { side: "right" },
      }),
    ],
  },
  {
    name: "Key stock",
    material: "steel-medium",
    block: ["40", "10 h9", "8 h9"],
    features: [featureOf("chamfer", "edges", "top", { sizes: { leg: "0.5" } })],
  },
  {
    name: "Spacer ring plate",
    // The drawer has no boring head.
    lacks: ["M20.none"],
    material: "brass",
    block: ["50", "50", "10"],
    features: [hole("bore", "top", "center", "center", "20 H8", { choices: { form: "bored" } })],
  },
  {
    name: "Knife holder",
    material: "tool-steel-o1",
    block: ["90", "20", "20"],
    features: [
      featureOf("slot", "blade", "top", { sizes: { width: "6 +0.03/0", depth: "10" } }),
      grid(
        "screws",
        "front",
        ["left 15", "top 5"],
        "4.2",
        [3, "30", "right"],
        [1, "1", "bottom"],
        tapped("M5", "14", "10"),
      ),
    ],
  },
  {
    name: "Stop block",
    material: "steel-low-rolled",
    block: ["35", "25", "20"],
    features: [hole("screw", "front", "left 17.5", "bottom 10", "6.8", tapped("M8", "20", "16"))],
  },
  {
    name: "Manifold block",
    material: "aluminum-6082",
    block: ["100", "50", "40"],
    features: [
      hole("main", "left", "center", "center", "11.8", { sizes: { depth: "80" } }),
      hole("port-1", "top", "left 25", "center", "8.5", { sizes: { depth: "20" } }),
      hole("port-2", "top", "left 75", "center", "8.5", { sizes: { depth: "20" } }),
    ],
  },
  {
    name: "Machine foot",
    material: "iron-grey",
    block: ["160", "120", "30"],
    stock: "cast",
    over: [0, 0, 0],
    finished: all,
    features: [
      hole("bolt", "top", "center", "center", "11.8"),
      featureOf("slot", "front-slot", "top", {
        sizes: { width: "16", depth: "12", length: "40" },
        first: "left 35",
        choices: { end: "closed", along: "length" },
      }),
    ],
  },
  {
    name: "Scale plate 2 thick",
    material: "aluminum-6082",
    block: ["140", "25", "2"],
    stock: "plate",
    over: [3, 3, 0],
    finished: ["bottom", "top"],
    features: [grid("pins", "top", ["left 10", "center"], "4.2", [2, "120", "right"], [1, "1", "back"])],
  },
  {
    name: "Crosshead",
    material: "bronze",
    block: ["60", "40", "40"],
    features: [
      featureOf("slot", "left-guide", "left", {
        sizes: { width: "20 +0.05/0", depth: "6" },
        choices: { along: "height" },
      }),
      featureOf("slot", "right-guide", "right", {
        sizes: { width: "20 +0.05/0", depth: "6" },
        choices: { along: "height" },
      }),
      hole("rod", "front", "center", "center", "12 H7", { choices: { form: "reamed" } }),
    ],
  },
  {
    name: "Bench block 150 cube side",
    material: "steel-low-rolled",
    block: ["150", "140", "60"],
    over: [3, 3, 3],
    features: [grid("holes", "top", ["left 30", "front 30"], "11.8", [2, "90", "right"], [2, "80", "back"])],
  },
  {
    name: "Hex-headed pin as a shaft with flats",
    material: "steel-medium",
    shaft: [["24 h9", "60"]],
    features: [
      featureOf("step", "flat-top", "top", {
        sizes: { width: "15", depth: "3.5" },
        choices: { side: "left" },
      }),
      featureOf("step", "flat-bottom", "bottom", {
        sizes: { width: "15", depth: "3.5" },
        choices: { side: "left" },
      }),
    ],
  },
];
