import {
  axesAcross,
  axisOf,
  clampingAxes,
  type Face,
  faceNames,
  facesOf,
  opposite,
  orientation,
  type Orientation,
  alongJaws,
} from "../frame/index.ts";
import {
  blockPlaces,
  clearBelow,
  clearPlace,
  parallelSpans,
  cutterClearance,
  gripCapacity,
  type GripCapacity,
  parallelHeightNeeded,
  type Seat,
  seatInVise,
  hangsFree,
  heldWarnings,
} from "../holding/index.ts";
import { leastGrip, type Material } from "../handbook/index.ts";
import { boxOfPrism, type Cutout, type Prism, sectionAt, type Site } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { Shop, Vise } from "../shop/index.ts";
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
import type { FeatureSetup } from "./setup.ts";
import type { FeatureTold } from "./told.ts";
import type { Way } from "../recipes/index.ts";
import type { OwnSeat } from "./route-context.ts";
import { contactIn, leastSupport } from "./seat-contact.ts";

/** How a part is held while its features are cut. */
export interface FeatureSeat {
  at: Orientation;
  seat: Seat;
  device: FeatureSetup["device"];
  grip: GripCapacity;
  reasons: Phrase[];
  warnings: Warning[];
}

export interface HoldRequest {
  up: Face;
  /** The face that must look to the front; null for any. */
  front: Face | null;
  cuts: readonly CutHere[];
  /** What was cut out of the block before. */
  gone: readonly Prism[];
  /** Faces the features count from: they are best at the fixed jaw. */
  datums: readonly Face[];
  piece: Piece;
  site: Site;
  vise: Vise;
  shop: Shop;
  material: Material;
  own: OwnSeat | null;
}

/** A feature that is cut in a seat, and how deep its tools go below the face that is up, mm: points and all. */
export interface CutHere {
  cutout: Cutout;
  floor: Mm;
}

/** How deep the tools of a way go, mm; 0 for handwork. */
export const floorOfWay = ({ works }: Pick<Way, "works">): Mm =>
  Math.max(0, ...works.flatMap((w) => (w.tool.by === "hand" ? [] : [w.floor])));

/** Tools keep so far from the bed, mm. */
const clearOfBed = 1;

/** How far below the top the sides at the jaws must stand free: where a cut opens to them its tool comes out over them. */
function opensAtJaws(cuts: readonly CutHere[], at: Orientation): Mm {
  const axis = axisOf(at.up);
  return Math.max(
    0,
    ...cuts
      .filter(({ cutout: { opens, face } }) =>
        [at.fixed, opposite(at.fixed)].some((f) => opens.includes(f) || face === f),
      )
      .map(({ cutout: { box }, floor }) => Math.max(box[axis][1] - box[axis][0], floor)),
  );
}

/** What comes out below, and where it lies across the jaws: measured from the fixed jaw, mm. */
function throughSpans(cuts: readonly CutHere[], at: Orientation, sizes: Site["sizes"]): [Mm, Mm][] {
  return cuts
    .filter((cut) => below(cut, at, sizes) > 0)
    .flatMap(({ cutout: { prisms } }) => prisms.map((prism) => fromFixedJaw(boxOfPrism(prism), at, sizes)));
}

/** How far the tools of a cut come out below the part, mm; a face it opens to is gone all the same. */
const below = ({ cutout, floor }: CutHere, at: Orientation, sizes: Site["sizes"]): Mm =>
  Math.max(floor - sizes[axisOf(at.up)], cutout.opens.includes(opposite(at.up)) ? 0.01 : 0);

/** Where a box lies across the jaws, measured from the fixed one, mm. */
export function fromFixedJaw(box: Cutout["box"], at: Orientation, sizes: Site["sizes"]): [Mm, Mm] {
  const across = axisOf(at.fixed);
  const [low, high] = box[across];
  return at.fixed === facesOf(across)[0]
    ? [tidy(low), tidy(high)]
    : [tidy(sizes[across] - high), tidy(sizes[across] - low)];
}

