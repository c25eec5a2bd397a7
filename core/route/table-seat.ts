import {
  alongJaws,
  axisOf,
  clampingAxes,
  type Face,
  facesOf,
  opposite,
  type Orientation,
} from "../frame/index.ts";
import {
  type CutFromAbove,
  isGlued,
  leftOfPlate,
  runOut,
  type Seat,
  seatOnPlate,
  seatStrappedClear,
  seatWarnings,
  strapWarnings,
  tableGrip,
} from "../holding/index.ts";
import { boxOfPrism, type Cutout, type Site } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { isReference } from "../stock/index.ts";
import { done, type Outcome, type Phrase, rule, say, type Warning, warn } from "../working/index.ts";
import { comesOutBelow, fromFixedJaw } from "./cuts-in-seat.ts";
import type { CutHere, FeatureSeat, HoldRequest } from "./hold-request.ts";
import { strapHold } from "../handbook/index.ts";

/** A cutter that opens to a side runs so far out there: half of it and its run-out, mm (guess: up to 25 wide). */
const runsOut = 12.5 + runOut;

/** A box of the part as it lies on the table, the fixed face at the back. */
function fromAbove(box: Cutout["box"], at: Orientation, sizes: Site["sizes"]): CutFromAbove {
  const { axis, sign } = clampingAxes(at).x;
  const [low, high] = box[axis];
  const [left, right] = sign > 0 ? [low, high] : [sizes[axis] - high, sizes[axis] - low];
  return { x: [tidy(left), tidy(right)], y: fromFixedJaw(box, at, sizes) };
}

/** Where the pieces of a cut lie, with what its cutter runs out where it opens to a side. */
function cutsFromAbove({ cutout }: CutHere, at: Orientation, sizes: Site["sizes"]): CutFromAbove[] {
  const { axis, sign } = clampingAxes(at).x;
  const ends = facesOf(axis);
  const [atLeft, atRight] = sign > 0 ? ends : [ends[1], ends[0]];
  const out = (face: Face) => (cutout.opens.includes(face) ? runsOut : 0);
  return cutout.prisms
    .filter((p) => !p.thread)
    .map((prism): CutFromAbove => {
      const { x, y } = fromAbove(boxOfPrism(prism), at, sizes);
      return {
        x: [tidy(x[0] - out(atLeft)), tidy(x[1] + out(atRight))],
        y: [tidy(y[0] - out(at.fixed)), tidy(y[1] + out(opposite(at.fixed)))],
      };
    });
}

/** What is gone of the face that is up or of the one below. */
function goneOf({ gone, site }: HoldRequest, at: Orientation, which: "top" | "bottom"): CutFromAbove[] {
  const axis = axisOf(at.up);
  const whole = site.sizes[axis];
  const high = (facesOf(axis)[1] === at.up) === (which === "top");
  return gone
    .map(boxOfPrism)
    .filter((box) => (high ? box[axis][1] > whole - skin : box[axis][0] < skin))
    .map((box) => fromAbove(box, at, site.sizes));
}
const skin = 0.1;

/** How much of the face below still stands, as a share: what overlaps counts twice, so that it is never told too large. */
function restsBelow(request: HoldRequest, at: Orientation): number {
  const { sizes } = request.site;
  const whole = sizes[alongJaws(at)] * sizes[axisOf(at.fixed)];
  const lost = goneOf(request, at, "bottom").reduce(
    (sum, { x, y }) => sum + (x[1] - x[0]) * (y[1] - y[0]),
    0,
  );
  return Math.max(0, 1 - lost / whole);
}

/** A block strapped to the table clear of its cuts, or glued to a plate, whichever is asked. */
export function holdOnTable(
  request: HoldRequest,
  at: Orientation,
  by: "straps" | "plate",
): Outcome<FeatureSeat & { score: number }> {
  const { piece, cuts, site, shop, own } = request;
  const comesOut = Math.max(0, ...cuts.map((cut) => comesOutBelow(cut, at, site.sizes)));
  const held =
    by === "plate"
      ? seatOnPlate({ piece, at, aids: shop.aids, comesOut, rests: restsBelow(request, at) })
      : seatStrappedClear({
          piece,
          at,
          aids: shop.aids,
          cuts: cuts.flatMap((cut) => cutsFromAbove(cut, at, site.sizes)),
          gone: [...goneOf(request, at, "top"), ...goneOf(request, at, "bottom")],
          comesOut,
          paper: own?.paper ?? false,
          stop: own?.stop ?? false,
        });
  if (!held.ok) return held;
  const seat = held.value;
  const along = alongJaws(at);
  return done({
    at,
    seat,
    device: "table",
    grip: tableGrip(seat),
    reasons: tableReasons(request, seat),
    warnings: tableWarnings(cuts, { seat, at }, request),
    score:
      request.datums.filter((f) => f === at.fixed).length +
      (isReference(piece, at.fixed) ? 1 : 0) +
      (clampingAxes(at).x.sign > 0 ? asDrawn : 0) +
      seat.table!.straps +
      piece.sizes[along] / Math.max(...Object.values(piece.sizes)),
  });
}

