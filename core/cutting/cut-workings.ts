import {
  feedSource,
  isCarbide,
  type Material,
  roughBending,
  toolModulus,
  wordsFor,
} from "../handbook/index.ts";
import { count, mm, quantity } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, type Machine, springOf } from "../shop/index.ts";
import { line, say, type WorkingBody, type WorkingLine, words } from "../working/index.ts";
import type { Cut } from "./cut.ts";
import { engagementAt } from "./engagement.ts";
import { meanForce, removalRate, torque } from "./force.ts";

export type CuttingFigure = "speed" | "feed" | "depth" | "power" | "bending";

interface On {
  cutter: Cutter;
  machine: Machine;
  material: Material;
}

/** The working of a figure of a cut, as a person would write it. */
export function cuttingFigure(figure: CuttingFigure, cut: Cut, on: On): WorkingBody {
  return { speed, feed, depth, power, bending }[figure](cut, on);
}

/** What kind, stickout and house rules take off a published range. */
const factorLine = (factor: number, why: string): WorkingLine[] =>
  Math.abs(factor - 1) < 1e-9
    ? []
    : [line(why, quantity("ratio", factor), { source: "domain rules and house rules" })];

const warned = (cut: Cut, ...starts: string[]) =>
  cut.warnings.map((w) => w.phrase).filter((p) => starts.some((start) => p.id?.startsWith(start)));

function speed(cut: Cut, { cutter, machine, material }: On): WorkingBody {
  const aim = isCarbide(cut.tool) ? "target, mid-range" : "target, lower third";
  return {
    lines: [
      line(
        `${wordsFor.toolMaterial[cut.tool]} in ${material.name}, low`,
        quantity("cuttingSpeed", material.speeds[cut.tool][0]),
        { source: material.source, see: `materials/${material.id}` },
      ),
      line("high", quantity("cuttingSpeed", material.speeds[cut.tool][1])),
      ...factorLine(cut.speedFactor, "kind of cutter, stickout, house rules"),
      line(aim, quantity("cuttingSpeed", cut.vcWanted), { sum: true }),
      line("needed at the spindle", quantity("spindleSpeed", cut.wantedRpm), {
        formula: "spindle-speed",
        terms: [
          ["vc", quantity("cuttingSpeed", cut.vcWanted)],
          ["D", mm(cuttingDiameter(cutter))],
        ],
      }),
      line(cut.own.speed ? "yours" : "nearest speed of the machine", quantity("spindleSpeed", cut.rpm), {
        sum: true,
        source: machine.name,
      }),
      line("which gives", quantity("cuttingSpeed", cut.vc), { formula: "cutting-speed" }),
    ],
    notes: [
      words("Nearest by ratio, never above the top of the range."),
      ...warned(cut, "speed", "M21.tooFast", "M21.speed", "M18"),
    ],
  };
}

function feed(cut: Cut, { cutter, machine, material }: On): WorkingBody {
  const { lead } = machine.axes[cut.feedAlong];
  return {
    lines: [
      line("feed per tooth, low", quantity("chip", cut.fzRange[0]), {
        source: feedSource,
        see: `materials/${material.id}`,
      }),
      line("high", quantity("chip", cut.fzRange[1])),
      ...factorLine(cut.feedFactor, "left after stickout and house rules"),
      line("aimed at", quantity("chip", cut.fzWanted), { sum: true }),
      line("needed at the table", quantity("feed", cut.fzWanted * cutter.teeth * cut.rpm), {
        formula: "table-feed",
        terms: [
          ["fz", quantity("chip", cut.fzWanted)],
          ["z", count(cutter.teeth)],
          ["n", quantity("spindleSpeed", cut.rpm)],
        ],
      }),
      line(
        cut.own.feed ? "yours" : cut.feedBy === "power" ? "power feed taken" : "by hand",
        quantity("feed", cut.vf),
        { sum: true, source: machine.name },
      ),
      line("chip per tooth then", quantity("chip", cut.fz), { formula: "feed-per-tooth" }),
      line("largest chip over the arc", quantity("chip", cut.hex), {
        formula: cut.kind === "face" || cut.kind === "slot" ? "lead-chip" : "thin-chip",
      }),
      line("last pass", quantity("feed", cut.finishVf)),
      line("by hand, one turn in", quantity("seconds", cut.pace), {
        formula: "pace",
        terms: [["lead", mm(lead)]],
      }),
    ],
    notes: [
      cut.thinning > 1.001
        ? say`Narrow cut, thin chips: the feed is raised ${quantity("ratio", cut.thinning)} times for this move only. Entry and corners take the full chip: slow down there.`
        : words("Of the feeds that fit, the quickest with its own depth is used."),
      ...warned(cut, "M22", "feed", "M21.feed", "M38"),
    ],
  };
}

