import { axisOf, facesOf, type Orientation } from "../frame/index.ts";
import { blockPlaces, cutterClearance, gripCapacity, hangsFree, type Seat } from "../holding/index.ts";
import { boxOfPrism, sectionAt } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { done, note, type Outcome, refused, rule, say, type Warning, words } from "../working/index.ts";
import type { CutHere, FeatureSeat, HoldRequest } from "./hold-request.ts";

/** What goes so far through a shaft comes out below with the point of its tool; the head of a bolt does not. */
const nearlyThrough = 0.75;

/** How far down from the top cutters go past the sides of the shaft where the jaws stand beside it, mm; past their ends is room. */
function downBeside(
  cuts: readonly CutHere[],
  at: Orientation,
  { site: { sizes }, vise }: Pick<HoldRequest, "site" | "vise">,
): Mm {
  const axis = axisOf(at.up);
  const upright = axis === "length";
  const high = facesOf(axis)[1] === at.up;
  const [from, to] = [(sizes.length - vise.jawWidth) / 2, (sizes.length + vise.jawWidth) / 2];
  return Math.max(
    0,
    ...cuts
      .filter(({ cutout: { face, opens, box } }) => {
        const aside = [face, ...opens].map(axisOf).some((a) => a !== axis && (upright || a !== "length"));
        return aside && (upright || (box.length[0] < to && box.length[1] > from));
      })
      .map(({ cutout: { box }, floor }) => Math.max(floor, high ? sizes[axis] - box[axis][0] : box[axis][1])),
  );
}

/** A shaft lies in V-blocks on parallels between the jaws, along X; for what is cut into an end it stands in one. */
export function holdShaft(request: HoldRequest, at: Orientation): Outcome<FeatureSeat> {
  const { vise, shop, site, material, cuts } = request;
  const upright = axisOf(at.up) === "length";
  const sections = site.shaft!;
  const diameter = Math.max(...sections.map((s) => s.diameter));
  const at_ = cuts[0]?.cutout.box.length;
  const gripped = upright
    ? diameter
    : (sectionAt(sections, at_ ? (at_[0] + at_[1]) / 2 : 0)?.diameter ?? diameter);
  const blocks = shop.aids.find((a) => a.kind === "vBlocks" && gripped >= a.from && gripped <= a.to);
  if (!blocks)
    return refused(
      rule("holding.vBlocks")`No V-blocks in the shop hold a ${mm(gripped)} shaft.`,
      words("Enter the V-blocks you own, or hold the shaft in soft jaws and enter those as V-blocks."),
    );
  if (diameter > vise.opening)
    return refused(
      rule("M11.opening")`The shaft is ${mm(diameter)}; the ${vise.name} opens ${mm(vise.opening)}.`,
      words("Strap it in V-blocks on the table."),
    );
  // A cutter that runs out at an end would meet the stop there.
  const runsOut = !upright && cuts.some(({ cutout }) => cutout.opens.some((f) => axisOf(f) === "length"));
  const length = site.sizes.length;
  const standing = upright ? length : diameter;
  const through = upright
    ? []
    : cuts
        .filter(({ floor }) => floor > gripped)
        .flatMap(({ cutout: { prisms } }) => prisms.map(boxOfPrism))
        .filter((box) => box[axisOf(at.up)][1] - box[axisOf(at.up)][0] > nearlyThrough * gripped)
        .map((box) => box.length);
  const blocksAt = through.length > 0 ? blockPlaces(length, vise.jawWidth, through) : null;
  if (through.length > 0 && blocksAt === null)
    return refused(
      rule(
        "holding.blocksBelow",
      )`The tool comes out below, and nowhere along the shaft two V-blocks stand clear of it between the jaws.`,
      words("Strap the shaft in V-blocks on the table, further apart, or drill it from both sides."),
    );
  // Upright it stands on the bed.
  const grip = tidy(upright ? Math.min(vise.jawDepth, length) : gripped * 0.5);
  const seat: Seat = {
    up: at.up,
    fixed: at.fixed,
    vise: vise.id,
    parallels: null,
    rod: null,
    paper: request.own?.paper ?? false,
    tap: false,
    soft: false,
    square: upright,
    grip,
    effectiveGrip: tidy(grip - vise.jawChamfer),
    projection: tidy(standing - grip),
    standing,
    between: gripped,
    along: upright ? gripped : length,
    overhang: null,
    jack: false,
    stop: request.own?.stop ?? !runsOut,
    points: false,
    together: null,
    table: null,
    blocks: blocksAt,
  };
  const down = downBeside(cuts, at, request);
  if (down + cutterClearance > seat.projection)
    return refused(
      rule(
        "holding.blocks",
      )`The shaft stands ${mm(seat.projection)} above the jaws, and the cutter goes ${mm(down)} down beside it: it would cut into the jaw.`,
      words(
        "Strap the shaft in V-blocks on the table, hold it between centers, or let this end of it lie past the jaws.",
      ),
    );
  return done({
    at,
    seat,
    device: "vBlocks",
    grip: gripCapacity(seat, vise, material.group),
    reasons: [
      upright
        ? say`The shaft stands in a V-block against the fixed jaw, squared up: its end is cut from above.`
        : say`The shaft lies in V-blocks on parallels against the fixed jaw: indicate its side along X and its crown level before anything is cut.`,
      runsOut
        ? words("No stop at its end: the cutter runs out there.")
        : words("A stop at its end keeps the place along X."),
    ],
    warnings: shaftWarnings(cuts, seat, request),
  });
}

/** What is said of a shaft in V-blocks. */
export function shaftWarnings(
  cuts: readonly CutHere[],
  seat: Seat,
  { site, vise }: Pick<HoldRequest, "site" | "vise">,
): Warning[] {
  const middle = site.sizes.length / 2;
  return [
    note(rule("M12.round")`A round part is held on lines only: tighten firmly, and start with light cuts.`),
    ...(seat.square
      ? []
      : hangsFree(
          seat,
          vise,
          cuts.map(({ cutout: { box } }) => [box.length[0] - middle, box.length[1] - middle]),
        )),
  ];
}