/** Whether cutouts can be made in a seat as it is: nothing comes out below, and what opens to the jaws is free of them. */
export const fitsSeat = (
  cuts: readonly CutHere[],
  seat: Seat,
  at: Orientation,
  sizes: Site["sizes"],
): boolean =>
  cuts.every((cut) => below(cut, at, sizes) <= 0) &&
  (opensAtJaws(cuts, at) === 0 || opensAtJaws(cuts, at) + cutterClearance <= seat.projection);

type ScoredSeat = FeatureSeat & { score: number };

/**
 * The best of the pairs of parallels, or the bed, that a block can stand on with two faces at the jaws: what really touches
 * decides, not what the outside says.
 */
function holdBlock(request: HoldRequest, at: Orientation): Outcome<ScoredSeat> {
  const usual = seatBlock(request, at, request.own?.parallels ?? null);
  if (request.own?.parallels || request.gone.length === 0 || (usual.ok && usual.value.score > poorSeat))
    return usual;
  const others = request.shop.parallels.flatMap((p) => {
    const tried = seatBlock(request, at, p.id);
    return tried.ok ? [tried.value] : [];
  });
  others.sort((a, b) => b.score - a.score);
  return others[0] && (!usual.ok || others[0].score > usual.value.score) ? done(others[0]) : usual;
}

/** What is worth keeping left and right as they are drawn, when nothing else speaks for a turn. */
const asDrawn = 1;

/** A seat with a score under this has something against it. */
const poorSeat = 0;

