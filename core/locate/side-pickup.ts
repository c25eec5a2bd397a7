import { axisOf, type Face, facesOf } from "../frame/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { cuttingDiameter, edgeFinderOf } from "../shop/index.ts";
import { note, precise, rule, say, type Warning, warn, words } from "../working/index.ts";
import { type LocateRequest, paper, type Pickup, pickupErrors, setBy, stepOf } from "./pickup.ts";
import { type Datum, type SetupFrame, sideInSetup } from "./setup-frame.ts";
import { edgeSetting, type ToolSide } from "./touch.ts";

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

export function sidePickup(axis: "x" | "y", datum: Datum, frame: SetupFrame, request: LocateRequest): Pickup {
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
            off < 1e-6
              ? say`Set the ${NAME} collar to 0: the axis stands over the edge. Go up clear.`
              : say`Set the ${NAME} collar to 0, go up clear, and move ${precise(mm(off), 3)} on to the ${toward}: the axis stands over the edge. Set the collar to 0 again.`,
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
