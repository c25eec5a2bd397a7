import { inchWoodruffs, inchWoodruffDepths, iso3912, oldWoodruffNumbers } from "../handbook/index.ts";
import { keyseatFromCrown, keyseatFromWall, woodruffLength } from "../part/index.ts";
import { mm, mmPerInch } from "../quantity/index.ts";
import { done, line, note, refused, say, warn, type Warning, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** A keyseat deeper than this share of the shaft weakens it too much (domain.md 2). */
const deepest = 0.4;

const keys = [
  ...inchWoodruffs.map((k) => ({
    value: k.number,
    text: `No. ${k.number}`,
    width: k.width * mmPerInch,
    height: k.height * mmPerInch,
    diameter: k.diameter * mmPerInch,
    atWall: inchWoodruffDepths(k).shaft * mmPerInch,
    t1: null,
    hub: inchWoodruffDepths(k).hub * mmPerInch,
    drives: null,
    source: "ASME B17.2, depth at the side wall",
  })),
  ...iso3912.map((k) => ({
    value: `${k.b}x${k.h}x${k.diameter}`,
    text: `${k.b} × ${k.h} × ${k.diameter} mm`,
    width: k.b,
    height: k.h,
    diameter: k.diameter,
    atWall: null,
    t1: k.t1,
    hub: k.t2,
    drives: [k.over, k.to] as const,
    source: "ISO 3912, series 1, depth from the crown",
  })),
];

/** Woodruff key and seat: depth from the crown and the edge, length, the key above the shaft. */
export const woodruffSum: Sum = {
  id: "woodruff",
  title: "Woodruff key",
  what: "How deep a Woodruff seat goes from the crown and from the edge, how long it is, where the key stands.",
  fields: [
    choice(
      "key",
      "Key",
      keys.map((k) => [k.value, k.text] as const),
      "606",
      "Numbers: the last two digits are eighths of an inch of diameter, those before them thirty-seconds of width.",
    ),
    number("shaft", "Shaft diameter", "length", { mm: "22", in: "7/8" }),
    number("medium", "Paper or gap at the touch", "length", { mm: "0.05", in: "0.002" }),
  ],
  work: ({ n, c }) => {
    const key = keys.find((k) => k.value === c("key"))!;
    const shaft = n("shaft");
    const depth =
      key.t1 === null
        ? keyseatFromWall(shaft, key.width, key.atWall)
        : keyseatFromCrown(shaft, key.width, key.t1);
    const length = depth && woodruffLength(key.diameter, depth.atWall);
    if (!depth || !length || n("medium") < 0)
      return refused(
        words("The key is wider or deeper than the shaft, or the gap is below nothing."),
        words("Take a larger shaft or a smaller key."),
      );
    const old = Object.entries(oldWoodruffNumbers).find(([, now]) => now === key.value)?.[0];
    const warnings: Warning[] = [];
    if (depth.fromCrown > deepest * shaft)
      warnings.push(
        warn(
          say`The seat takes ${mm(depth.fromCrown)} of a shaft of ${mm(shaft)}, more than two fifths: it weakens it. Take a smaller key.`,
        ),
      );
    if (key.drives && (shaft <= key.drives[0] || shaft > key.drives[1]))
      warnings.push(
        note(
          say`The standard drives shafts over ${mm(key.drives[0])} to ${mm(key.drives[1])} with this key; elsewhere it only locates.`,
        ),
      );
    return done({
      figures: [
        { label: "seat depth from the crown", value: mm(depth.fromCrown), decimals: 3 },
        { label: "from the edge of the seat", value: mm(depth.atWall), decimals: 3 },
        { label: "infeed from the touch", value: mm(depth.fromCrown + n("medium")), decimals: 3 },
        { label: "floor to the far side", value: mm(depth.overOpposite), decimals: 3 },
        { label: "top of the key to the far side", value: mm(depth.overOpposite + key.height), decimals: 3 },
        { label: "length of the seat", value: mm(length) },
        { label: "depth in the hub", value: mm(key.hub), decimals: 3 },
      ],
      working: {
        lines: [
          line("key width", mm(key.width), { source: key.source }),
          line("cutter", mm(key.diameter)),
          line("crown over the edge (Y)", mm(depth.chord), { decimals: 3, formula: "chord-height" }),
          line("from the crown", mm(depth.fromCrown), {
            decimals: 3,
            sum: true,
            ...(key.t1 === null ? { formula: "woodruff-depth" as const } : { source: "t1" }),
          }),
          line("length of the seat", mm(length), {
            formula: "woodruff-length",
            terms: [
              ["R", mm(key.diameter / 2)],
              ["d", mm(depth.atWall)],
            ],
          }),
        ],
        notes: [
          ...(old === undefined ? [] : [say`Older drawings call it number ${old}.`]),
          words("An inch depth counts from the edge of the seat, a metric one from the crown."),
        ],
      },
      warnings,
    });
  },
};
