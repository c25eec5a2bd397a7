import { feedDrawing } from "../figure/index.ts";
import { aimedSpeed, cuttingSpeed, spindleSpeed, tableFeed } from "../cutting/index.ts";
import {
  cutterKindFacts,
  cutterKinds,
  feedPerTooth,
  feedSource,
  isCarbide,
  judgeSpeed,
} from "../handbook/index.ts";
import { drillGrabs } from "../holding/index.ts";
import { count, mm, quantity } from "../quantity/index.ts";
import { done, line, refused, rule, say, warn, type Warning, words } from "../working/index.ts";
import { kindField, materialField, materialOf, toolField, toolOf } from "./choices.ts";
import { number, type Sum } from "./sum.ts";

/** Spindle speed and table feed for a cutter in a material. */
export const speedFeed: Sum = {
  id: "speed-feed",
  title: "Speed and feed",
  what: "How fast to turn and to feed a cutter in a material.",
  fields: [
    materialField,
    toolField,
    kindField,
    number("diameter", "Diameter", "length", { mm: "12", in: "1/2" }),
    number("teeth", "Teeth", "count", "4"),
    number("rpm", "Speed of your machine", "spindleSpeed", "", {
      mayBeEmpty: true,
      help: "The speed you would set; empty for the target.",
    }),
    number("through", "Drilled through a plate of", "length", "", {
      mayBeEmpty: true,
      help: "For a drill that breaks through; empty otherwise.",
    }),
  ],
  work: ({ n, c }) => {
    const material = materialOf(c("material"));
    const tool = toolOf(c("tool"));
    const kind = cutterKinds.find((k) => k === c("kind"))!;
    const [diameter, teeth] = [n("diameter"), n("teeth")];
    if (!(diameter > 0) || !(teeth >= 1) || !Number.isInteger(teeth))
      return refused(
        words("Enter a diameter and a whole number of teeth."),
        words("Correct diameter and teeth."),
      );
    const facts = cutterKindFacts[kind];
    const [low, high] = material.speeds[tool].map((v) => v * facts.speed) as [number, number];
    const aim = aimedSpeed([low, high], tool);
    const wanted = spindleSpeed(aim, diameter);
    const rpm = Number.isNaN(n("rpm")) ? wanted : n("rpm");
    if (!(rpm > 0))
      return refused(words("The spindle does not turn."), words("Type a speed, or leave it empty."));
    const vc = cuttingSpeed(rpm, diameter);
    const [fzLow, fzHigh] = feedPerTooth(material.group, kind, diameter, teeth);
    const fz = (fzLow + fzHigh) / 2;
    const vf = tableFeed(fz, teeth, rpm);
    const verdict = judgeSpeed(material, tool, vc / facts.speed);
    const warnings: Warning[] = [];
    if (verdict !== "core") {
      const more = vc > high;
      warnings.push(
        warn(
          rule(
            more ? "M21.speed" : "speed.below",
          )`${quantity("cuttingSpeed", vc)} is ${more ? "above" : "below"} the range${verdict === "out" ? ", and outside anything published" : ""}: ${more ? "the edge will not last" : "the edge may tear instead of cut"}.`,
        ),
      );
    }
    if (kind === "twistDrill" && n("through") > 0)
      warnings.push(...drillGrabs({ through: true, diameter, thickness: n("through"), heldDown: false }));
    if (material.caution) warnings.push(warn(say`${material.caution}`));
    return done({
      drawing: feedDrawing(diameter, teeth, quantity("feed", vf)),
      figures: [
        { label: "spindle speed", value: quantity("spindleSpeed", rpm) },
        { label: "table feed", value: quantity("feed", vf) },
        { label: "cutting speed", value: quantity("cuttingSpeed", vc) },
        { label: "feed per tooth", value: quantity("chip", fz) },
        { label: "feed per turn", value: quantity("chip", fz * teeth) },
      ],
      working: {
        lines: [
          line("cutting speed, low", quantity("cuttingSpeed", material.speeds[tool][0]), {
            source: material.source,
            see: `materials/${material.id}`,
          }),
          line("high", quantity("cuttingSpeed", material.speeds[tool][1])),
          ...(facts.speed === 1 ? [] : [line(facts.why, quantity("ratio", facts.speed))]),
          line(isCarbide(tool) ? "target, mid-range" : "target, lower third", quantity("cuttingSpeed", aim), {
            sum: true,
          }),
          line("needed at the spindle", quantity("spindleSpeed", wanted), {
            formula: "spindle-speed",
            terms: [
              ["vc", quantity("cuttingSpeed", aim)],
              ["D", mm(diameter)],
            ],
          }),
          line("at the speed set", quantity("cuttingSpeed", vc), {
            formula: "cutting-speed",
            terms: [["n", quantity("spindleSpeed", rpm)]],
          }),
          line("feed per tooth, low", quantity("chip", fzLow), { source: feedSource }),
          line("high", quantity("chip", fzHigh)),
          line("used: the mean", quantity("chip", fz), { sum: true }),
          line("table feed", quantity("feed", vf), {
            sum: true,
            formula: "table-feed",
            terms: [
              ["fz", quantity("chip", fz)],
              ["z", count(teeth)],
              ["n", quantity("spindleSpeed", rpm)],
            ],
          }),
        ],
        notes: [
          words(
            "Conservative starting points; published values spread by about 40 % either way. The cutter maker's data and the machine's manual come first.",
          ),
        ],
      },
      warnings,
    });
  },
};
