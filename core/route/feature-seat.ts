import {
  axisOf,
  type Face,
  faceNames,
  facesOf,
  opposite,
  orientation,
  type Orientation,
  alongJaws,
} from "../frame/index.ts";
import {
  cutterClearance,
  gripCapacity,
  type GripCapacity,
  parallelHeightNeeded,
  type Seat,
  seatInVise,
  seatWarnings,
} from "../holding/index.ts";
import type { Material } from "../handbook/index.ts";
import { boxOfPrism, type Cutout, sectionAt, type Site } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { Parallels, Shop, Vise } from "../shop/index.ts";
import { isReference, type Piece } from "../stock/index.ts";
import {
  done,
  note,
  type Outcome,
  type Phrase,
  refused,
  rule,
  say,
  stop,
  type Warning,
  words,
} from "../working/index.ts";
import type { Device, FeatureTold } from "./feature-setup.ts";
import type { OwnSeat } from "./route-context.ts";

/** How a part is held while its features are cut. */
export interface FeatureSeat {
  at: Orientation;
  seat: Seat;
  device: Device;
  grip: GripCapacity;
  reasons: Phrase[];
  warnings: Warning[];
}

export interface HoldRequest {
  up: Face;
  /** The face that must look to the front; null for any. */
  front: Face | null;
  cutouts: readonly Cutout[];
  /** Faces the features count from: they are best at the fixed jaw. */
  datums: readonly Face[];
  piece: Piece;
  site: Site;
  vise: Vise;
  shop: Shop;
  material: Material;
  own: OwnSeat | null;
}

/** Cuts keep so far from parallels, mm. */
const clearOfParallel = 1;

/** How far below the top the sides at the jaws must stand free: what opens to them. */
function opensAtJaws(cutouts: readonly Cutout[], at: Orientation): Mm {
  const axis = axisOf(at.up);
  return Math.max(
    0,
    ...cutouts
      .filter(({ opens, face }) =>
        [at.fixed, opposite(at.fixed)].some((f) => opens.includes(f) || face === f),
      )
      .map(({ box }) => box[axis][1] - box[axis][0]),
  );
}

/** What comes out below, and where it lies across the jaws: measured from the fixed jaw, mm. */
function throughSpans(cutouts: readonly Cutout[], at: Orientation, sizes: Site["sizes"]): [Mm, Mm][] {
  return cutouts
    .filter(({ opens }) => opens.includes(opposite(at.up)))
    .flatMap(({ prisms }) => prisms.map((prism) => fromFixedJaw(boxOfPrism(prism), at, sizes)));
}

/** Where a box lies across the jaws, measured from the fixed one, mm. */
export function fromFixedJaw(box: Cutout["box"], at: Orientation, sizes: Site["sizes"]): [Mm, Mm] {
  const across = axisOf(at.fixed);
  const [low, high] = box[across];
  return at.fixed === facesOf(across)[0]
    ? [tidy(low), tidy(high)]
    : [tidy(sizes[across] - high), tidy(sizes[across] - low)];
}

/** Whether cutouts can be made in a seat as it is: nothing comes out below, and what opens to the jaws is free of them. */
export const fitsSeat = (cutouts: readonly Cutout[], seat: Seat, at: Orientation): boolean =>
  cutouts.every(({ opens }) => !opens.includes(opposite(at.up))) &&
  (opensAtJaws(cutouts, at) === 0 || opensAtJaws(cutouts, at) + cutterClearance <= seat.projection);

/** M09: whether a pair of parallels lies clear of all that comes out below. */
const clearOf = (p: Parallels, spans: readonly [Mm, Mm][], between: Mm): boolean =>
  spans.every(
    ([low, high]) => low >= p.thickness + clearOfParallel && high <= between - p.thickness - clearOfParallel,
  );

