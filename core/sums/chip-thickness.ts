import { chipDrawing } from "../figure/index.ts";
import { leadChip, meanChipCentered, meanChipSide, sideChip } from "../cutting/index.ts";
import { leastChip, mostThinning } from "../handbook/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { done, line, note, refused, rule, say, warn, type Warning, words } from "../working/index.ts";
import { toolField, toolOf } from "./choices.ts";
import { choice, number, type Sum } from "./sum.ts";

/** How thick the chip is, and what feed keeps it: thin radial cuts and entering angles. */
export const chipThickness: Sum = {
  id: "chip-thickness",
  title: "Chip thickness",
  what: "How thick a chip really is in a narrow cut or under an entering angle, and the feed that keeps it.",
  fields: [
    number("fz", "Feed per tooth", "chip", { mm: "0.1", in: "0.004" }),
    number("diameter", "Diameter", "length", { mm: "20", in: "3/4" }),
    number("ae", "Width of cut", "length", { mm: "2", in: "0.08" }),
    choice(
      "where",
      "The cutter stands",
      [
        ["side", "at the side of the work"],
        ["centered", "centered over it"],
      ],
      "side",
    ),
    choice(
      "angleIs",
      "The angle is",
      [
        ["entering", "an entering angle: 90° cuts a square shoulder"],
        ["lead", "a lead angle: 0° cuts a square shoulder"],
      ],
      "entering",
      "Inch catalogs print the lead angle. It is 90° minus the entering angle.",
    ),
    number("angle", "Angle", "angle", "90"),
    toolField,
  ],
  work: ({ n, c }) => {
    const [fz, d, ae] = [n("fz"), n("diameter"), n("ae")];
    const lead = c("angleIs") === "lead";
    const kappa = lead ? 90 - n("angle") : n("angle");
    if (!(kappa > 0) || kappa > 90)
      return refused(
        rule(
          "M49.angle",
        )`An entering angle is between 0° and 90°; this one would be ${quantity("angle", kappa)}.`,
        words("Check the angle, and whether it is an entering or a lead angle."),
      );
    if (!(fz > 0) || !(d > 0) || !(ae > 0) || ae > d)
      return refused(
        words("The width of cut must be between zero and the diameter."),
        words("Correct feed, diameter or width."),
      );
    const side = c("where") === "side";
    const chip = side ? sideChip(fz, ae, d, kappa)! : { ...leadChip(fz, kappa)!, factor: 1 };
    const mean = (side ? meanChipSide(fz, ae, d, kappa) : meanChipCentered(fz, ae, d, kappa))!;
    const tool = toolOf(c("tool"));
    const least = leastChip("endMill", tool);
    const raise = Math.min(mostThinning, side ? chip.factor : 1);
    const warnings: Warning[] = [];
    if (chip.hex < least)
      warnings.push(
        warn(
          rule(
            "M22.rub",
          )`${quantity("chip", chip.hex)} is thinner than this edge cuts (${quantity("chip", least)}): it would rub. Feed faster or cut wider.`,
        ),
      );
    if (lead ? n("angle") >= 60 : n("angle") <= 30)
      warnings.push(
        note(
          rule(
            "M49.lead",
          )`An entering angle of ${quantity("angle", kappa)} is nearly flat. If the other kind of angle was meant, it is ${quantity("angle", 90 - kappa)}.`,
        ),
      );
    return done({
      drawing: chipDrawing(d, ae, !side, quantity("chip", fz)),
      figures: [
        { label: "largest chip", value: quantity("chip", chip.hex) },
        { label: "mean chip", value: quantity("chip", mean.hm) },
        { label: "feed that keeps it full, per tooth", value: quantity("chip", fz * raise) },
        { label: "engaged arc", value: quantity("angle", mean.engagement) },
      ],
      working: {
        lines: [
          line("width over diameter", quantity("ratio", ae / d), {
            terms: [
              ["ae", mm(ae)],
              ["D", mm(d)],
            ],
          }),
          line(
            "entering angle",
            quantity("angle", kappa),
            lead ? { source: "90° minus the lead angle" } : {},
          ),
          line("largest chip", quantity("chip", chip.hex), {
            sum: true,
            formula: side && ae / d < 0.5 ? "thin-chip" : "lead-chip",
            terms: [["fz", quantity("chip", fz)]],
          }),
          line("mean over the arc", quantity("chip", mean.hm), { formula: "mean-chip" }),
          line("thinned by", quantity("ratio", chip.hex / fz)),
          line("feed may rise by", quantity("ratio", raise), {
            source: "at most 2.5 times, for this move only: entry and corners see the full feed",
          }),
        ],
        notes: [
          say`Textbooks differ on the mean: here it is the mean over the arc, not fz · √(ae ÷ D), which holds for narrow cuts only.`,
        ],
      },
      warnings,
    });
  },
};
