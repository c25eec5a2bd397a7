import { type Axis, axisOf, type Face, facesOf, opposite, type Sizes } from "../frame/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { FeatureSetup } from "../route/index.ts";
import {
  type AxisScrew,
  cuttingDiameter,
  edgeFinderOf,
  type Machine,
  type Shop,
  type Vise,
} from "../shop/index.ts";
import { note, type Phrase, precise, rule, say, type Warning, warn, words } from "../working/index.ts";
import { type Datum, type SetupFrame, setupFrame, sideInSetup } from "./setup-frame.ts";
import { edgeSetting, type ToolSide, topSetting } from "./touch.ts";

/** How a datum is picked up, and how well it is known then, mm (guess; domain.md 9). */
export const pickupErrors = {
  paper: 0.03,
  finder: 0.01,
  finderTurned: 0.005,
  indicator: 0.005,
  scribed: 0.25,
} as const;

/** How a person can pick up an edge; by both sides and halving whichever it is touched with. */
export const pickupWays = ["finder", "paper", "sides", "indicator"] as const;
export type PickupWay = (typeof pickupWays)[number];

/** A sheet of copy paper between tool and part, squeezed, mm. */
export const paper = 0.05;

/** One datum of a setup on one axis: what is touched with what, and what to set then. */
export interface Pickup {
  axis: "x" | "y" | "z";
  datum: Datum;
  /** The faces that are touched: one, or both to halve between them. */
  faces: Face[];
  way: "finder" | "paper" | "indicator";
  /** Diameter that touches, and what lies between, mm. */
  tool: Mm;
  medium: Mm;
  /** Where the tool stands, seen from the face; null for a touch from above and for two sides. */
  side: ToolSide | null;
  /** What to set the readout to at the touch, mm; of two sides the reading at each. */
  settings: Mm[];
  /** How far the axis then stands from the edge, mm. */
  off: Mm;
  /** Set by readout, or by the collar of the dial. */
  by: "readout" | "dial";
  /** How far the zero may be off, mm. */
  error: Mm;
  title: Phrase;
  /** What is done, in this order: it cannot plough into the part (M24). */
  order: Phrase[];
  warnings: Warning[];
}

/** How a setup counts, with the pick-up of every axis. */
export interface Locating {
  frame: SetupFrame;
  pickups: Pickup[];
  /** Error of a place in X and Y together, mm, and half the tolerance it is held against; null where none is asked. */
  error: Mm;
  closest: Mm | null;
  warnings: Warning[];
}

export interface LocateRequest {
  setup: FeatureSetup;
  sizes: Sizes;
  /** A shaft is picked up on its center. */
  shaft: boolean;
  vise: Pick<Vise, "fixedJaw" | "jawDepth">;
  machine: Machine;
  shop: Pick<Shop, "instruments" | "cutters">;
  /** How the person wants it picked up; null for the best that is owned. */
  wanted: PickupWay | null;
}

const setBy = (screw: AxisScrew): Pickup["by"] => (screw.readout === null ? "dial" : "readout");
const stepOf = (screw: AxisScrew): Mm => screw.readout ?? screw.division;

/** The most used datum along a size; the face at the machine's left or the fixed jaw where nothing counts from any. */
function datumAlong(setup: FeatureSetup, axis: Axis, usual: Face, center: boolean): Datum {
  if (center) return "center";
  return setup.datums.find((use) => use.axis === axis)?.from ?? usual;
}

/** Whether a setup feeds a disc cutter in from the side. */
const isDisc = ({ operations }: FeatureSetup): boolean => operations.some((o) => o.sweep.kind === "disc");

/**
 * Where zero lies in a setup and how it is picked up on every axis: by edge finder where one is owned, else with the cutter and
 * paper; the middle by touching both sides and halving. The medium counts on every axis it touches (M23), and every touch backs
 * off before anything goes down (M24).
 */
export function locateSetup(request: LocateRequest): Locating {
  const { setup, sizes, shaft } = request;
  const { fixedJaw } = request.vise;
  const first = setupFrame(setup.at, fixedJaw, sizes, { x: "center", y: "center" });
  const usual = (which: "x" | "y", want: string): Face =>
    facesOf(first[which].axis).find((f) => sideInSetup(first, f) === want)!;
  const upright = axisOf(setup.at.up) === "length";
  const datum = {
    x: datumAlong(setup, first.x.axis, usual("x", "left"), shaft && upright),
    y: datumAlong(setup, first.y.axis, usual("y", fixedJaw), shaft),
  };
  const frame = setupFrame(setup.at, fixedJaw, sizes, datum);
  const cutting = setup.operations.filter((o) => o.by !== "hand");
  const disc = isDisc(setup);
  const pickups =
    cutting.length === 0
      ? []
      : [
          sidePickup("x", datum.x, frame, request),
          disc ? crownPickup(request) : sidePickup("y", datum.y, frame, request),
        ];
  const error = Math.hypot(...pickups.map((p) => p.error));
  const closest = setup.closest;
  return {
    frame,
    pickups,
    error,
    closest,
    warnings:
      closest !== null && error > closest
        ? [
            warn(
              rule(
                "locate.error",
              )`The places of this setup may be ${precise(mm(closest), 3)} off; picked up so they can be ${precise(mm(error), 3)} off. Turn the finder half round and halve, or indicate the face.`,
            ),
          ]
        : [],
  };
}

