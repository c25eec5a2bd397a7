import {
  cutterKindFacts,
  edgeForce,
  endMillDepth,
  flyCutterDepth,
  type Material,
  roughBending,
  softFactor,
  suggestedShare,
  wordsFor,
} from "../handbook/index.ts";
import { type Kw, type Mm, mm, quantity } from "../quantity/index.ts";
import {
  type Cutter,
  cuttingDiameter,
  forceBorne,
  type Holder,
  houseFactor,
  type HouseRule,
  type Machine,
  spindlePowerAt,
  type SpindleSetting,
} from "../shop/index.ts";
import { type Limit, rule, say } from "../working/index.ts";
import { depthOfPeak, edgeAtDepth, edgeTable, type EdgeTable } from "./edge-table.ts";
import { depthIsAxial, engagementAt, meanChipOf, roundCornered } from "./engagement.ts";
import { weighedEdge } from "./force.ts";
import { cuttingPower, specificForce } from "./power.ts";
import type { CutTask } from "./task.ts";
import { toolSpring } from "./tool-spring.ts";

/** A cutter set up on a machine in a material for a task, at a speed: what every limit is asked about. */
export interface Setting {
  task: CutTask;
  cutter: Cutter;
  holder: Holder | null;
  machine: Machine;
  material: Material;
  rules: HouseRule[];
  spindle: SpindleSetting;
  /** Lane, wall height, or width of a step. */
  width: Mm;
  edge: EdgeTable;
}

/** Tables already worked: while a size is typed the same cutters and widths come again and again. */
const workedTables = new Map<string, EdgeTable>();
const mostTables = 1000;

/** Puts its table of forces to a setting. */
export function settingFor(given: Omit<Setting, "edge">): Setting {
  const { task, cutter, material, width } = given;
  const { teeth, helix } = cutter;
  const shared = { diameter: cuttingDiameter(cutter), teeth, helix, mc: material.mc };
  const { cornerRadius, enteringAngle, inserts, fluteLength, kind } = cutter;
  const key = [
    task.kind,
    kind,
    width,
    ...Object.values(shared),
    cornerRadius,
    enteringAngle,
    inserts,
    fluteLength,
  ].join();
  let edge = workedTables.get(key);
  if (!edge) {
    const straight = helix === 0 && depthIsAxial(task.kind) && !roundCornered(cutter);
    edge = edgeTable(deepest(given), straight, (depth) =>
      weighedEdge({ ...engagementAt(task.kind, cutter, width, depth), ...shared }),
    );
    if (workedTables.size >= mostTables) workedTables.clear();
    workedTables.set(key, edge);
  }
  return { ...given, edge };
}

const edgeOf = (cutter: Cutter) =>
  cutter.condition === "worn" || cutter.condition === "expendable" ? edgeForce.worn : edgeForce.sharp;

/** Force of a millimeter of weighed edge, N; worn edges count 1.3. */
const unitForce = (s: Setting, fz: Mm) =>
  s.material.kc11 * edgeOf(s.cutter).force * fz ** (1 - s.material.mc);

/** Largest and mean tangential force at a depth and feed per tooth, N. */
export function forceAt(s: Setting, depth: Mm, fz: Mm): { peak: number; mean: number } {
  const unit = unitForce(s, fz);
  return {
    peak: unit * edgeAtDepth(s.edge, s.edge.peak, depth),
    mean: unit * edgeAtDepth(s.edge, s.edge.mean, depth),
  };
}

/** Bending of cutter and machine for each N of the largest tangential force, mm. */
function bendingPerForce(s: Setting): number {
  // Along the axis the force is taken at the tip: it is at most half a shallow cut away from it.
  const ap = depthIsAxial(s.task.kind) ? 0 : engagementAt(s.task.kind, s.cutter, s.width, 0.1).ap;
  return toolSpring(s.cutter, s.holder, s.machine, ap).total * Math.hypot(1, edgeOf(s.cutter).radial);
}

/** Bending of cutter and machine under the largest force of a cut, mm. */
export const bendingAt = (s: Setting, depth: Mm, fz: Mm): Mm =>
  forceAt(s, depth, fz).peak * bendingPerForce(s);

