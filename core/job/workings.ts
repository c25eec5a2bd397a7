import { type Axis, axisNames } from "../frame/index.ts";
import { meanForce, removalRate, torque } from "../cutting/index.ts";
import { feedSource, handlingTimes, wordsFor } from "../handbook/index.ts";
import { cutterClearance, parallelHeightNeeded } from "../holding/index.ts";
import { count, mm, type Quantity, quantity, tidy } from "../quantity/index.ts";
import { depthAxis, type LivePass } from "../steps/index.ts";
import { type OperationKey, operationKeySchema, type Setup } from "../route/index.ts";
import type { Shop } from "../shop/index.ts";
import type { Spare } from "../stock/index.ts";
import { precise, say, type Working, type WorkingLine, words } from "../working/index.ts";
import type { Job } from "./job.ts";
import { equipment, type Plan } from "./plan.ts";

/** Figures of a cut that have a working. */
export const cutFigures = ["speed", "feed", "depth", "passes", "time", "power", "grip", "stop"] as const;
export type CutFigure = (typeof cutFigures)[number];

/** Key of a figure's working: `top/face#depth`, `spare#width`, `verdict#height`. */
export type WorkingKey = `${OperationKey}#${CutFigure}` | `spare#${Axis}` | `verdict#${string}`;

export const cutKey = (op: OperationKey, figure: CutFigure): WorkingKey => `${op}#${figure}`;

const line = (what: string, result: Quantity, more: Partial<WorkingLine> = {}): WorkingLine => ({
  what: words(what),
  terms: [],
  result,
  ...more,
});

/** The working of a figure of this plan, made when it is asked for; null for a key the plan has no figure for. */
export function workingOf(made: Plan, job: Job, shop: Shop, key: string): Working | null {
  const [at, figure] = key.split("#");
  if (at === "spare") {
    const axis = axisNames.find((a) => a === figure);
    return axis && made.spares ? spareWorking(key, made.spares[axis]) : null;
  }
  if (at === "verdict") return verdictWorking(key, made, figure ?? "");
  const op = operationKeySchema.safeParse(at);
  const setup = op.success ? made.setups.find((s) => s.key === op.data) : undefined;
  const { machine } = equipment(job, shop);
  if (!setup || !machine) return null;
  const ladder = made.ladders[setup.key] ?? [];
  const title = say`Working: ${{ speed: "spindle speed", feed: "table feed", depth: "depth of a pass", passes: "passes", time: "time", power: "power", grip: "grip and projection", stop: "where to stop" }[figure as CutFigure] ?? figure ?? ""}`;
  const working = cutWorking(setup, ladder, job, shop, figure as CutFigure);
  return working ? { key, title, limits: [], notes: [], ...working } : null;
}

type Body = Omit<Working, "key" | "title" | "limits" | "notes"> & Partial<Pick<Working, "limits" | "notes">>;