function toolFor({ setup, shop, wanted }: LocateRequest): {
  way: Pickup["way"];
  tool: Mm;
  name: string;
  medium: Mm;
} {
  if (wanted === "indicator")
    return { way: "indicator", tool: 0, name: "an indicator swept in the spindle", medium: 0 };
  const finder = edgeFinderOf(shop);
  if (finder && wanted !== "paper") return { way: "finder", tool: finder.to, name: finder.name, medium: 0 };
  // A drill has no side to touch with: an end mill of the setup, else of the drawer, else a ground pin.
  const milling = setup.operations.find((o) => o.by === "mill");
  if (milling) return { way: "paper", tool: milling.diameter, name: milling.toolName, medium: paper };
  const owned = shop.cutters.find((c) => c.kind === "endMill");
  return owned
    ? { way: "paper", tool: cuttingDiameter(owned), name: owned.name, medium: paper }
    : { way: "paper", tool: pinDiameter, name: `a ground pin, ${pinDiameter} mm`, medium: paper };
}

/** A pin to touch with where no end mill is owned, mm. */
const pinDiameter = 10;

function sidePickup(axis: "x" | "y", datum: Datum, frame: SetupFrame, request: LocateRequest): Pickup {
  const { machine, sizes } = request;
  const screw = machine.axes[axis];
  const { way, tool, name, medium } = toolFor(request);
  const by = setBy(screw);
  const off = tidy(tool / 2 + medium);
  const base = pickupErrors[way];
  const NAME = axis.toUpperCase();
  const between =
    way === "paper"
      ? say`with ${name} and paper`
      : way === "indicator"
        ? say`with ${name}`
        : say`with the ${name}`;
  const backOff = words("Back off from the face first, then up, and only then over the part.");
  const errorOf = (halved: boolean) => tidy(Math.hypot(halved ? base / Math.SQRT2 : base, stepOf(screw) / 2));
  if (datum === "center" || request.wanted === "sides") {
    const [low, high] = facesOf(frame[axis].axis);
    const half = sizes[frame[axis].axis] / 2;
    const [left, right] = frame[axis].sign > 0 ? [low, high] : [high, low];
    return {
      axis,
      datum,
      faces: [left, right],
      way,
      tool,
      medium,
      side: null,
      settings: [tidy(-half - off), tidy(half + off)],
      off,
      by,
      error: errorOf(true),
      title: say`Pick up the middle in ${NAME} ${between}`,
      order: [
        say`Touch the ${sideInSetup(frame, left)!} side and set ${NAME} to 0 there. ${backOff}`,
        say`Touch the ${sideInSetup(frame, right)!} side: ${NAME} reads about ${precise(mm(tidy(2 * half + 2 * off)), 3)}.`,
        datum === "center"
          ? say`The middle is at half of that reading: go there and set ${NAME} to 0.`
          : say`The middle is at half of that reading: go there and set ${NAME} to ${precise(mm(tidy(datum === left ? half : -half)), 3)}; the ${datum} face then reads 0.`,
      ],
      warnings: [
        note(
          rule(
            "M23.halve",
          )`Half of the tool and the paper fall out of it, as long as both sides are touched the same way.`,
        ),
        warn(rule("M24.back")`After each touch back off, then up, then over to the other side.`),
      ],
    };
  }
  const where = sideInSetup(frame, datum)!;
  const jaw = atJaw(request, datum);
  const side: ToolSide = where === "left" || where === "front" ? "minus" : "plus";
  const setting = way === "indicator" ? 0 : edgeSetting(0, tool, medium, side)!;
  const toward = { left: "right", right: "left", front: "back", back: "front" }[where];
  return {
    axis,
    datum,
    faces: [datum],
    way,
    tool,
    medium,
    side,
    settings: [setting],
    off,
    by,
    error: errorOf(false),
    title: say`Pick up the ${datum} face in ${NAME} ${between}`,
    order:
      by === "readout"
        ? [
            say`Come to the ${where} side of the part and touch it; ${way === "paper" ? "the paper just drags, spindle turned by hand" : way === "indicator" ? "the indicator reads the same on the face and on a block held against it" : "the finder just kicks over"}.`,
            say`Set ${NAME} to ${precise(mm(setting), 3)}: the axis stands that far ${side === "minus" ? "before" : "past"} the edge, which then reads 0.`,
            backOff,
          ]
        : [
            say`Come to the ${where} side of the part and touch it, the last bit moving ${toward}.`,
            say`Set the ${NAME} collar to 0, go up clear, and move ${precise(mm(off), 3)} on to the ${toward}: the axis stands over the edge. Set the collar to 0 again.`,
            words("From here on every place is turns and divisions from this zero."),
          ],
    warnings: [
      ...jaw,
      note(
        way === "paper"
          ? rule(
              "M23.edge",
            )`Half of the cutter (${precise(mm(tidy(tool / 2)), 3)}) and the paper (${precise(mm(medium), 2)}) lie between its axis and the edge. A long strip of paper, fingers away; better, the spindle turned by hand.`
          : way === "indicator"
            ? rule("M23.edge")`The axis stands over the edge itself: nothing is added.`
            : rule(
                "M23.edge",
              )`Half of its tip (${precise(mm(tidy(tool / 2)), 3)}) lies between its axis and the edge.`,
      ),
      warn(rule("M24.back")`After the touch back off, then up, then over the part: never down beside it.`),
    ],
  };
}