/** Power at the cutter at a depth and table feed, kW, with mean chip and kc. */
export function powerAt(s: Setting, depth: Mm, vf: number): { power: Kw; hm: Mm; kc: number } {
  const at = engagementAt(s.task.kind, s.cutter, s.width, depth);
  const hm = meanChipOf(vf / (s.cutter.teeth * s.spindle.rpm), at);
  const kc = specificForce(s.material.kc11, s.material.mc, hm) * edgeOf(s.cutter).force;
  return { power: cuttingPower(at.ap, at.ae, vf, kc), hm, kc };
}

/** Deepest a cut can be asked about: along the axis several diameters, across it the diameter less nothing, mm. */
const deepest = (s: Omit<Setting, "edge">): Mm =>
  depthIsAxial(s.task.kind) ? Math.max(4 * cuttingDiameter(s.cutter), 10) : cuttingDiameter(s.cutter) * 0.98;

/** The largest depth at which something that rises with depth stays within a cap; `top` when it never reaches it. */
function depthWithin(rises: (depth: Mm) => number, cap: number, top: Mm, rounds = 20): Mm {
  if (rises(top) <= cap) return top;
  let [low, high] = [0, top];
  for (let i = 0; i < rounds; i++) {
    const middle = (low + high) / 2;
    if (rises(middle) <= cap) low = middle;
    else high = middle;
  }
  return low;
}

/** The rule for the kind of cutter: depth per pass at this width (for a side: width at this height), mm. */
export function cutterRule(s: Setting): Mm {
  const { cutter, task, material } = s;
  const d = cuttingDiameter(cutter);
  const soft = softFactor[material.group] * houseFactor(s.rules, "depth", ruleSubject(s)).factor;
  if (task.kind === "groove") return cutter.kind === "slittingSaw" ? 0.25 * d * soft : 0.5 * d;
  if (task.kind === "slab") return Math.min(0.1 * d * soft, d / 4);
  if (task.kind === "side") {
    // The depth rule read the other way: the width at which this height is allowed.
    const height = s.width / d / soft;
    let ratio = 1;
    while (ratio > 0.1 && endMillDepth(ratio, cutter.material) < height) ratio -= 0.01;
    return d * (height > 2 ? 0.1 * (2 / height) : Math.max(ratio, 0.1));
  }
  if (cutter.kind === "flyCutter") return flyCutterDepth * soft;
  if (cutter.kind === "ballEnd") return 0.25 * d * soft;
  if (cutter.maxDepth !== null) return cutter.maxDepth;
  const ae = task.kind === "slot" ? 1 : Math.min(1, s.width / d);
  return endMillDepth(ae, cutter.material) * d * soft * (cutter.kind === "roughing" ? 1.5 : 1);
}

export const ruleSubject = (s: Pick<Setting, "machine" | "cutter" | "material">) => ({
  machine: s.machine,
  cutter: s.cutter,
  materialId: s.material.id,
});

/** Room between collar and floor that an arbor keeps, mm. */
const collarRoom = 1;

/** How deep the body of the cutter lets it go, mm: flute length, or the gap under the collars of an arbor. */
export function bodyAllows(s: Setting): Mm {
  if (depthIsAxial(s.task.kind)) return s.cutter.maxDepth ?? s.cutter.fluteLength;
  if (cutterKindFacts[s.cutter.kind].mount !== "arbor") return cuttingDiameter(s.cutter) / 2;
  const collar = s.holder?.collar ?? s.cutter.shank * 1.5;
  return Math.max(0, (cuttingDiameter(s.cutter) - collar) / 2 - collarRoom);
}

/** What the cut may take: caps of force, power and bending, at the share the aim allows. */
export function caps(s: Setting) {
  const share = s.task.aim === "quick" ? 1 : suggestedShare;
  const house = houseFactor(s.rules, "force", ruleSubject(s)).factor;
  const d = cuttingDiameter(s.cutter);
  const slip = s.spindle.range.slipTorque;
  return {
    share,
    force: share * forceBorne(s.machine) * house,
    power: spindlePowerAt(s.machine, s.spindle),
    slip: slip === null ? null : (slip * Math.PI * s.spindle.rpm) / 30_000,
    bending: Math.min(roughBending.mm, roughBending.ofDiameter * d),
  };
}

