import { trialsDrawing } from "../figure/index.ts";
import { quantity } from "../quantity/index.ts";
import { done, line, note, refused, rule, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** Spots in a square inch by what the face is for (usual in scraping, guess). */
const grades: readonly (readonly [atLeast: number, good: string])[] = [
  [20, "a surface plate or a square"],
  [10, "a slide of a machine"],
  [5, "a face that is bolted on"],
  [0, "nothing that has to lie flat"],
];

const where = [
  ["all", "All over"],
  ["middle", "In the middle only"],
  ["ends", "At the ends only"],
  ["corners", "At two corners across"],
  ["side", "Along one side"],
] as const;

const says: Record<(typeof where)[number][0], string> = {
  all: "It touches all over. More spots are better, evenly spread.",
  middle: "It is high in the middle: it rocks or turns easily. Take the middle down first.",
  ends: "It is hollow: it touches at its ends only. Take the ends down until the middle shows.",
  corners:
    "It is twisted: it touches at two corners. Look at what it was clamped on, free it, and take those down.",
  side: "It is wedged, or the plate was tilted: turn the part round on the plate and rub again before you cut.",
};

/** A face rubbed on a blued plate: how well it lies, and what to do next. */
export const blueSum: Sum = {
  id: "blue",
  title: "Blue on the plate",
  what: "Rub the face on a plate with a thin film of blue, count the spots in a square: how well it lies.",
  fields: [
    number("spots", "Spots counted", "count", "12"),
    number("side", "Side of the square", "length", { mm: "25.4", in: "1" }),
    choice("where", "Where they are", where, "all"),
  ],
  work: ({ n, c }) => {
    if (!(n("side") > 0)) return refused(words("The square must be above zero."), words("Correct it."));
    const inSquare = (n("spots") * 25.4 ** 2) / n("side") ** 2;
    const place = where.find(([id]) => id === c("where"))?.[0] ?? "all";
    const good = grades.find(([atLeast]) => inSquare >= atLeast)![1];
    return done({
      drawing: trialsDrawing("Spots in the square, and in a square inch.", [n("spots"), inSquare], 0),
      figures: [{ label: "spots in a square inch", value: quantity("count", inSquare), decimals: 0 }],
      working: {
        lines: [
          line("spots counted", quantity("count", n("spots"))),
          line("side of the square", quantity("length", n("side"))),
          line("spots × (25.4 mm ÷ side)²", quantity("count", inSquare), { decimals: 1, sum: true }),
        ],
        notes: [
          words(
            "The thinnest film that still marks; wipe both, rub lightly a few centimeters, lift off straight.",
          ),
          words("Blue tells where, not how much: a reading with an indicator says how many hundredths."),
        ],
      },
      warnings: [
        note(
          place === "all"
            ? rule("blue.all")`Good for ${good}. ${says.all}`
            : rule("blue.where")`${says[place]}`,
        ),
      ],
    });
  },
};