function holdBlock(request: HoldRequest, at: Orientation): Outcome<FeatureSeat & { score: number }> {
  const { piece, vise, shop, cutouts, site, material, own, datums } = request;
  const removal = opensAtJaws(cutouts, at);
  const spans = throughSpans(cutouts, at, site.sizes);
  const between = piece.sizes[axisOf(at.fixed)];
  const standing = piece.sizes[axisOf(at.up)];
  const needed = parallelHeightNeeded(vise, removal, standing);
  const clear = shop.parallels.filter((p) => clearOf(p, spans, between));
  // What comes out below must not meet the bed: it stands on parallels then, the lowest that clear.
  const lowest = clear
    .filter((p) => p.height >= needed && 2 * p.thickness + 2 <= between && p.height < vise.jawDepth)
    .sort((a, b) => a.height - b.height || a.thickness - b.thickness)[0];
  const through = spans.length > 0;
  if (through && !lowest)
    return refused(
      rule(
        "M09.through",
      )`What is cut through lies over the parallels: ${mm(Math.min(...spans.map(([low]) => low)))} from the jaw, and none that are owned are thin enough.`,
      words("Turn the part in the vise, or take thinner parallels."),
    );
  const ownParallels = own?.parallels ?? (through ? lowest!.id : null);
  const chosen = shop.parallels.find((p) => p.id === ownParallels);
  const seat = seatInVise({
    piece,
    at,
    removal,
    overhang: null,
    square: standing > 2.5 * vise.jawDepth,
    vise,
    parallels: shop.parallels,
    rods: shop.rods,
    offEnd: 0,
    ownParallels,
    paper: own?.paper ?? false,
    jack: false,
    stop: own?.stop ?? false,
    points: false,
    wantedGrip: null,
  });
  if (!seat.ok) return seat;
  const reached: Warning[] =
    chosen && through && !clearOf(chosen, spans, between)
      ? [
          stop(
            rule(
              "M09.under",
            )`The ${chosen.name} lie under a cut that goes through: it would cut into them. Take thinner ones, or turn the part.`,
          ),
        ]
      : [];
  const s = seat.value;
  const datumAtJaw = datums.filter((f) => f === at.fixed).length;
  return done({
    at,
    seat: s,
    device: "vise",
    grip: gripCapacity(s, vise, material.group),
    reasons: [
      isReference(piece, at.fixed)
        ? say`The ${at.fixed} face is machined: at the fixed jaw it keeps what is cut square to it.`
        : say`The ${at.fixed} face goes to the fixed jaw.`,
      ...(removal > 0
        ? [
            say`Cuts open to the jaws and go ${mm(removal)} down: the top stands ${mm(s.projection + removal)} above them.`,
          ]
        : []),
      ...(through
        ? [
            rule(
              "M09.clear",
            )`Cuts come out below: the parallels lie clear of them, one at each jaw, and the bed is out of reach.`,
          ]
        : []),
    ],
    warnings: [...seatWarnings(piece, s, true), ...reached],
    score:
      datumAtJaw * 4 +
      (isReference(piece, at.fixed) ? 2 : 0) +
      Math.min(3, s.effectiveGrip / 5) +
      piece.sizes[alongJaws(at)] / Math.max(...Object.values(piece.sizes)) -
      (removal > 0 ? 3 : 0) -
      reached.length * 10,
  });
}

