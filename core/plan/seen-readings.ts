import { type Axis, axesAcross, axisOf, clampingAxes } from "../frame/index.ts";
import type { Seen } from "../inspect/index.ts";
import { setupMoves } from "../locate/index.ts";
import { cutoutOf, type Feature, type Part, type Site, siteOfPart } from "../part/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import {
  cutterOf,
  faceSetupsOf,
  type FeatureOperation,
  type FeatureSetup,
  featureSetupsOf,
  keyOfSetup,
  type Setup,
} from "../route/index.ts";
import type { Machine } from "../shop/index.ts";
import { phraseText } from "../working/index.ts";
import type { Requirement } from "./characteristic.ts";
import type { Plan } from "./plan.ts";

/** Where a size was made, as far as the detective asks. */
interface Made {
  setup: Setup;
  op: string;
  cutter: string | null;
  axis: Seen["axis"];
  after: number;
  against: boolean;
  mirrored: Mm | null;
  slender: number;
}

/** The readings of a requirement as the detective sees them: against the middle of the limits, in the setup that made it. */
export function seenOf(
  r: Requirement,
  plan: Pick<Plan, "setups" | "zeros">,
  part: Part,
  machine: Machine,
): Seen[] {
  if (r.of === "parallelism" || r.gauge || (r.how === "form" && r.of !== "squareness")) return [];
  const made = madeFace(r, plan.setups) ?? madeFeature(r, plan, part, machine);
  if (!made) return [];
  const { setup, ...from } = made;
  const square = r.of === "squareness";
  const meant = square ? 0 : (r.limits.lower + r.limits.upper) / 2;
  return r.readings
    .filter((reading) => reading.counts)
    .map(({ value, spot, u }) => ({
      ...from,
      id: r.name ? phraseText(r.name, "mm") : `the ${r.of}`,
      kind: kindOf(r),
      off: value - meant,
      // A gap that is allowed needs no cause: only what comes near its limit does.
      sigma: square ? Math.max(u / 2, r.limits.upper / 3) : u / 2,
      nominal: square ? 100 : meant,
      setup: keyOfSetup(setup),
      at: spot ?? null,
    }));
}

const kindOf = ({ of, how }: Requirement): Seen["kind"] =>
  of === "squareness"
    ? "square"
    : how === "inside"
      ? "width"
      : how === "depth" || how === "place"
        ? how
        : "size";

/** A size of the block is made by its second face; squareness is of the last face that was cut. */
function madeFace({ of }: Requirement, setups: readonly Setup[]): Made | null {
  const faces = faceSetupsOf(setups);
  const setup = of === "squareness" ? faces.at(-1) : faces.findLast((s) => s.operations[0].axis === of);
  if (!setup) return null;
  const [op] = setup.operations;
  return {
    setup,
    op: op.key,
    cutter: op.cut.cutter,
    axis: op.looks === null ? "z" : op.sweep.along === "x" ? "y" : "x",
    after: 0,
    against: false,
    mirrored: null,
    slender: 0,
  };
}

/** A size of a feature is made by the operation it is measured after, a place by the first that cuts the feature. */
function madeFeature(
  { of, how }: Requirement,
  { setups, zeros }: Pick<Plan, "setups" | "zeros">,
  part: Part,
  machine: Machine,
): Made | null {
  const [id, key] = of.split("/");
  const feature = part.features.byId[id ?? ""];
  const site = siteOfPart(part);
  if (!feature || !site) return null;
  const all = featureSetupsOf(setups);
  const setup = all.find((s) => s.operations.some((o) => o.feature === id));
  const op =
    setup?.operations.findLast((o) => o.feature === id && !o.measure?.before && o.measure?.size === key) ??
    setup?.operations.find((o) => o.feature === id);
  if (!setup || !op) return null;
  const along = how === "place" ? placeAxis(feature, key ?? "") : null;
  const axis = how === "depth" ? "z" : along ? machineAxis(setup, along) : setAcross(op, setup, zeros);
  const cutter = cutterOf(op);
  const { readout, backlash } = machine.axes[axis];
  return {
    setup,
    op: op.key,
    cutter,
    axis,
    after: Math.max(
      0,
      all
        .flatMap((s) => [...s.operations])
        .filter((o) => cutterOf(o) === cutter)
        .findIndex((o) => o.key === op.key),
    ),
    // The two walls of a width are come to from both sides: on a dial the slack is in it.
    against: how === "inside" && op.cut?.kind === "side" && readout === null && backlash > 0,
    mirrored: along ? mirroredPlace(feature, along, site) : null,
    slender: how === "inside" ? slenderBeside(feature, site) : 0,
  };
}

const placeAxis = ({ face }: Feature, key: string): Axis => axesAcross(face)[/second/i.test(key) ? 1 : 0];

/** The axis of the machine that a size of the part lies along in a setup. */
function machineAxis({ at }: FeatureSetup, along: Axis): Seen["axis"] {
  const axes = clampingAxes(at);
  return axes.x.axis === along ? "x" : axes.y.axis === along ? "y" : "z";
}

/** The axis that sets a wall: across the one it is fed along. */
function setAcross(op: FeatureOperation, setup: FeatureSetup, zeros: Plan["zeros"]): Seen["axis"] {
  const locating = zeros[keyOfSetup(setup)];
  const fed =
    locating &&
    setupMoves(setup, locating)
      .get(op.key)
      ?.find((m) => m.kind === "feed");
  return fed?.axis === "y" ? "x" : "y";
}

/** What a place would read counted from the opposite edge, less what it is meant to; null where it counts from no edge. */
function mirroredPlace(feature: Feature, along: Axis, { sizes }: Site): Mm | null {
  const place = axesAcross(feature.face)[0] === along ? feature.first : feature.second;
  if (place.from === "center" || place.from === "feature" || !place.at) return null;
  return tidy(sizes[along] - 2 * place.at.nominal);
}

/** Thinner than this against its height a wall springs from the cutter, height over thickness (guess). */
const springs = 4;

/** How slender the thinnest wall beside a feature is; 0 where none springs. */
function slenderBeside(feature: Feature, site: Site): number {
  const box = cutoutOf(feature, site)?.box;
  if (!box) return 0;
  const up = axisOf(feature.face);
  const high = box[up][1] - box[up][0];
  const walls = axesAcross(feature.face).flatMap((axis) => {
    const [low, far] = box[axis];
    return [low, site.sizes[axis] - far].filter((t) => t > 0.05);
  });
  const slender = walls.length > 0 ? high / Math.min(...walls) : 0;
  return slender > springs ? slender / springs : 0;
}