function cutWorking(setup: Setup, ladder: LivePass[], job: Job, shop: Shop, figure: CutFigure): Body | null {
  const { cut, seat } = setup;
  const cutter = shop.cutters.find((c) => c.id === cut.cutter);
  const { machine, vise, material } = equipment(job, shop);
  if (!cutter || !machine || !vise || !material) return null;
  switch (figure) {
    case "speed":
      return {
        lines: [
          line(
            `${wordsFor.toolMaterial[cut.tool]} in ${material.name}, low`,
            quantity("cuttingSpeed", cut.vcRange[0]),
            { source: material.source },
          ),
          line("high", quantity("cuttingSpeed", cut.vcRange[1])),
          line(
            cut.tool === "hss" || cut.tool === "cobalt" ? "aimed at, lower third" : "aimed at, the middle",
            quantity("cuttingSpeed", cut.vcWanted),
            { sum: true },
          ),
          line("wanted at the spindle", quantity("spindleSpeed", cut.wantedRpm), {
            formula: "spindle-speed",
            terms: [
              ["vc", quantity("cuttingSpeed", cut.vcWanted)],
              ["D", mm(cutter.diameter)],
            ],
          }),
          line("nearest step of the machine", quantity("spindleSpeed", cut.rpm), {
            sum: true,
            source: machine.name,
          }),
          line("which gives", quantity("cuttingSpeed", cut.vc)),
        ],
        notes: [
          words("Nearest by ratio, never above the top of the range."),
          ...cut.warnings
            .filter((w) => w.phrase.id?.startsWith("speed") || w.phrase.id === "M21.tooFast")
            .map((w) => w.phrase),
        ],
      };
    case "feed":
      return {
        lines: [
          line("feed per tooth, low", quantity("chip", cut.fzRange[0]), {
            source: feedSource,
          }),
          line("high", quantity("chip", cut.fzRange[1])),
          line("taken: the middle", quantity("chip", cut.fzWanted), { sum: true }),
          line("wanted at the table", quantity("feed", cut.fzWanted * cutter.teeth * cut.rpm), {
            formula: "table-feed",
            terms: [
              ["fz", quantity("chip", cut.fzWanted)],
              ["z", count(cutter.teeth)],
              ["n", quantity("spindleSpeed", cut.rpm)],
            ],
          }),
          line(cut.feedBy === "power" ? "power feed not above it" : "by hand", quantity("feed", cut.vf), {
            sum: true,
            source: machine.name,
          }),
          line("chip per tooth then", quantity("chip", cut.fz)),
          line("by hand, one turn in", quantity("seconds", cut.pace), {
            formula: "pace",
            terms: [["lead", mm(machine.axes[cut.kind === "side" ? "y" : "x"].lead)]],
          }),
        ],
      };
    case "depth":
      return {
        lines: [
          line("what the limits allow", mm(Math.min(...cut.limits.map((l) => l.allows.value)))),
          line(cut.own ? "yours" : "taken, to a twentieth", mm(cut.depth), { sum: true }),
          line("width of cut", mm(cut.width)),
          line("mean chip", quantity("chip", cut.hm), { formula: "mean-chip", terms: [] }),
          line("cutting force per area", quantity("stress", cut.kc), {
            formula: "specific-force",
            terms: [
              ["kc1.1", quantity("stress", material.kc11)],
              ["mc", quantity("ratio", material.mc)],
            ],
            source: "Kienzle values of the material, handbook",
          }),
        ],
        limits: cut.limits,
        bound: cut.bound,
        notes: cut.own ? [say`Without your own depth ${mm(cut.allowed)} would be taken.`] : [],
      };
    case "power":
      return {
        lines: [
          line("motor", quantity("power", machine.motorPower), { source: machine.name }),
          line("reaches the spindle", quantity("power", cut.spindlePower), {
            terms: [["share", quantity("ratio", machine.efficiency)]],
          }),
          line("the cut takes", quantity("power", cut.power), {
            sum: true,
            formula: "chip-power",
            terms: [
              ["ap", mm(cut.kind === "face" ? cut.depth : cut.width)],
              ["ae", mm(cut.kind === "face" ? cut.width : cut.depth)],
              ["vf", quantity("feed", cut.vf)],
              ["kc", quantity("stress", cut.kc)],
            ],
          }),
          line("metal removed", quantity("volumeRate", removalRate(cut.depth, cut.width, cut.vf) * 1000), {
            formula: "removal-rate",
            terms: [],
          }),
          line("torque at the spindle", quantity("torque", torque(cut.power, cut.rpm)), {
            formula: "torque",
            terms: [],
          }),
          line("mean force at the edge", quantity("force", meanForce(cut.power, cut.vc)), {
            formula: "mean-force",
            terms: [],
          }),
        ],
        notes: [words("Suggestions stay at 70 % of what reaches the spindle.")],
      };
    case "passes":
      return {
        lines: [
          line("on the block now", mm(setup.from)),
          line(setup.sized ? "wanted" : "left after it cleans up", mm(setup.to)),
          line("to remove", mm(tidy(setup.from - setup.to)), { sum: true, formula: "to-remove", terms: [] }),
          ...(cut.passes.some((p) => p.kind === "finish")
            ? [line("last pass", mm(cut.passes.at(-1)?.depth ?? 0))]
            : []),
          ...(cut.first > 0 ? [line("first pass, under the skin", mm(cut.first))] : []),
          line("largest depth of a pass", mm(cut.depth)),
          line("passes", count(cut.passes.length), { sum: true, formula: "pass-count", terms: [] }),
        ],
        notes: [words("Roughing passes are equal, the last one ends on the size exactly.")],
      };
    case "time":
      return {
        lines: [
          line("passes", count(cut.passes.length)),
          line("lanes across", count(cut.lanes)),
          line("table feed", quantity("feed", cut.vf)),
          line("cutting", quantity("time", setup.minutes.cutting), {
            sum: true,
            formula: "cut-time",
            terms: [],
          }),
          line("set up", quantity("time", handlingTimes.setup), { source: "usual handling times (guess)" }),
          line("touch off, deburr, measure", quantity("time", setup.minutes.handling - handlingTimes.setup)),
          line("this setup", quantity("time", setup.minutes.cutting + setup.minutes.handling), { sum: true }),
        ],
      };
    case "grip": {
      const removal = tidy(setup.from - setup.to);
      return {
        lines: [
          line("jaw depth", mm(vise.jawDepth), { source: vise.name }),
          line("the part stands", mm(seat.standing)),
          line(
            "parallels needed, at least",
            mm(Math.max(0, parallelHeightNeeded(vise, cut.kind === "side" ? 0 : removal, seat.standing))),
            {
              formula: "parallel-height",
              terms: [
                ["cuts", mm(cut.kind === "side" ? 0 : removal)],
                ["clearance", mm(cutterClearance)],
              ],
            },
          ),
          line("nearest you own", mm(seat.parallels?.height ?? 0)),
          line("grip", mm(seat.grip), { sum: true, formula: "grip", terms: [] }),
          line("after jaw chamfer and edge break", mm(seat.effectiveGrip)),
          line("above the jaws after the cut", mm(seat.projection), { formula: "projection", terms: [] }),
        ],
        notes: seat.parallels ? [] : [words("No parallels: it stands on the bed of the vise.")],
      };
    }
    case "stop": {
      const next = ladder.find((p) => !p.done) ?? ladder.at(-1);
      if (!next) return null;
      const screw = machine.axes[depthAxis(setup)];
      return {
        lines: [
          line("size at zero", mm(tidy(next.sizeAfter - next.stop - next.residue))),
          line(`wanted after pass ${next.number}`, mm(next.sizeAfter)),
          line("stop at, from zero", mm(next.stop), { sum: true, formula: "stop-reading", terms: [] }),
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
          say`Every stop counts from the one zero, so that what rounding leaves never adds up.`,
          say`Come to the stop in one direction, past the ${precise(mm(screw.backlash), 2)} of backlash.`,
        ],
      };
    }
  }
}

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
      ...Object.entries(spare.removal).map(([face, removal]) => line(`off the ${face} face`, mm(removal))),
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

function verdictWorking(key: string, made: Plan, of: string): Working | null {
  const requirement = made.requirements.find((r) => r.of === of);
  if (!requirement?.verdict) return null;
  const { limits, u, verdict } = requirement;
  return {
    key,
    title: say`Working: verdict on the ${of}`,
    lines: [
      ...(Number.isFinite(limits.lower) && requirement.drawn
        ? [line("lower limit", mm(limits.lower), { decimals: 3 })]
        : []),
      line("upper limit", mm(limits.upper), { decimals: 3 }),
      line("uncertainty U", mm(u), { decimals: 3, source: "of the instrument used (guess until checked)" }),
      line("smallest reading", mm(verdict.smallest), { decimals: 3 }),
      line("largest reading", mm(verdict.largest), { decimals: 3 }),
      line("spread", mm(verdict.spread), { decimals: 3, sum: true, formula: "guard-band", terms: [] }),
    ],
    limits: [],
    notes: [words("The verdict goes by every point, not by the best one.")],
  };
}
