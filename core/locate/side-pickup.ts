import { axisOf, type Face, facesOf, oppositeSide } from "../frame/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { cuttingDiameter, edgeFinderOf, type Vise } from "../shop/index.ts";
import { note, type Phrase, precise, rule, say, type Warning, warn, words } from "../working/index.ts";
import {
  type LocateRequest,
  movesToTouch,
  type Pickup,
  setBy,
  slackOf,
  type Toucher,
  touchError,
  type TouchWay,
  wayFor,
} from "./pickup.ts";
import { type Datum, positionOf, reads, type SetupFrame, sideInSetup } from "./setup-frame.ts";
import { edgeSetting, type ToolSide } from "./touch.ts";

function toolFor(request: LocateRequest): {
  way: TouchWay;
  tool: Mm;
  toucher: Toucher;
  medium: Mm;
} {
  const { setup, shop, paper } = request;
  const way = wayFor(request);
  if (way === "indicator")
    return {
      way,
      tool: 0,
      toucher: { kind: "indicator", name: "an indicator swept in the spindle" },
      medium: 0,
    };
  if (way === "line") return { way, tool: 0, toucher: { kind: "pin", name: "a pointed pin" }, medium: 0 };
  const finder = edgeFinderOf(shop);
  if (finder && (way === "finder" || way === "finderTurned"))
    return { way, tool: finder.to, toucher: { kind: "finder", name: finder.name }, medium: 0 };
  const between = { way: way === "chip" ? way : "paper", medium: way === "chip" ? 0 : paper } as const;
  // A drill has no side to touch with: an end mill of the setup, else of the drawer, else a ground pin.
  const milling = setup.operations.find((o) => o.by === "mill" && o.cutter !== null);
  if (milling)
    return {
      ...between,
      tool: milling.diameter,
      toucher: { kind: "cutter", id: milling.cutter!, name: milling.toolName },
    };
  const owned = shop.cutters.find((c) => c.kind === "endMill");
  return owned
    ? {
        ...between,
        tool: cuttingDiameter(owned),
        toucher: { kind: "cutter", id: owned.id, name: owned.name },
      }
    : {
        way: "paper",
        tool: pinDiameter,
        toucher: { kind: "pin", name: `a ground pin, ${pinDiameter} mm` },
        medium: paper,
      };
}

/** A pin to touch with where no end mill is owned, mm. */
const pinDiameter = 10;

/** The zero of X or Y as it is usually picked up: on the datum itself, or on both sides to halve between them. */
export function sidePickup(axis: "x" | "y", datum: Datum, frame: SetupFrame, request: LocateRequest): Pickup {
  return datum === "center" || request.wanted === "sides"
    ? halvedPickup(axis, datum, frame, request)
    : facePickup(axis, datum, datum, frame, request);
}

/** What every touch of X or Y has in common. */
function touching(axis: "x" | "y", { machine, ...request }: LocateRequest) {
  const screw = machine.axes[axis];
  const { way, tool, toucher, medium } = toolFor({ machine, ...request });
  return {
    screw,
    of: {
      axis,
      way,
      toucher,
      tool,
      medium,
      slack: slackOf(screw),
      by: setBy(screw),
      near: null,
      there: false,
    },
    off: tidy(tool / 2 + medium),
    NAME: axis.toUpperCase(),
    between: withWords(way, toucher.name),
  };
}

const backOff = words("Back off from the face first, then up, and only then over the part.");

function halvedPickup(axis: "x" | "y", datum: Datum, frame: SetupFrame, request: LocateRequest): Pickup {
  const { sizes } = request;
  const { screw, of, off, NAME, between } = touching(axis, request);
  const { way, slack } = of;
  const [low, high] = facesOf(frame[axis].axis);
  const half = sizes[frame[axis].axis] / 2;
  const [left, right] = frame[axis].sign > 0 ? [low, high] : [high, low];
  // The second side is come to the other way: what the collar lost in turning back belongs to the distance (M25).
  const apart = tidy(2 * half + 2 * off - slack);
  return {
    ...of,
    datum,
    faces: [left, right],
    from: [sideInSetup(frame, left)!, sideInSetup(frame, right)!],
    side: null,
    settings: [tidy(-half - off), tidy(half + off)],
    off,
    error: touchError(way, screw, true),
    title: say`Pick up the center in ${NAME} ${between}`,
    order: [
      ...(way === "finderTurned" ? [turnAtEach] : []),
      say`Touch the ${sideInSetup(frame, left)!} side and set ${NAME} to 0 there. ${backOff}`,
      say`Touch the ${sideInSetup(frame, right)!} side: ${NAME} reads about ${precise(mm(apart), 3)}.`,
      say`The center is at half of that reading${slack > 0 ? say` less ${precise(mm(tidy(slack / 2)), 3)}, half the backlash` : say``}: go there${slack > 0 ? say` without turning back` : say``} and set ${NAME} to ${
        datum === "center"
          ? say`0.`
          : say`${precise(mm(tidy(datum === left ? half : -half)), 3)}; the ${datum} face then reads 0.`
      }`,
    ],
    warnings: [
      note(
        rule(
          "M23.halve",
        )`Half of the tool and the paper cancel out, as long as both sides are touched the same way.`,
      ),
      warn(rule("M24.back")`After each touch back off, then up, then over to the other side.`),
    ],
  };
}