/** Nothing is gained by a turn where no jaw locates: left and right stay as they are drawn. */
const asDrawn = 3;

function tableReasons({ piece }: HoldRequest, seat: Seat): Phrase[] {
  const { table, fixed, standing } = seat;
  if (!table) return [];
  return [
    isGlued(seat)
      ? rule(
          "holding.glued",
        )`${mm(standing)} thick, it is glued to a flat plate ${mm(table.packing)} thick that is bolted to the table: nothing stands over it or beside it.`
      : rule(
          "holding.strapped",
        )`${table.straps} straps stand clear of all that is cut here, ${mm(table.reach)} in over the edge, each over what carries the part.`,
    ...(table.plate && !isGlued(seat)
      ? [
          rule(
            "holding.backing",
          )`It lies on a plate ${mm(table.packing)} thick: what is cut through ends in the plate, with less of a burr, and the table is out of reach.`,
        ]
      : []),
    isReference(piece, fixed)
      ? say`The ${fixed} face is machined: indicated along X it keeps what is cut square to it.`
      : say`The ${fixed} face is set along X by eye: it is not machined.`,
  ];
}

/** A cut that goes through farther than this from every strap, in thicknesses, springs between the packing (guess). */
const farFromPacking = 8;

/** What stands against a block on the table: its seat, the studs, what springs between the pieces of packing. */
export function tableWarnings(
  cuts: readonly CutHere[],
  { seat, at }: Pick<FeatureSeat, "seat" | "at">,
  { piece, site, shop, machine }: Pick<HoldRequest, "piece" | "site" | "shop" | "machine">,
): Warning[] {
  const { table } = seat;
  if (!table) return [];
  const far = table.plate
    ? 0
    : Math.max(
        0,
        ...cuts
          .flatMap((cut) => cutsFromAbove(cut, at, site.sizes))
          .map((cut) => farFrom(cut, table.at, seat.between)),
      );
  return [
    ...seatWarnings(piece, seat, true),
    ...strapWarnings(seat, shop.aids, machine.tSlot),
    ...(far > farFromPacking * seat.standing
      ? [
          warn(
            rule(
              "M42.between",
            )`A cut lies ${mm(far)} from the nearest packing, and the part is ${mm(seat.standing)} thick: it springs there. Put packing or a jack of the same height beside it, clear of what comes out below.`,
          ),
        ]
      : []),
  ];
}

/** How far the middle of a cut lies from the nearest strap's packing, mm. */
function farFrom({ x, y }: CutFromAbove, straps: NonNullable<Seat["table"]>["at"], between: Mm): Mm {
  const [cx, cy] = [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2];
  return tidy(
    Math.min(...straps.map(({ edge, left }) => Math.hypot(cx - left, edge === "back" ? cy : between - cy))),
  );
}

/** What stands between a strap and a cut at least, mm. */
const room = 10;

/** Whether a cut is clear of the straps and of what lies under a part that is held on the table already. */
export function clearOfWhatHolds(
  cut: CutHere,
  { at, seat }: Pick<FeatureSeat, "at" | "seat">,
  sizes: Site["sizes"],
): boolean {
  const { table, between } = seat;
  if (!table) return false;
  const deep = comesOutBelow(cut, at, sizes);
  if (deep > 0 && deep + (table.plate ? leftOfPlate : 1) > table.packing) return false;
  return cutsFromAbove(cut, at, sizes).every(({ x, y }) =>
    table.at.every(({ edge, left }) => {
      const [low, high] = edge === "back" ? [0, table.reach] : [between - table.reach, between];
      const beside = x[1] + room <= left - strapHold.wide / 2 || x[0] - room >= left + strapHold.wide / 2;
      // A strap over a shaft goes all across it.
      return beside || (seat.blocks === null && (y[1] + room <= low || y[0] - room >= high));
    }),
  );
}