/**
 * The tangential force that the seat holds without slipping, and without tipping, N, at a safety of 1 (domain.md 5): the
 * radial force comes on top of it sideways, the helix lifts. Null where nothing is known of the seat.
 */
export function gripForces(s: Setting): { slides: number; tips: number; rest: number } | null {
  const { grip } = s.task;
  if (!grip) return null;
  const side = Math.hypot(1, edgeOf(s.cutter).radial);
  const upright = cutterKindFacts[s.cutter.kind].mount !== "arbor";
  const lift = upright ? Math.tan((s.cutter.helix * Math.PI) / 180) : 0;
  return {
    slides: 1 / Math.hypot(side / grip.along, lift / grip.lift),
    tips: grip.arm > 0 ? grip.tipping / (side * grip.arm) : Infinity,
    rest: grip.rest / side,
  };
}

/** The depths that the force the machine can take, bending, and the grip allow at a feed, mm. */
export function depthByForces(
  s: Setting,
  fz: Mm,
): { force: Mm; bending: Mm; slides: Mm; tips: Mm; rest: Mm } {
  const cap = caps(s);
  const unit = unitForce(s, fz);
  const grip = gripForces(s);
  const safety = s.task.grip?.safety ?? 1;
  const within = (newtons: number) => depthOfPeak(s.edge, newtons / unit);
  return {
    force: within(cap.force),
    bending: within(cap.bending / bendingPerForce(s)),
    slides: within((grip?.slides ?? Infinity) / safety),
    tips: within((grip?.tips ?? Infinity) / safety),
    rest: within(grip?.rest ?? Infinity),
  };
}

/** The depth that the spindle allows at a table feed, mm, at the share the aim allows and at the hard end. */
export function depthBySpindle(s: Setting, vf: number): { allows: Mm; hardAt: Mm; slip: boolean } {
  const cap = caps(s);
  const slip = cap.slip !== null && cap.slip < cap.power;
  const most = slip ? cap.slip! : cap.power;
  const top = deepest(s);
  const at = (depth: Mm) => (depth > 0 ? powerAt(s, depth, vf).power : 0);
  // Along the axis power goes straight with the depth, but where the entering angle changes with it.
  const straight = depthIsAxial(s.task.kind) && !roundCornered(s.cutter);
  const within = (kw: Kw) => (straight ? Math.min(top, kw / at(1)) : depthWithin(at, kw, top));
  return { allows: within(cap.share * most), hardAt: within(most), slip };
}

/**
 * Every limit on the depth per pass at a feed: the cutter's rule and body, force the machine can take, spindle power or belt
 * slip, bending, thin chips, then those from outside. Each says what it allows and what would lift it.
 * @param thin depth to which this feed keeps its chip no thicker than the range, mm; Infinity when not raised
 */
