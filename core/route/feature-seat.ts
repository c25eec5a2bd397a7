import { axesAcross, axisOf, clampingAxes, facesOf, type Orientation, alongJaws } from "../frame/index.ts";
import {
  clearBelow,
  clearPlace,
  cutterClearance,
  gripCapacity,
  heldWarnings,
  parallelHeightNeeded,
  parallelSpans,
  type Seat,
  seatInVise,
  tableGrip,
} from "../holding/index.ts";
import { leastGrip } from "../handbook/index.ts";
import { type Site } from "../part/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import { type Parallels, parallelsById, stackedParallels } from "../shop/index.ts";
import { isReference } from "../stock/index.ts";
import { done, type Outcome, refused, rule, say, stop, type Warning, words } from "../working/index.ts";
import type { FeatureTold } from "./told.ts";
import type { Way } from "../recipes/index.ts";
import type { CutHere, FeatureSeat, HoldRequest } from "./hold-request.ts";
import { contactIn, leastSupport } from "./seat-contact.ts";
import { shaftWarnings } from "./shaft-seat.ts";
import { comesOutBelow, opensAtJaws, throughSpans } from "./cuts-in-seat.ts";
import { tableWarnings } from "./table-seat.ts";
import { shaftOnTableWarnings } from "./shaft-on-table.ts";

/** How deep the tools of a way go, mm; 0 for handwork. */
export const floorOfWay = ({ works }: Pick<Way, "works">): Mm =>
  Math.max(0, ...works.flatMap((w) => (w.tool.by === "hand" ? [] : [w.floor])));

/** Tools keep so far from the bed, mm. */
const clearOfBed = 1;

/** Whether cutouts can be made in a seat as it is: nothing comes out below, and what opens to the jaws is free of them. */
export const fitsSeat = (
  cuts: readonly CutHere[],
  seat: Seat,
  at: Orientation,
  sizes: Site["sizes"],
): boolean =>
  cuts.every((cut) => comesOutBelow(cut, at, sizes) <= 0) &&
  (opensAtJaws(cuts, at) === 0 || opensAtJaws(cuts, at) + cutterClearance <= seat.projection);

export type ScoredSeat = FeatureSeat & { score: number };

/**
 * The best of the pairs of parallels, or the bed, that a block can stand on with two faces at the jaws: what really touches
 * decides, not what the outside says.
 */
export function holdBlock(request: HoldRequest, at: Orientation): Outcome<ScoredSeat> {
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
  const comesOut = Math.max(0, ...cuts.map((cut) => comesOutBelow(cut, at, site.sizes)));
  const through = spans.length > 0;
  // What comes out below must not meet the bed: it stands on parallels then, the lowest that clear.
  const underneath = through ? tidy(comesOut + clearOfBed) : 0;
  const needed = Math.max(parallelHeightNeeded(vise, removal, standing), underneath);
  const clearOf = <P extends Parallels>(pairs: readonly P[]) =>
    pairs.filter((p) => clearPlace(p.thickness, between, spans, clearBelow));
  const lowestOf = (pairs: readonly Parallels[]) =>
    clearOf(pairs)
      .filter((p) => p.height >= needed && p.height < vise.jawDepth - leastGrip.any)
      .sort((a, b) => a.height - b.height || a.thickness - b.thickness)[0];
  const clear = clearOf(shop.parallels);
  const pair = lowestOf(shop.parallels);
  const stack = lowestOf(stackedParallels(shop.parallels));
  const shallow = (p: Parallels) => vise.jawDepth - p.height - vise.jawChamfer < leastGrip.roughing;
  const lowest = pair && stack && shallow(pair) && stack.height < pair.height ? stack : (pair ?? stack);
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
    parallelsById(shop.parallels, seat.value.parallels?.id)?.length ?? vise.jawWidth,
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
  const comesOut = Math.max(0, ...cuts.map((cut) => comesOutBelow(cut, at, site.sizes)));
  const { parallels } = seat;
  const name = parallelsById(shop.parallels, parallels?.id)?.name ?? "parallels";
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
  asked: Pick<HoldRequest, "machine" | "vise" | "material" | "piece" | "site" | "shop">,
): FeatureSeat => ({
  at,
  seat,
  device,
  grip: seat.table ? tableGrip(seat) : gripCapacity(seat, asked.vise, asked.material.group),
  reasons: [words("The setup has begun: it stays as it was clamped.")],
  warnings: seat.table
    ? device === "vBlocks"
      ? shaftOnTableWarnings(cuts, seat, asked)
      : tableWarnings(cuts, { seat, at }, asked)
    : [
        ...(device === "vBlocks" ? shaftWarnings(cuts, seat, asked) : heldHere(cuts, { seat, at }, asked)),
        ...underneathWarnings(cuts, { seat, at }, asked),
      ],
});