/** A shaft lies in V-blocks on parallels between the jaws, along X; for what is cut into an end it stands in one. */
function holdShaft(request: HoldRequest, at: Orientation): Outcome<FeatureSeat> {
  const { vise, shop, site, material, cutouts } = request;
  const upright = axisOf(at.up) === "length";
  const sections = site.shaft!;
  const diameter = Math.max(...sections.map((s) => s.diameter));
  const at_ = cutouts[0]?.box.length;
  const gripped = upright
    ? diameter
    : (sectionAt(sections, at_ ? (at_[0] + at_[1]) / 2 : 0)?.diameter ?? diameter);
  const blocks = shop.aids.find((a) => a.kind === "vBlocks" && gripped >= a.from && gripped <= a.to);
  if (!blocks)
    return refused(
      rule("holding.vBlocks")`No V-blocks in the shop take a shaft of ${mm(gripped)}.`,
      words("Enter the V-blocks you own, or hold the shaft in soft jaws and enter those as V-blocks."),
    );
  if (diameter > vise.opening)
    return refused(
      rule("M11.opening")`The shaft is ${mm(diameter)}; the ${vise.name} opens ${mm(vise.opening)}.`,
      words("Strap it in V-blocks on the table."),
    );
  const length = site.sizes.length;
  const standing = upright ? length : diameter;
  const grip = tidy(upright ? Math.min(vise.jawDepth, length / 2) : gripped * 0.5);
  const seat: Seat = {
    up: at.up,
    fixed: at.fixed,
    vise: vise.id,
    parallels: null,
    rod: null,
    paper: request.own?.paper ?? false,
    tap: false,
    square: upright,
    grip,
    effectiveGrip: tidy(grip - vise.jawChamfer),
    projection: tidy(standing - grip),
    standing,
    between: gripped,
    along: upright ? gripped : length,
    overhang: null,
    jack: false,
    stop: request.own?.stop ?? true,
    points: false,
    table: null,
  };
  const loose = !upright && length > 3 * vise.jawWidth;
  return done({
    at,
    seat,
    device: "vBlocks",
    grip: gripCapacity(seat, vise, material.group),
    reasons: [
      upright
        ? say`The shaft stands in a V-block against the fixed jaw, squared up: its end is cut from above.`
        : say`The shaft lies in V-blocks on parallels against the fixed jaw: indicate its side along X and its crown level before anything is cut.`,
      words("A stop at its end keeps the place along X."),
    ],
    warnings: [
      note(rule("M12.round")`A round part is held along lines only: a firm pull, and light cuts at first.`),
      ...(loose
        ? [
            note(
              rule(
                "M42.shaft",
              )`${mm(length)} long in jaws of ${mm(vise.jawWidth)}: put a jack under the end that hangs out.`,
            ),
          ]
        : []),
    ],
  });
}

/** A seat that was begun: a fact, whatever would be planned now. */
export const toldSeat = (
  { at, seat, device }: FeatureTold,
  { vise, material }: Pick<HoldRequest, "vise" | "material">,
): FeatureSeat => ({
  at,
  seat,
  device,
  grip: gripCapacity(seat, vise, material.group),
  reasons: [words("The setup was begun so: it stays as it was clamped.")],
  warnings: [],
});

/** Holds the part with a face up, the best of the ways it can stand; refuses with the first reason when none does. */
export function holdForFeatures(request: HoldRequest): Outcome<FeatureSeat> {
  const { up, front, site, own, piece } = request;
  const fixeds = front
    ? [opposite(front)]
    : faceNames.filter((f) => axisOf(f) !== axisOf(up) && (!own?.fixed || f === own.fixed));
  if (site.shaft) {
    const fixed = fixeds.find((f) => axisOf(f) !== "length") ?? fixeds[0];
    const at = fixed && orientation(up, fixed);
    return at
      ? holdShaft(request, at)
      : refused(words("The shaft cannot lie so."), words("Choose another face."));
  }
  const tried = fixeds.flatMap((fixed) => {
    const at = orientation(up, fixed);
    return at ? [holdBlock(request, at)] : [];
  });
  const can = tried.flatMap((t) => (t.ok ? [t.value] : []));
  can.sort((a, b) => b.score - a.score || piece.sizes[alongJaws(b.at)] - piece.sizes[alongJaws(a.at)]);
  const best = can[0];
  if (best) return done(best);
  const no = tried.find((t) => !t.ok);
  return no && !no.ok
    ? no
    : refused(words("Nothing holds the part so."), words("Choose another face at the jaw."));
}
