import { trialsDrawing } from "../figure/index.ts";
import { mm, quantity, tidy } from "../quantity/index.ts";
import { done, line, refused, say, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

const jacks = ["a", "b", "c"] as const;
const named = { a: "first", b: "second", c: "third" } as const;

/** Three jacks under a part: which is turned by how much until what stands on them is level. */
export const jacksSum: Sum = {
  id: "jacks",
  title: "Level on three jacks",
  what: "Heights read over three jacks: which one to raise, by how much, and how many turns that is.",
  fields: [
    ...jacks.map((key, i) =>
      number(
        key,
        `Over the ${named[key]} jack`,
        "length",
        { mm: ["50.12", "50", "49.85"][i]!, in: ["1.973", "1.968", "1.963"][i]! },
        { signed: true },
      ),
    ),
    number("lead", "A jack rises a turn", "length", { mm: "1.5", in: "0.06" }),
  ],
  work: ({ n }) => {
    if (!(n("lead") > 0))
      return refused(words("The jack must rise by more than zero a turn."), words("Correct it."));
    const read = jacks.map((key) => n(key));
    const highest = Math.max(...read);
    const up = read.map((v) => tidy(highest - v));
    return done({
      drawing: trialsDrawing("Heights over the three jacks, from the highest.", read, highest),
      figures: [
        { label: "highest less lowest", value: mm(Math.max(...up)), decimals: 3 },
        ...jacks.flatMap((key, i) =>
          up[i]! < 1e-9 ? [] : [{ label: `raise the ${named[key]} by`, value: mm(up[i]!), decimals: 3 }],
        ),
      ],
      working: {
        lines: jacks.flatMap((key, i) => [
          line(say`over the ${named[key]} jack`, mm(n(key)), { decimals: 3 }),
          line(say`raise it by the highest less that`, mm(up[i]!), { decimals: 3, sum: true }),
          line(say`in turns of it`, quantity("count", up[i]! / n("lead")), { decimals: 2 }),
        ]),
        notes: [
          words("Each jack moves what is over the others a little: read all three again after turning."),
          words("Raise, never lower: a jack that is lowered leaves the part hanging on the other two."),
        ],
      },
      warnings: [],
    });
  },
};
