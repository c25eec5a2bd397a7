import { blankDrawing } from "../figure/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { type StockShape, weightOf } from "../stock/index.ts";
import { done, line, note, refused, rule, words } from "../working/index.ts";
import { materialField, materialOf } from "./choices.ts";
import { choice, number, type Sum } from "./sum.ts";

/** From this weight on a piece is not lifted onto the table alone, kg (guess). */
const heavy = 15;

/** Weight of a piece of stock, and how much it grows when warm. */
export const weightSum: Sum = {
  id: "weight",
  title: "Weight",
  what: "What a piece of stock weighs, and how much it grows when it is warm.",
  fields: [
    materialField,
    choice(
      "shape",
      "Shape",
      [
        ["plate", "block or plate: length × width × thickness"],
        ["round", "round: diameter"],
        ["square", "square: side"],
        ["hex", "hexagon: across flats"],
        ["tube", "round tube: outside and wall"],
      ],
      "plate",
    ),
    number("length", "Length", "length", { mm: "100", in: "4" }),
    number("a", "Width, diameter, side or across flats", "length", { mm: "60", in: "2.5" }),
    number(
      "b",
      "Thickness, or wall of a tube",
      "length",
      { mm: "40", in: "1.5" },
      {
        mayBeEmpty: true,
        help: "Only for blocks, plates and tubes.",
      },
    ),
    number("count", "Pieces", "count", "1"),
    number("warmer", "Warmer by", "temperature", "10"),
  ],
  work: ({ n, c }) => {
    const material = materialOf(c("material"));
    const [length, a, b] = [n("length"), n("a"), n("b")];
    const shapes: Record<string, StockShape> = {
      plate: { shape: "plate", length, width: a, thickness: b },
      round: { shape: "round", diameter: a, length },
      square: { shape: "square", side: a, length },
      hex: { shape: "hex", acrossFlats: a, length },
      tube: { shape: "tube", outside: a, wall: b, length },
    };
    const weight = weightOf(shapes[c("shape")]!, material.density);
    if (!weight || !(n("count") >= 1))
      return refused(
        words("Sizes must be above zero, a wall less than half the outside, pieces at least one."),
        words("Correct the sizes."),
      );
    const mass = weight.mass * n("count");
    const growth = (length / 1000) * material.expansion * n("warmer");
    return done({
      drawing: blankDrawing(c("shape"), length, a, b),
      figures: [
        { label: "weight", value: quantity("mass", mass) },
        { label: "volume of one", value: quantity("volume", weight.volume * 1000) },
        { label: "grows in length", value: mm(growth), decimals: 4 },
      ],
      working: {
        lines: [
          line("volume", quantity("volume", weight.volume * 1000)),
          line("weight of one", quantity("mass", weight.mass), {
            formula: "mass",
            source: `${material.density} kg/m³`,
            see: `materials/${material.id}`,
          }),
          line("of all", quantity("mass", mass), { sum: true }),
          line("growth", mm(growth), {
            decimals: 4,
            formula: "growth",
            terms: [["length", mm(length)]],
            source: `${material.expansion} mm per m and °C`,
          }),
        ],
        notes: [
          words("Root and corner radii of bars are left out. Bars come over size by their mill tolerance."),
        ],
      },
      warnings:
        mass > heavy
          ? [note(rule("weight.heavy")`${quantity("mass", mass)}: do not lift it onto the table alone.`)]
          : [],
    });
  },
};