function seatBlock(request: HoldRequest, at: Orientation, wanted: string | null): Outcome<ScoredSeat> {
  const { piece, vise, shop, cuts, gone, site, material, own, datums } = request;
  const removal = opensAtJaws(cuts, at);
  const spans = throughSpans(cuts, at, site.sizes);
  const between = piece.sizes[axisOf(at.fixed)];
  const standing = piece.sizes[axisOf(at.up)];
  const comesOut = Math.max(0, ...cuts.map((cut) => below(cut, at, site.sizes)));
  const through = spans.length > 0;
  // What comes out below must not meet the bed: it stands on parallels then, the lowest that clear.
  const underneath = through ? tidy(comesOut + clearOfBed) : 0;
  const needed = Math.max(parallelHeightNeeded(vise, removal, standing), underneath);
  const clear = shop.parallels.filter((p) => clearPlace(p.thickness, between, spans, clearBelow));
  const lowest = clear
    .filter((p) => p.height >= needed && p.height < vise.jawDepth)
    .sort((a, b) => a.height - b.height || a.thickness - b.thickness)[0];
  if (through && !lowest)
    return refused(
      clear.length > 0
        ? rule(
            "M09.bed",
          )`The tool comes ${mm(tidy(comesOut))} through the bottom: parallels of ${mm(needed)} or more would keep it off the bed, and none you own are tall and thin enough.`
        : rule(
            "M09.through",
          )`The through cut is over the parallels wherever they go between the jaws, ${mm(between)} apart: none you own are thin enough.`,
      words("Turn the part in the vise, or use other parallels."),
    );
  const ownParallels = wanted ?? (through ? lowest!.id : null);
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
    comesOut: spans,
  });
  if (!seat.ok) return seat;
  const touched = contactIn(
    { seat: seat.value, at },
    gone,
    site.sizes,
    vise,
    shop.parallels.find((p) => p.id === seat.value.parallels?.id)?.length ?? vise.jawWidth,
  );
  const onAir = touched.supports.find((s) => s.area < leastSupport);
  if (onAir)
    return refused(
      rule(
        "holding.onAir",
      )`Earlier cuts leave the part nothing to rest on over ${onAir.at === "bed" ? "the bed" : onAir.at === "middle" ? "the parallel" : `the parallel at the ${onAir.at} jaw`}: it would tip.`,
      words("Turn the part in the vise, use wider parallels, or cut this before the bottom is cut away."),
    );
  const effectiveGrip = tidy(Math.min(seat.value.effectiveGrip, touched.fixed, touched.moving));
  if (effectiveGrip < leastGrip.any)
    return refused(
      rule(
        "M12.gone",
      )`Earlier cuts leave ${mm(Math.max(0, effectiveGrip))} for a jaw to grip; at least ${mm(leastGrip.any)} is needed.`,
      words("Turn the part in the vise, or cut this before the faces at the jaws are cut away."),
    );
  const reached = underneathWarnings(cuts, { seat: seat.value, at }, request);
  const s: Seat = { ...seat.value, effectiveGrip };
  const datumAtJaw = datums.filter((f) => f === at.fixed).length;
  const turned = clampingAxes(at).x.sign !== (vise.fixedJaw === "back" ? 1 : -1);
  return done({
    at,
    seat: s,
    device: "vise",
    grip: gripCapacity(s, vise, material.group),
    reasons: [
      isReference(piece, at.fixed)
        ? say`The ${at.fixed} face is machined: at the fixed jaw it keeps what is cut square to it.`
        : say`The ${at.fixed} face goes to the fixed jaw.`,
      ...(turned
        ? [
            rule(
              "setup.turned",
            )`Turned half round from the drawing: its ${facesOf(alongJaws(at))[1]} is at your left.`,
          ]
        : []),
      ...(removal > 0
        ? [
            say`Cuts open to the jaws and go ${mm(removal)} down: the top stands ${mm(s.projection + removal)} above them.`,
          ]
        : []),
      ...(through
        ? [
            rule(
              "M09.clear",
            )`Cuts come out below: the parallels lie clear of them, and the bed is out of reach.`,
          ]
        : []),
    ],
    warnings: [...heldHere(cuts, { seat: s, at }, request), ...reached],
    score:
      datumAtJaw * 4 +
      (isReference(piece, at.fixed) ? 2 : 0) +
      (turned || alongJaws(at) !== axesAcross(at.up)[0] ? 0 : asDrawn) +
      Math.min(3, s.effectiveGrip / 5) +
      piece.sizes[alongJaws(at)] / Math.max(...Object.values(piece.sizes)) -
      (removal > 0 ? 3 : 0) -
      reached.length * 10,
  });
}

/** What goes so far through a shaft comes out below with the point of its tool; the head of a bolt does not. */
const nearlyThrough = 0.75;

