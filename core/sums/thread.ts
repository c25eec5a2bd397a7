import { threadDrawing } from "../figure/index.ts";
import { clearanceOf, inchThreads, metricThreads } from "../handbook/index.ts";
import { basicMinor, tappingSize, threadPercent } from "../part/index.ts";
import { mm, mmPerInch, quantity } from "../quantity/index.ts";
import { done, line, refused, rule, say, warn, type Warning, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

const threads = [
  ...metricThreads.map((t) => ({
    value: t.name,
    text: `${t.name}, ${t.series}`,
    diameter: t.diameter,
    pitch: t.pitch,
    drill: t.drill,
    drillName: "",
    bare: `M${t.diameter}`,
  })),
  ...inchThreads.map((t) => ({
    value: t.name,
    text: `${t.name} ${t.series}`,
    diameter: t.diameter * mmPerInch,
    pitch: mmPerInch / t.tpi,
    drill: t.drill.size * mmPerInch,
    drillName: t.drill.name,
    bare: t.name.slice(0, t.name.lastIndexOf("-")),
  })),
];

/** Enough thread for most work, and more than a tap likes, percent of full height. */
const usual = { least: 50, most: 83 } as const;

/** Tapping size, how much thread a drill leaves, and the clearance hole. */
export const threadSum: Sum = {
  id: "thread",
  title: "Thread",
  what: "The tapping drill, how much thread another one leaves, and the hole the screw goes through.",
  fields: [
    choice(
      "thread",
      "Thread",
      threads.map((t) => [t.value, t.text] as const),
      "M8",
    ),
    number("drill", "A drill to try", "length", { mm: "6.8", in: "0.266" }),
  ],
  work: ({ n, c }) => {
    const thread = threads.find((t) => t.value === c("thread"))!;
    const percent = threadPercent(thread.diameter, thread.pitch, n("drill"));
    const table = threadPercent(thread.diameter, thread.pitch, thread.drill);
    const exact = tappingSize(thread.diameter, thread.pitch);
    const minor = basicMinor(thread.diameter, thread.pitch);
    if (!percent || !table || exact === null || minor === null)
      return refused(
        say`The drill must be smaller than the thread, ${mm(thread.diameter)}.`,
        words("Use a smaller drill."),
      );
    const clearance = clearanceOf(thread.bare);
    const through =
      clearance && (thread.bare.startsWith("M") ? clearance.medium : clearance.medium * mmPerInch);
    const warnings: Warning[] = [];
    if (percent.full > usual.most)
      warnings.push(
        warn(
          rule(
            "M31.small",
          )`The drill of ${mm(n("drill"))} leaves ${quantity("ratio", percent.full)} % of a thread: the tap jams and breaks. The table takes ${mm(thread.drill)}.`,
        ),
      );
    else if (percent.full < usual.least)
      warnings.push(
        warn(
          rule(
            "M31.large",
          )`The drill of ${mm(n("drill"))} leaves ${quantity("ratio", percent.full)} % of a thread: too little to hold. The table takes ${mm(thread.drill)}.`,
        ),
      );
    return done({
      drawing: threadDrawing(thread.diameter, thread.pitch, n("drill")),
      figures: [
        {
          label: thread.drillName ? `tapping drill, ${thread.drillName}` : "tapping drill",
          value: mm(thread.drill),
        },
        { label: "thread it leaves, percent", value: quantity("ratio", table.full) },
        { label: "thread your drill leaves, percent", value: quantity("ratio", percent.full) },
        ...(through ? [{ label: "clearance hole, medium", value: mm(through) }] : []),
        { label: "least internal diameter", value: mm(minor), decimals: 3 },
      ],
      working: {
        lines: [
          line("diameter", mm(thread.diameter), { source: thread.text }),
          line("pitch", mm(thread.pitch), { decimals: 3 }),
          line("by rule", mm(exact), { decimals: 3, formula: "tapping-size" }),
          line("your drill leaves, percent", quantity("ratio", percent.full), {
            sum: true,
            formula: "thread-percent",
            terms: [["drill", mm(n("drill"))]],
          }),
          line("of the basic height, percent", quantity("ratio", percent.basic)),
        ],
        notes: [
          words(
            "60 to 75 % holds nearly as much as a full thread and taps far easier; in tough material go lower.",
          ),
        ],
      },
      warnings,
    });
  },
};