export function depthLimits(s: Setting, vf: number, thin: Mm): Limit[] {
  const { task, cutter, machine } = s;
  const fz = vf / (cutter.teeth * s.spindle.rpm);
  const cap = caps(s);
  const top = deepest(s);
  const axial = depthIsAxial(task.kind);
  const byRule = cutterRule(s);
  const body = bodyAllows(s);
  const power = depthBySpindle(s, vf);
  const spindle = power.slip ? cap.slip! : cap.power;
  const percent = cap.share < 1 ? say`${quantity("power", cap.share * spindle)} of ` : say``;
  const gentler = axial ? say`a narrower cut, a slower feed` : say`a lower wall, a slower feed`;
  const ofOwn = machine.ownForce === null ? wordsFor.machineClass[machine.class] : "own pull test";
  const byForce = depthByForces(s, fz);
  const spring = toolSpring(cutter, s.holder, machine, axial ? 0 : s.width);
  return [
    {
      id: "cutter",
      name: say`cutter rule, ${wordsFor.cutterKind[cutter.kind]}`,
      allows: mm(byRule),
      lifts: axial
        ? say`a narrower cut, or a cutter made for deeper ones`
        : say`a thicker cutter, or a lower wall`,
      hardAt: null,
      source: "depth rules by cutter kind and width of cut",
    },
    {
      id: "body",
      name:
        cutterKindFacts[cutter.kind].mount === "arbor"
          ? say`gap under the collars of the arbor`
          : axial
            ? say`length of its cutting edges`
            : say`half its diameter`,
      allows: mm(body),
      lifts: say`${axial ? "a cutter with longer edges" : "a larger cutter"}`,
      hardAt: body,
      source: cutter.name,
    },
    {
      id: "class",
      name: say`force the machine can take, ${ofOwn}, ${quantity("force", cap.force)} of ${quantity("force", forceBorne(machine))}`,
      allows: mm(byForce.force),
      lifts: say`${gentler}, or a stiffer machine`,
      hardAt: null,
      source:
        machine.ownForce === null
          ? "cutting force the class can take (guess) until a pull test replaces it"
          : "own pull test",
    },
    {
      id: power.slip ? "slip" : "power",
      name: power.slip
        ? say`belt slips, ${percent}${quantity("power", spindle)} at this step`
        : say`spindle power, ${percent}${quantity("power", spindle)}`,
      allows: mm(power.allows),
      lifts: power.slip ? say`a faster step, or ${gentler}` : say`${gentler}, or more motor`,
      hardAt: power.hardAt < top ? power.hardAt : null,
      source: "P = ap · ae · vf · kc against what reaches the spindle",
    },
    {
      id: "bending",
      name: say`deflection of cutter and machine, ${mm(cap.bending)}`,
      allows: mm(byForce.bending),
      lifts:
        spring.tool > spring.machine
          ? say`a shorter stickout, a thicker cutter, or carbide`
          : say`a slower feed, or a stiffer machine`,
      hardAt: null,
      source: "δ = F · L³ / (3 · E · I) of flutes and shank, and the machine's spring (guess by class)",
    },
    ...gripLimits(s, fz, byForce, top),
    ...(Number.isFinite(thin)
      ? [
          {
            id: "thin",
            name: say`chip no thicker than the range at this raised feed`,
            allows: mm(thin),
            lifts: say`a slower feed`,
            hardAt: null,
            source: "thin chips: hex = 2 fz √((ae/D)(1 − ae/D))",
          },
        ]
      : []),
    ...task.outside,
  ];
}

/** Grip as limits: slipping along the jaws or out of them, and tipping over (M12). */
function gripLimits(s: Setting, fz: Mm, by: { slides: Mm; tips: Mm; rest: Mm }, top: Mm): Limit[] {
  const { grip } = s.task;
  const forces = gripForces(s);
  if (!grip || !forces) return [];
  const hard = (newtons: number) => {
    const depth = depthOfPeak(s.edge, newtons / unitForce(s, fz));
    return depth < top ? depth : null;
  };
  const { safety, source } = grip;
  return [
    {
      id: "grip",
      name: say`${grip.name}: it slips at ${quantity("force", forces.slides)}, ${safety} times the cut`,
      allows: mm(by.slides),
      lifts: grip.lifts,
      hardAt: hard(forces.slides),
      source,
    },
    ...(Number.isFinite(forces.tips)
      ? [
          {
            id: "tipping",
            name: say`tipping over the jaw, ${mm(grip.arm)} above it: at ${quantity("force", forces.tips)}, ${safety} times the cut`,
            allows: mm(by.tips),
            lifts: say`lower parallels and a deeper grip, or turn the part`,
            hardAt: hard(forces.tips),
            source,
          },
        ]
      : []),
    ...(by.rest < top
      ? [
          {
            id: "rest",
            name: rule(
              "M42.rest",
            )`deflection of the part above the vise, ${quantity("force", forces.rest)} at ${mm(roughBending.mm)}`,
            allows: mm(by.rest),
            lifts: say`a deeper grip, a jack under what hangs out, or the part turned`,
            hardAt: null,
            source: "δ = F · h³ / (3 · E · I) of the part, held at the jaws",
          },
        ]
      : []),
  ];
}