/** A shaft lies in V-blocks on parallels between the jaws, along X; for what is cut into an end it stands in one. */
function holdShaft(request: HoldRequest, at: Orientation): Outcome<FeatureSeat> {
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
    table: null,
    blocks: blocksAt,
  };
  // What opens to the sides comes out over blocks and jaws: it must stay above them.
  const deepest = Math.max(
    0,
    ...cuts
      .filter(({ cutout: { opens, face } }) =>
        [face, ...opens].some((f) => axisOf(f) !== axisOf(at.up) && (upright || axisOf(f) !== "length")),
      )
      .map(({ cutout: { box }, floor }) => Math.max(box[axisOf(at.up)][1] - box[axisOf(at.up)][0], floor)),
  );
  if (deepest + cutterClearance > seat.projection)
    return refused(
      rule(
        "holding.blocks",
      )`The shaft stands ${mm(seat.projection)} above the jaws, and the cut goes ${mm(deepest)} down past its sides: the cutter would hit jaws and V-blocks.`,
      words("Cut it on a machine that holds the shaft between centers, or hold it higher."),
    );
  // Cut from the side its cutter lies beside the jaws: over them it needs room below, past their ends it has it.
  const jaws = [(length - vise.jawWidth) / 2, (length + vise.jawWidth) / 2] as const;
  const lowest = Math.max(
    0,
    ...cuts
      .filter(({ cutout: { face, box } }) => {
        const beside = axisOf(face) !== axisOf(at.up) && axisOf(face) !== "length";
        return !upright && beside && box.length[0] < jaws[1] && box.length[1] > jaws[0];
      })
      .map(({ cutout: { box } }) => {
        const [low, high] = box[axisOf(at.up)];
        return at.up === facesOf(axisOf(at.up))[1] ? site.sizes[axisOf(at.up)] - low : high;
      }),
  );
  if (lowest + cutterClearance > seat.projection)
    return refused(
      rule(
        "holding.besideJaws",
      )`Cut from the side the cutter reaches ${mm(lowest)} below the top of the shaft, and the jaws come up to ${mm(seat.projection)} below it: it would cut into the jaw.`,
      words("Strap the shaft in V-blocks on the table, or let this end of it lie past the jaws."),
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
function shaftWarnings(
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

/** What stands against a block held for features, by where they are cut along the jaws. */
function heldHere(
  cuts: readonly CutHere[],
  { seat, at }: Pick<FeatureSeat, "seat" | "at">,
  { piece, site, vise }: Pick<HoldRequest, "piece" | "site" | "vise">,
): Warning[] {
  const along = alongJaws(at);
  const middle = site.sizes[along] / 2;
  return heldWarnings({
    piece,
    seat,
    vise,
    side: true,
    tolerance: null,
    cuts: cuts.map(({ cutout: { box } }) => [box[along][0] - middle, box[along][1] - middle]),
    faced: false,
  });
}

/** What is said against parallels under cuts that come out below: whoever chose them, and however long the setup has begun. */
function underneathWarnings(
  cuts: readonly CutHere[],
  { seat, at }: Pick<FeatureSeat, "seat" | "at">,
  { site, shop }: Pick<HoldRequest, "site" | "shop">,
): Warning[] {
  const spans = throughSpans(cuts, at, site.sizes);
  if (spans.length === 0 || site.shaft) return [];
  const comesOut = Math.max(0, ...cuts.map((cut) => below(cut, at, site.sizes)));
  const { parallels } = seat;
  const name = shop.parallels.find((p) => p.id === parallels?.id)?.name ?? "parallels";
  const under =
    parallels &&
    parallelSpans(parallels, seat.between).some(({ from, to }) =>
      spans.some(([low, high]) => to + clearBelow > low + 1e-9 && from - clearBelow < high - 1e-9),
    );
  return [
    ...((parallels?.height ?? 0) < tidy(comesOut + clearOfBed)
      ? [
          stop(
            rule(
              "M09.low",
            )`The tool comes ${mm(tidy(comesOut))} through the bottom; ${parallels ? say`the ${name} hold the part only ${mm(parallels.height)} off the bed` : say`the part sits on the bed`}.`,
          ),
        ]
      : []),
    ...(under
      ? [
          stop(
            rule(
              "M09.under",
            )`The ${name} lie under a cut that goes through: it would cut into them. Use thinner ones, or turn the part.`,
          ),
        ]
      : []),
  ];
}

/** A seat that was begun: a fact, whatever would be planned now. What speaks against it is said all the same. */
export const toldSeat = (
  { at, seat, device }: FeatureTold,
  cuts: readonly CutHere[],
  asked: Pick<HoldRequest, "vise" | "material" | "piece" | "site" | "shop">,
): FeatureSeat => ({
  at,
  seat,
  device,
  grip: gripCapacity(seat, asked.vise, asked.material.group),
  reasons: [words("The setup has begun: it stays as it was clamped.")],
  warnings: [
    ...(device === "vBlocks" ? shaftWarnings(cuts, seat, asked) : heldHere(cuts, { seat, at }, asked)),
    ...underneathWarnings(cuts, { seat, at }, asked),
  ],
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
      : refused(words("The shaft cannot be held that way."), words("Choose another face."));
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
    : refused(
        words("Nothing in the shop holds the part that way."),
        words("Choose another face at the jaw."),
      );
}