/** A face at a jaw can only be touched where it stands above it, mm. */
const leastAbove = 6;

/** What is said of a datum that lies at a jaw, too low to be touched above it. */
function atJaw({ setup, shaft, vise }: LocateRequest, datum: Face): Warning[] {
  if (shaft || axisOf(datum) !== axisOf(setup.at.fixed)) return [];
  const { seat } = setup;
  const above = tidy((seat.parallels?.height ?? 0) + seat.standing - vise.jawDepth);
  if (above >= leastAbove) return [];
  return [
    datum === setup.at.fixed
      ? note(
          rule(
            "locate.fixedJaw",
          )`Only ${mm(above)} of that face stand above the fixed jaw: touch the face of the jaw itself beside the part, it is the same plane.`,
        )
      : warn(
          rule(
            "locate.movingJaw",
          )`Only ${mm(above)} of that face stand above the moving jaw: a thin finder, or a parallel set up against the face and touched in its place (add its thickness).`,
        ),
  ];
}

/** A disc cutter touches the crown with its edge: zero is there, and its depth counts from it. */
function crownPickup(request: LocateRequest): Pickup {
  const { machine, setup } = request;
  const screw = machine.axes.y;
  const cutter = setup.operations.find((o) => o.sweep.kind === "disc")!;
  const by = setBy(screw);
  return {
    axis: "y",
    datum: opposite(setup.at.fixed),
    faces: [opposite(setup.at.fixed)],
    way: "paper",
    tool: cutter.diameter,
    medium: paper,
    side: "minus",
    settings: [-paper],
    off: paper,
    by,
    error: tidy(Math.hypot(pickupErrors.paper, stepOf(screw) / 2)),
    title: say`Touch the side of the shaft in Y with ${cutter.toolName} and paper`,
    order: [
      words(
        "Bring the cutter to the middle of the shaft in Z first, then its edge to the side through paper, the spindle turned by hand.",
      ),
      by === "readout"
        ? say`Set Y to ${precise(mm(-paper), 2)}: the side of the shaft then reads 0.`
        : say`Set the Y collar to 0, back off, move ${precise(mm(paper), 2)} further in than the touch beside the shaft, and set it to 0 again: the paper is counted.`,
      words("Back off before the spindle starts."),
    ],
    warnings: [
      note(rule("M23.crown")`The depth of the seat counts from the crown, and the paper counts too.`),
    ],
  };
}

/** What Z is set to when a tool touches the face that is up through paper: every new tool anew. */
export function topPickup(machine: Machine, tool: string, tilted: boolean, round: boolean): Pickup {
  const screw = machine.axes.z;
  const by = setBy(screw);
  return {
    axis: "z",
    datum: "top",
    faces: ["top"],
    way: "paper",
    tool: 0,
    medium: paper,
    side: null,
    settings: [topSetting(0, paper)],
    off: paper,
    by,
    error: tidy(Math.hypot(pickupErrors.paper, stepOf(screw) / 2)),
    title: say`Touch the ${round ? "crown" : "top"} in Z with ${tool} and paper`,
    order: [
      round
        ? words(
            "Come down on the crown of the section that is cut, over the middle of the shaft, until the paper just drags, the spindle turned by hand.",
          )
        : words("Come down over the part until the paper just drags, the spindle turned by hand."),
      by === "readout"
        ? say`Set Z to ${precise(mm(paper), 2)}: the top then reads 0.`
        : say`Set the Z collar to 0, lift clear, go ${precise(mm(paper), 2)} on and set it to 0 again: the paper is counted.`,
      words("Lower the knee or lift the head clear before the table is moved."),
    ],
    warnings: [
      note(rule("M23.top")`Paper counts in Z too.`),
      warn(rule("M24.down")`After the touch go clear of the part, then to the place, then down to depth.`),
      ...(tilted
        ? [
            note(
              words(
                "With the head tilted touch the highest corner that is left; the zero in X and Y holds no more.",
              ),
            ),
          ]
        : [
            note(
              rule(
                "M26.one",
              )`Depth is one Z: if the quill was moved, bring it back to its stop and lock it; what knee and quill moved adds up.`,
            ),
          ]),
    ],
  };
}