/** The zero of X or Y by one face, wherever zero lies. */
export function facePickup(
  axis: "x" | "y",
  datum: Datum,
  face: Face,
  frame: SetupFrame,
  request: LocateRequest,
): Pickup {
  const { sizes } = request;
  const { screw, of, off, NAME, between } = touching(axis, request);
  const { way, tool, medium } = of;
  const where = sideInSetup(frame, face)!;
  const jaw = atJaw(request, face);
  const side: ToolSide = movesToTouch[where] > 0 ? "minus" : "plus";
  // Where the face that is touched reads, once the datum reads 0.
  const edge = reads(frame[axis], positionOf(face, sizes));
  const setting = way === "indicator" ? edge : edgeSetting(edge, tool, medium, side)!;
  const on = tidy(off + Math.abs(edge));
  const toward = oppositeSide[where];
  const turnedHalf = way === "finderTurned" ? [turnHalf] : [];
  return {
    ...of,
    datum,
    faces: [face],
    from: [where],
    side,
    settings: [setting],
    off: on,
    error: touchError(way, screw, false),
    title: say`Pick up the ${face} face${face === where ? say`` : say`, now at your ${where},`} in ${NAME} ${between}`,
    order:
      of.by === "readout"
        ? [
            say`${way === "line" ? say`Bring it over the line at the ${where} side of the part` : say`Come to the ${where} side of the part and touch it`}; ${signs[way]}.`,
            ...turnedHalf,
            say`Set ${NAME} to ${precise(mm(setting), 3)}: ${edge === 0 ? say`the axis stands that far ${side === "minus" ? "before" : "past"} the edge, which then reads 0` : say`the ${zeroAt(datum)}, from which the places count, then reads 0`}.`,
            backOff,
          ]
        : [
            say`${way === "line" ? say`Bring it over the line at the ${where} side of the part` : say`Come to the ${where} side of the part and touch it`}, the last bit moving ${toward}; ${signs[way]}.`,
            ...turnedHalf,
            on < 1e-6
              ? say`Set the ${NAME} collar to 0: the spindle is over the edge. Go up clear.`
              : say`Set the ${NAME} collar to 0, go up clear, and move ${precise(mm(on), 3)} on to the ${toward}: the axis stands over the ${edge === 0 ? "edge" : say`place of the ${zeroAt(datum)}, from which the places count`}. Set the collar to 0 again.`,
            words("From here on every place is turns and divisions from this zero."),
          ],
    warnings: [
      ...jaw,
      note(betweenWords(way, tool, medium)),
      warn(rule("M24.back")`After the touch back off, then up, then over the part: never down beside it.`),
    ],
  };
}

const zeroAt = (datum: Datum): string => (datum === "center" ? "center" : `${datum} face`);

/** When it is touched, by what it is touched with. */
const signs: Readonly<Record<TouchWay, string>> = {
  line: "its point stands on the line, seen from both sides",
  chip: "the cutter, turned by hand, just raises the first chip: it leaves a mark",
  paper: "the paper just drags, spindle turned by hand",
  finder: "the finder just kicks over",
  finderTurned: "the finder just kicks over",
  indicator: "the indicator reads the same on the face and on a block held against it",
};

const turnHalf = words(
  "Turn the finder half a turn in its holder and touch again: the middle of the two is the touch, whatever its run-out.",
);

const turnAtEach = words(
  "Touch each side twice, the finder turned half a turn in its holder between: use the middle of the two.",
);

const withWords = (way: TouchWay, name: string): Phrase =>
  way === "paper"
    ? say`with ${name} and paper`
    : way === "finder" || way === "finderTurned"
      ? say`with the ${name}`
      : way === "line"
        ? say`by its line, with ${name}`
        : say`with ${name}`;

/** What lies between the axis of the spindle and the edge at the touch. */
function betweenWords(way: TouchWay, tool: Mm, medium: Mm): Phrase {
  const half = precise(mm(tidy(tool / 2)), 3);
  switch (way) {
    case "paper":
      return rule(
        "M23.edge",
      )`Half of the cutter (${half}) and the paper (${precise(mm(medium), 2)}) lie between its axis and the edge. Use a long strip of paper, fingers clear; better, turn the spindle by hand.`;
    case "chip":
      return rule("M23.edge")`Half of the cutter (${half}) lies between its axis and the edge.`;
    case "indicator":
    case "line":
      return rule("M23.edge")`The spindle is over the edge itself: nothing is added.`;
    case "finder":
    case "finderTurned":
      return rule("M23.edge")`Half of its tip (${half}) lies between its axis and the edge.`;
  }
}

/** A face at a jaw can only be touched where it stands above it, mm. */
const leastAbove = 6;

/** How much of the part stands above the jaws, or above the packing it is strapped to, mm. */
export const aboveJaws = (
  { seat }: Pick<LocateRequest["setup"], "seat">,
  { jawDepth }: Pick<Vise, "jawDepth">,
): Mm => (seat.table ? seat.standing : tidy((seat.parallels?.height ?? 0) + seat.standing - jawDepth));

/** What is said of a datum that lies at a jaw, too low to be touched above it. */
function atJaw({ setup, shaft, vise }: LocateRequest, datum: Face): Warning[] {
  if (shaft || axisOf(datum) !== axisOf(setup.at.fixed)) return [];
  if (setup.seat.table) return [];
  const above = aboveJaws(setup, vise);
  if (above >= leastAbove) return [];
  return [
    datum === setup.at.fixed
      ? note(
          rule(
            "locate.fixedJaw",
          )`Only ${mm(above)} of that face is above the fixed jaw: touch the jaw face itself beside the part; it is the same plane.`,
        )
      : warn(
          rule(
            "locate.movingJaw",
          )`Only ${mm(above)} of that face is above the moving jaw: use a thin finder, or hold a parallel against the face and touch that (add its thickness).`,
        ),
  ];
}
