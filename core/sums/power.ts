import { cutDrawing } from "../figure/index.ts";
import { cutChain, forceOverTurn, motorPower, teethEngaged } from "../cutting/index.ts";
import { suggestedShare } from "../handbook/index.ts";
import { count, mm, quantity } from "../quantity/index.ts";
import { done, line, refused, rule, say, warn, type Warning, words } from "../working/index.ts";
import { materialField, materialOf } from "./choices.ts";
import { number, type Sum } from "./sum.ts";

/** No cutter has more teeth than a fine slitting saw. */
const mostTeeth = 400;

/** Power, torque and force of a cut. */
export const power: Sum = {
  id: "power",
  title: "Power and force",
  what: "What a cut takes from the spindle, and how hard it pushes.",
  fields: [
    materialField,
    number("diameter", "Diameter", "length", { mm: "20", in: "3/4" }),
    number("teeth", "Teeth", "count", "4"),
    number("ap", "Depth along the cutter", "length", { mm: "5", in: "0.2" }),
    number("ae", "Width across it", "length", { mm: "10", in: "0.4" }),
    number("fz", "Feed per tooth", "chip", { mm: "0.08", in: "0.003" }),
    number("rpm", "Spindle speed", "spindleSpeed", "450"),
    number("helix", "Helix", "angle", "30"),
    number("motor", "Motor", "power", { mm: "1.5", in: "2" }, { mayBeEmpty: true }),
    number("efficiency", "Share that reaches the spindle", "ratio", "0.75"),
  ],
  work: ({ n, c }) => {
    const material = materialOf(c("material"));
    const [diameter, teeth, ap, ae, fz, rpm] = [
      n("diameter"),
      n("teeth"),
      n("ap"),
      n("ae"),
      n("fz"),
      n("rpm"),
    ];
    const { kc11, mc } = material;
    const whole = Number.isInteger(teeth) && teeth >= 1 && teeth <= mostTeeth;
    const chain = whole ? cutChain({ diameter, teeth, ap, ae, fz, n: rpm, kc11, mc }) : null;
    if (
      !chain ||
      !(fz > 0) ||
      !(diameter > 0) ||
      n("helix") > 60 ||
      !(n("efficiency") > 0) ||
      n("efficiency") > 1
    )
      return refused(
        say`Impossible cut: the width must be within the diameter, all sizes above zero, teeth whole and at most ${mostTeeth}.`,
        words("Correct the sizes."),
      );
    const engagement = (Math.acos(1 - (2 * ae) / diameter) * 180) / Math.PI;
    const turn = forceOverTurn({
      diameter,
      teeth,
      ap,
      from: 0,
      to: engagement,
      helix: n("helix"),
      mc,
      fz,
      kc11,
    });
    const wanted = motorPower(chain.power, n("efficiency"));
    const atSpindle = n("motor") * n("efficiency");
    const warnings: Warning[] = [];
    if (chain.power > atSpindle)
      warnings.push(
        warn(
          rule(
            "M21.power",
          )`${quantity("power", chain.power)} needed of ${quantity("power", atSpindle)} at the spindle: too much; ${mm((ap * suggestedShare * atSpindle) / chain.power)} deep would do.`,
        ),
      );
    else if (chain.power > suggestedShare * atSpindle)
      warnings.push(
        warn(
          rule(
            "M21.power",
          )`${quantity("power", chain.power)} wanted of ${quantity("power", atSpindle)}: little is left in hand.`,
        ),
      );
    return done({
      drawing: cutDrawing(diameter, ap, ae),
      figures: [
        { label: "power at the cutter", value: quantity("power", chain.power) },
        { label: "torque", value: quantity("torque", chain.torque) },
        { label: "largest force over a turn", value: quantity("force", turn.peak) },
        { label: "mean force", value: quantity("force", chain.meanForce) },
        { label: "power at the motor", value: quantity("power", wanted) },
        { label: "metal removed", value: quantity("volumeRate", chain.removal * 1000) },
      ],
      working: {
        lines: [
          line("mean chip", quantity("chip", chain.hm), { formula: "mean-chip" }),
          line("cutting force per area", quantity("stress", chain.kc), {
            formula: "specific-force",
            terms: [
              ["kc1.1", quantity("stress", kc11)],
              ["mc", quantity("ratio", mc)],
            ],
            source: "Kienzle values, no correction for rake",
            see: `materials/${material.id}`,
          }),
          line("table feed", quantity("feed", chain.vf), {
            formula: "table-feed",
            terms: [
              ["fz", quantity("chip", fz)],
              ["z", count(teeth)],
              ["n", quantity("spindleSpeed", rpm)],
            ],
          }),
          line("metal removed", quantity("volumeRate", chain.removal * 1000), { formula: "removal-rate" }),
          line("power", quantity("power", chain.power), {
            sum: true,
            formula: "chip-power",
            terms: [
              ["ap", mm(ap)],
              ["ae", mm(ae)],
            ],
          }),
          line("wanted at the motor", quantity("power", wanted), {
            formula: "motor-power",
            terms: [["η", quantity("ratio", n("efficiency"))]],
          }),
          line("torque", quantity("torque", chain.torque), { formula: "torque" }),
          line("mean force", quantity("force", chain.meanForce), { formula: "mean-force" }),
          line("largest over a turn", quantity("force", turn.peak), {
            formula: "force-over-turn",
            terms: [["helix", quantity("angle", n("helix"))]],
          }),
          line("teeth in the cut", quantity("ratio", teethEngaged(teeth, engagement))),
          ...(Number.isNaN(atSpindle) ? [] : [line("there is at the spindle", quantity("power", atSpindle))]),
        ],
        notes: [
          words(
            "A worn edge takes about 1.3 times as much. Textbooks that take kc at the mean chip come out a few percent off the integral.",
          ),
        ],
      },
      warnings,
    });
  },
};
