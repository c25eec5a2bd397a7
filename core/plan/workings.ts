import { type Axis, axisNames } from "../frame/index.ts";
import { cuttingFigure } from "../cutting/index.ts";
import { handlingTimes, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import { count, mm, quantity, tidy } from "../quantity/index.ts";
import { depthAxis, type LivePass } from "../steps/index.ts";
import {
  type AnyKey,
  faceOf,
  type FaceSetup,
  isFaceSetup,
  keyOfSetup,
  eachOf,
  placingTime,
  setupWith,
} from "../route/index.ts";
import { featureNames, featuresOf, rulesOf, siteOfPart } from "../part/index.ts";
import type { Shop } from "../shop/index.ts";
import type { Spare } from "../stock/index.ts";
import { line, precise, say, words, type Working, type WorkingBody } from "../working/index.ts";
import { drawnPart, equipment, equipmentIn, type Job } from "../job/index.ts";
import { featureCost } from "./drawing-cost.ts";
import { type ErrorKey, errorWorking } from "./error-working.ts";
import {
  type FeatureFigure,
  carriedLines,
  featureFigures,
  featureFigureWorking,
} from "./feature-workings.ts";
import { gripWorking, strapWorking } from "./grip-working.ts";
import { judgedBy } from "./judged-reading.ts";
import { type LumpFigure, lumpFigures, lumpWorking } from "./lump.ts";
import { runWorking, verdictWorking } from "./measured-workings.ts";
import type { PlanInputs } from "./make-plan.ts";
import type { Plan } from "./plan.ts";

/** Figures of a cut that have a working. */
export const cutFigures = [
  "speed",
  "feed",
  "depth",
  "passes",
  "time",
  "power",
  "bending",
  "grip",
  "stop",
] as const;
export type CutFigure = (typeof cutFigures)[number];

/** Key of a figure's working: `top/face#depth`, `spare#width`, `verdict#height`. */
export type WorkingKey =
  | `${AnyKey}#${CutFigure | FeatureFigure}`
  | `spare#${Axis}`
  | `verdict#${string}`
  | `run#${string}`
  | `${LumpFigure}#${string}`
  | `feature#${string}`
  | `cost#${string}`
  | ErrorKey;

export const cutKey = (op: AnyKey, figure: CutFigure | FeatureFigure): WorkingKey => `${op}#${figure}`;

const placingWords: Record<FaceSetup["entry"], string> = {
  placed: "set up",
  swapped: "straps moved, indicated",
  stays: "nothing to set up",
};

/** What a plan was made of, as far as workings ask for it. */
export type WorkingInputs = Pick<PlanInputs, "job" | "shop"> & Partial<Pick<PlanInputs, "records" | "own">>;

/** The working of a figure of this plan, made when it is asked for; null for a key the plan has no figure for. */
export function workingOf(
  made: Plan,
  { job, shop, records, own = noOwnValues }: WorkingInputs,
  key: string,
): Working | null {
  const [at, figure = ""] = key.split("#");
  if (at === "spare") {
    const axis = axisNames.find((a) => a === figure);
    return axis && made.spares ? spareWorking(key, made.spares[axis]) : null;
  }
  if (at === "cost") {
    const feature = job.part.features.byId[figure];
    const name = feature && featureNames(featuresOf(job.part)).get(feature.id);
    const cost = feature && name ? featureCost(made, feature, name) : null;
    return cost
      ? { key, title: say`Working: minutes of the ${cost.name}`, limits: [], notes: [], ...cost.working }
      : null;
  }
  if (at === "feature") return featureWorking(key, job, figure);
  if (at === "error") return errorWorking(key, made.errors, figure);
  if (at === "verdict") return verdictWorking(key, made, figure);
  if (at === "run") return runWorking(key, made, figure, records ?? [], judgedBy(job, shop, own));
  const ofLump = lumpFigures.find((f) => f === at);
  if (ofLump) return lumpWorking({ key, at: ofLump, of: figure }, made.target, job, own);
  const setup = setupWith(made.setups, at ?? null);
  const { machine, material } = setup ? equipmentIn(setup, job, shop, own) : equipment(job, shop, own);
  if (!setup || !machine || !material) return null;
  if (!isFaceSetup(setup)) {
    const operation = setup.operations.find((o) => o.key === at);
    const locating = made.zeros[keyOfSetup(setup)];
    const figures = featureFigures.find((f) => f === figure);
    if (!operation || !locating || !figures) return null;
    const body = featureFigureWorking(figures, operation, setup, locating, { machine, material, shop });
    return (
      body && { key, title: say`Working: ${featureFigureWords[figures]}`, limits: [], notes: [], ...body }
    );
  }
  const ladder = made.ladders[keyOfSetup(setup)] ?? [];
  const title = say`Working: ${{ speed: "spindle speed", feed: "table feed", depth: "depth per pass", passes: "passes", time: "time", power: "power", bending: "force and bending", grip: "grip and projection", stop: "where to stop" }[figure as CutFigure] ?? figure}`;
  const working = cutWorking(setup, ladder, job, shop, own, figure as CutFigure);
  return working ? { key, title, limits: [], notes: [], ...working } : null;
}

const featureFigureWords: Record<FeatureFigure, string> = {
  speed: "spindle speed",
  feed: "feed",
  depth: "depth per pass",
  power: "power",
  bending: "force and bending",
  time: "time",
  places: "places of the spindle",
  zero: "where zero lies, and how well",
  grip: "grip and projection",
  setup: "time of this setup",
};

/** Key of the minutes of a feature. */
export const costKey = (id: string): WorkingKey => `cost#${id}`;

/** Key of a figure worked from a feature, by its place among them. */
export const featureKey = (id: string, fact: number): WorkingKey => `feature#${id}/${fact}`;

/** How a figure of a feature comes: the depth of a keyseat, a measure over pins. */
function featureWorking(key: string, job: Job, of: string): Working | null {
  const [id, fact] = of.split("/");
  const feature = job.part.features.byId[id ?? ""];
  const site = siteOfPart(drawnPart(job));
  const found = feature && site ? rulesOf(feature.kind).facts?.(feature, site)[Number(fact)] : undefined;
  return found ? { key, title: say`Working: ${found.label}`, limits: [], notes: [], ...found.working } : null;
}

function cutWorking(
  setup: FaceSetup,
  ladder: LivePass[],
  job: Job,
  shop: Shop,
  own: OwnHandbook,
  figure: CutFigure,
): WorkingBody | null {
  const { seat } = setup;
  const op = faceOf(setup);
  const { cut } = op;
  const cutter = shop.cutters.find((c) => c.id === cut.cutter);
  const { machine, vise, material } = equipmentIn(setup, job, shop, own);
  if (!cutter || !machine || !vise || !material) return null;
  switch (figure) {
    case "speed":
    case "feed":
    case "depth":
    case "power":
    case "bending":
      return cuttingFigure(figure, cut, { cutter, machine, material });
    case "passes":
      return {
        lines: [
          line("on the block now", mm(op.from)),
          line(op.sized ? "size required" : "left after it cleans up", mm(op.to)),
          line("to remove", mm(tidy(op.from - op.to)), { sum: true, formula: "to-remove", terms: [] }),
          ...(cut.passes.some((p) => p.kind === "finish")
            ? [line("last pass", mm(cut.passes.at(-1)?.depth ?? 0))]
            : []),
          ...(cut.first > 0 ? [line("first pass, under the skin", mm(cut.first))] : []),
          line("largest depth per pass", mm(cut.depth)),
          line("passes", count(cut.passes.length), { sum: true, formula: "pass-count", terms: [] }),
        ],
        notes: [words("Roughing passes are equal, the last one ends on the size exactly.")],
      };
    case "time": {
      const placing = eachOf(seat, placingTime(setup.entry, seat));
      const carrying = setup.carried ? handlingTimes.indicate : 0;
      const ways = (cut.passes.length + (cut.spring ? 1 : 0)) * cut.lanes;
      const coming = ways * (handlingTimes.goTo + handlingTimes.down);
      return {
        lines: [
          line("passes", count(cut.passes.length)),
          line("lanes across", count(cut.lanes)),
          line("table feed", quantity("feed", cut.vf)),
          line("to where a lane begins, and down", quantity("time", coming)),
          line("cutting", quantity("time", setup.minutes.cutting), {
            sum: true,
            formula: "cut-time",
            terms: [],
          }),
          line(placingWords[setup.entry], quantity("time", placing), {
            source: "usual handling times (guess)",
          }),
          line("touch off, deburr, measure", quantity("time", setup.minutes.handling - placing - carrying)),
          ...carriedLines(setup),
          line("this cut", quantity("time", setup.minutes.cutting + setup.minutes.handling), { sum: true }),
        ],
        notes: seat.together
          ? [
              words(
                "Two pieces are cut at once: placing, touching off and cutting are counted half for each.",
              ),
            ]
          : [],
      };
    }
    case "grip":
      return seat.table ? strapWorking(setup, shop.aids) : gripWorking(setup, vise);
    case "stop": {
      const next = ladder.find((p) => !p.done) ?? ladder.at(-1);
      if (!next) return null;
      const screw = machine.axes[depthAxis(op)];
      return {
        lines: [
          line("size at zero", mm(tidy(next.sizeAfter - next.stop - next.residue))),
          line(`size after pass ${next.number}`, mm(next.sizeAfter)),
          line("stop at, from zero", mm(next.reads), { sum: true, formula: "stop-reading", terms: [] }),
          ...(next.dial
            ? [
                line("whole turns of the dial", count(next.dial.turns), {
                  formula: "dial",
                  terms: [["lead", mm(screw.lead)]],
                }),
                line("and divisions", count(next.dial.divisions), {
                  terms: [["of", count(next.dial.divisionsPerTurn)]],
                }),
              ]
            : []),
          line("left by rounding", mm(next.residue), { decimals: 3 }),
        ],
        notes: [
          say`Every stop counts from one zero, so rounding errors do not accumulate.`,
          say`Come to the stop in one direction, taking up the ${precise(mm(screw.backlash), 2)} of backlash.`,
        ],
      };
    }
  }
}

/** Where it comes from what is taken off the face that is cut first. */
const firstFaceSource = ({ evenly }: Spare, off: number): string =>
  off === 0
    ? "nothing comes off: it is at its size"
    : evenly
      ? "your choice: both faces equally, over their skins"
      : "under its skin, and half of what the readings spread (guess)";

function spareWorking(key: string, spare: Spare): Working {
  return {
    key,
    title: say`Working: spare of the ${spare.axis}`,
    lines: [
      line("smallest reading", mm(spare.smallest)),
      line("largest finished", mm(spare.limits.upper)),
      line("spare over it", mm(tidy(spare.smallest - spare.limits.upper)), {
        sum: true,
        formula: "spare",
        terms: [],
      }),
      line("skins of both faces", mm(spare.skins), { source: "skin by condition of the face (guess)" }),
      line("over the target", mm(spare.spare)),
      ...Object.entries(spare.first).map(([face, off]) =>
        line(`off the ${face} face, cut first`, mm(off), {
          source: firstFaceSource(spare, off),
        }),
      ),
      ...(spare.shortfall > 0 ? [line("short by", mm(spare.shortfall), { sum: true })] : []),
    ],
    limits: [],
    notes: [
      words(
        "Enough when the smallest reading leaves the skins above the largest finished size; tight when only above the smallest.",
      ),
    ],
  };
}
