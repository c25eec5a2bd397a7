import { twoHolesDrawing } from "../figure/index.ts";
import { mm, positive } from "../quantity/index.ts";
import { done, line, note, refused, rule, say, type Warning, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A web thinner than this between two holes bends or breaks through, mm (guess). */
const thinWeb = 1.5;

/** Two round holes side by side: what stands between them, or how wide they open into each other. */
export const twoHolesSum: Sum = {
  id: "two-holes",
  title: "Two holes that meet",
  what: "What stands between two round holes, or how far they overlap and how wide they open into each other.",
  fields: [
    number("first", "Radius of the first hole", "length", { mm: "12", in: "1/2" }),
    number("second", "Radius of the second", "length", { mm: "8", in: "5/16" }),
    number("x", "From center to center along X", "length", { mm: "14", in: "0.55" }, { signed: true }),
    number("y", "From center to center along Y", "length", { mm: "10", in: "0.4" }, { signed: true }),
  ],
  work: ({ n }) => {
    const [r1, r2] = [n("first"), n("second")];
    if (!positive(r1, r2))
      return refused(words("Both holes have a radius above zero."), words("Correct it."));
    const apart = Math.hypot(n("x"), n("y"));
    const gap = apart - r1 - r2;
    const inside = apart + Math.min(r1, r2) <= Math.max(r1, r2);
    if (inside)
      return refused(
        words("The smaller hole lies within the larger one: nothing of it is left."),
        words("Move it further out, or make it larger."),
      );
    const meets = gap < 0;
    // Where the line through both crossings cuts the line of centers, from the first center.
    const along = (apart ** 2 + r1 ** 2 - r2 ** 2) / (2 * apart);
    const opening = meets ? 2 * Math.sqrt(Math.max(0, r1 ** 2 - along ** 2)) : 0;
    const warnings: Warning[] = meets
      ? [
          warn(
            rule(
              "M20.oneSided",
            )`The second hole opens into the first: its cutter is loaded on one side only and is pushed that way. Plunge at half the feed, with an end mill or a boring bar and no drill.`,
          ),
        ]
      : gap < 1e-9
        ? [
            note(
              words("They touch: the point between them breaks away. Give them a gap, or let them overlap."),
            ),
          ]
        : gap < thinWeb
          ? [
              warn(
                say`Only ${mm(gap)} stands between them: it bends away from the second cutter, or breaks through. Leave ${mm(thinWeb)} or more (guess).`,
              ),
            ]
          : [];
    return done({
      drawing: twoHolesDrawing(r1, r2, apart),
      figures: [
        { label: "center to center", value: mm(apart), decimals: 3 },
        { label: meets ? "they overlap by" : "stands between them", value: mm(Math.abs(gap)), decimals: 3 },
        ...(meets ? [{ label: "the opening between them is wide", value: mm(opening), decimals: 3 }] : []),
      ],
      working: {
        lines: [
          line("center to center, √(x² + y²)", mm(apart), { decimals: 3 }),
          line("both radii", mm(r1 + r2), { decimals: 3 }),
          line("gap", mm(gap), { sum: true, decimals: 3 }),
          ...(meets
            ? [
                line("their crossings lie from the first center", mm(along), { decimals: 3 }),
                line("opening, 2 √(R² − a²)", mm(opening), { decimals: 3, sum: true }),
              ]
            : []),
        ],
        notes: [],
      },
      warnings,
    });
  },
};