function depth(cut: Cut, { material }: On): WorkingBody {
  return {
    lines: [
      line("what the limits allow", mm(Math.min(...cut.limits.map((l) => l.allows.value)))),
      line(cut.own.depth ? "yours" : "used, to a twentieth", mm(cut.depth), { sum: true }),
      line(cut.kind === "side" ? "height of the wall" : "width of cut", mm(cut.width)),
      line("mean chip", quantity("chip", cut.hm), { formula: "mean-chip" }),
      line("cutting force per area", quantity("stress", cut.kc), {
        formula: "specific-force",
        terms: [
          ["kc1.1", quantity("stress", material.kc11)],
          ["mc", quantity("ratio", material.mc)],
        ],
        source: "Kienzle values of the material, handbook",
        see: `materials/${material.id}`,
      }),
    ],
    limits: cut.limits,
    bound: cut.bound,
    notes: cut.own.depth ? [say`Without your own depth, ${mm(cut.allowed)} would be used.`] : [],
  };
}

function power(cut: Cut, { cutter, machine }: On): WorkingBody {
  const { ap, ae } = engagementAt(cut.kind, cutter, cut.width, cut.depth);
  const full = machine.motorPower * machine.efficiency;
  return {
    lines: [
      line("motor", quantity("power", machine.motorPower), { source: machine.name }),
      line("reaches the spindle", quantity("power", full), {
        terms: [["share", quantity("ratio", machine.efficiency)]],
      }),
      ...(cut.spindlePower < full - 1e-9
        ? [
            line("at this speed, below the base speed of the drive", quantity("power", cut.spindlePower), {
              terms: [["n", quantity("spindleSpeed", cut.rpm)]],
            }),
          ]
        : []),
      line("the cut takes", quantity("power", cut.power), {
        sum: true,
        formula: "chip-power",
        terms: [
          ["ap", mm(ap)],
          ["ae", mm(ae)],
          ["vf", quantity("feed", cut.vf)],
          ["kc", quantity("stress", cut.kc)],
        ],
      }),
      line("metal removed", quantity("volumeRate", removalRate(ap, ae, cut.vf) * 1000), {
        formula: "removal-rate",
      }),
      line("torque at the spindle", quantity("torque", torque(cut.power, cut.rpm)), { formula: "torque" }),
      line("mean force at the edge", quantity("force", meanForce(cut.power, cut.vc)), {
        formula: "mean-force",
      }),
    ],
    notes: [words("Suggestions stay at 70 % of what reaches the spindle.")],
  };
}

function bending(cut: Cut, { cutter, machine }: On): WorkingBody {
  const limit = cut.limits.find((l) => l.id === "bending");
  return {
    lines: [
      line("largest force over a turn", quantity("force", cut.force.peak), {
        formula: "force-over-turn",
        terms: [
          ["fz", quantity("chip", cut.fz)],
          ["depth", mm(cut.depth)],
          ["z", count(cutter.teeth)],
        ],
      }),
      line("mean over a turn", quantity("force", cut.force.mean)),
      line("out of the holder", mm(cutter.stickout), {
        terms: [
          ["D", mm(cuttingDiameter(cutter))],
          ["E", quantity("stress", toolModulus[cut.tool])],
        ],
        formula: "bending",
        source: "flutes count as 0.8 D",
      }),
      line("spring of the machine, N/µm", quantity("ratio", springOf(machine)), {
        formula: "spring",
        source:
          machine.ownSpring === null ? "by class (guess) until a pull test replaces it" : "own pull test",
      }),
      line("both together at full depth", mm(cut.bending), { sum: true, decimals: 3 }),
      ...(cut.finishBending
        ? [
            line("in the last pass", mm(cut.finishBending.is), { decimals: 3 }),
            line("allowed, a quarter of half the tolerance", mm(cut.finishBending.may), { decimals: 3 }),
          ]
        : []),
    ],
    limits: limit ? [limit] : [],
    notes: [
      say`Roughing may bend ${mm(roughBending.mm)}, or a hundredth of a small cutter's diameter.`,
      ...warned(cut, "spring"),
    ],
  };
}
