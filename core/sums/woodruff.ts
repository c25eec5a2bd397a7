import { woodruffDrawing } from "../figure/index.ts";
import { deepestKeyseat, oldNumberOf, woodruffKeys, woodruffSeat } from "../part/index.ts";
import { mm } from "../quantity/index.ts";
import { done, line, note, refused, say, warn, type Warning, words } from "../working/index.ts";
import { choice, number, type Sum } from "./sum.ts";

/** Woodruff key and seat: depth from the crown and the edge, length, the key above the shaft. */
export const woodruffSum: Sum = {
  id: "woodruff",
  title: "Woodruff key",
  what: "How deep a Woodruff seat goes from the crown and from the edge, how long it is, where the key stands.",
  fields: [
    choice(
      "key",
      "Key",
      woodruffKeys.map((k) => [k.value, k.text] as const),
      "606",
      "Numbers: the last two digits are eighths of an inch of diameter, those before them thirty-seconds of width.",
    ),
    number("shaft", "Shaft diameter", "length", { mm: "22", in: "7/8" }),
    number("medium", "Paper or gap at the touch", "length", { mm: "0.05", in: "0.002" }),
  ],
  work: ({ n, c }) => {
    const key = woodruffKeys.find((k) => k.value === c("key"))!;
    const shaft = n("shaft");
    const seat = woodruffSeat(key, shaft);
    if (!seat || n("medium") < 0)
      return refused(
        words("The key is wider or deeper than the shaft, or the gap is negative."),
        words("Use a larger shaft or a smaller key."),
      );
    const { depth, length } = seat;
    const old = oldNumberOf(key);
    const warnings: Warning[] = [];
    if (depth.fromCrown > deepestKeyseat * shaft)
      warnings.push(
        warn(
          say`The seat takes ${mm(depth.fromCrown)} of a shaft of ${mm(shaft)}, more than two fifths, and weakens it. Use a smaller key.`,
        ),
      );
    if (key.drives && (shaft <= key.drives[0] || shaft > key.drives[1]))
      warnings.push(
        note(
          say`The standard drives shafts over ${mm(key.drives[0])} to ${mm(key.drives[1])} with this key; elsewhere it only locates.`,
        ),
      );
    return done({
      drawing: woodruffDrawing(shaft, key.diameter, depth.fromCrown, length),
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
