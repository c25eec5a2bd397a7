import { type Accused, accuse, type Seen, spreadOf, suspectsOf } from "../inspect/index.ts";
import { type Job, paperOf } from "../job/index.ts";
import { cuttingDiameter, edgeFinderOf, type Machine, type Shop } from "../shop/index.ts";
import {
  cutterOf,
  faceSetupsOf,
  featureSetupsOf,
  isFaceSetup,
  keyOfSetup,
  type Setup,
} from "../route/index.ts";
import { phraseText } from "../working/index.ts";
import type { Plan } from "./plan.ts";
import type { Requirement } from "./requirement.ts";

/** So much likelier, as a natural logarithm, a cause must make the readings before it is named (guess). */
const leastWeight = 3;
/** So many rivals are named for one thing, and so many things. */
const mostRivals = 2;
const mostThings = 2;

/**
 * What most likely made the sizes of a piece what they are: the likeliest with its rivals, then for what it leaves unexplained the
 * next; empty where the sizes are as meant, or where nothing fits.
 */
export function suspicions(made: Plan, job: Job, shop: Shop, machine: Machine | undefined): Accused[][] {
  if (!machine) return [];
  const readings = made.requirements.flatMap((r) => seenOf(r, made.setups));
  if (!readings.some((r) => Math.abs(r.off) > 3 * spreadOf(r))) return [];
  const used = new Set(readings.flatMap((r) => r.cutter ?? []));
  const axis = (name: "x" | "y" | "z") => {
    const { lead, division, backlash } = machine.axes[name];
    return { lead, division, slack: Math.max(backlash, 1e-3) };
  };
  const facts = {
    axes: { x: axis("x"), y: axis("y"), z: axis("z") },
    cutters: shop.cutters
      .filter((c) => used.has(c.id))
      .map((c) => ({ id: c.id, name: c.name, diameter: cuttingDiameter(c) })),
    finder: edgeFinderOf(shop)?.from ?? null,
    paper: paperOf(Object.values(job.overrides.byId)),
    setups: made.setups.map((s) => ({ id: keyOfSetup(s), name: `setup ${s.clamping}` })),
  };
  const things: Accused[][] = [];
  let left = readings;
  while (things.length < mostThings) {
    const rivals = accuse(left, suspectsOf(facts, left))
      .filter((a) => a.weight > leastWeight)
      .slice(0, mostRivals);
    const [first] = rivals;
    if (!first) break;
    things.push(rivals);
    left = left.map((r) => ({ ...r, off: r.off - first.amount * first.suspect.shows(r) }));
  }
  return things;
}

/** The readings of a requirement as the detective sees them: against the middle of the limits, in the setup that made it. */
function seenOf(r: Requirement, setups: readonly Setup[]): Seen[] {
  const from = madeIn(r, setups);
  if (!from || r.of === "parallelism") return [];
  const square = r.of === "squareness";
  const meant = square ? 0 : (r.limits.lower + r.limits.upper) / 2;
  return r.readings.map(({ value, spot }) => ({
    id: r.name ? phraseText(r.name, "mm") : `the ${r.of}`,
    kind: square ? "square" : r.how === "inside" ? "width" : r.how === "depth" ? "depth" : "size",
    off: value - meant,
    sigma: r.u / 2,
    nominal: square ? 100 : meant,
    axis: from.axis,
    setup: keyOfSetup(from.setup),
    op: from.op,
    cutter: from.cutter,
    at: spot ?? null,
    after: from.after,
    against: false,
    mirrored: null,
    slender: 0,
  }));
}

/** The setup and the operation that made what is required; squareness is of the last face that was cut. */
function madeIn(r: Requirement, setups: readonly Setup[]) {
  const faces = faceSetupsOf(setups);
  const face = r.of === "squareness" ? faces.at(-1) : faces.findLast((s) => s.operations[0].axis === r.of);
  if (face) {
    const [op] = face.operations;
    const axis =
      op.looks === null ? ("z" as const) : op.sweep.along === "x" ? ("y" as const) : ("x" as const);
    return { setup: face as Setup, op: op.key, cutter: op.cut.cutter, axis, after: 0 };
  }
  for (const setup of featureSetupsOf(setups)) {
    const at = setup.operations.findIndex((o) => o.measure && `${o.feature}/${o.measure.size}` === r.of);
    const op = setup.operations[at];
    if (op)
      return {
        setup: setup as Setup,
        op: op.key,
        cutter: cutterOf(op),
        axis: r.how === "depth" ? ("z" as const) : ("y" as const),
        after: setups
          .filter((s) => !isFaceSetup(s))
          .flatMap((s) => [...s.operations])
          .filter((o) => cutterOf(o) === cutterOf(op))
          .findIndex((o) => o.key === op.key),
      };
  }
  return null;
}
