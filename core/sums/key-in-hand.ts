import { woodruffDrawing } from "../figure/index.ts";
import { deepestKeyseat, woodruffKeys, woodruffSeat, type WoodruffKey } from "../part/index.ts";
import { mm, positive } from "../quantity/index.ts";
import { done, line, note, refused, say, type Warning, warn, words } from "../working/index.ts";
import { number, type Sum } from "./sum.ts";

/** A key as it was sheared or ground is this much off its size at most, mm (guess): beyond it is another key. */
const within = { width: 0.12, diameter: 0.5 } as const;
const shown = 6;

/** Which Woodruff key lies in the hand: its number by width and diameter, and what fits a shaft. */
export const keyInHandSum: Sum = {
  id: "key-in-hand",
  title: "Woodruff key in hand",
  what: "Which number a Woodruff key has by its width and diameter, whether the two belong together, and which keys suit a shaft.",
  fields: [
    number("width", "Width of the key", "length", { mm: "4.76", in: "3/16" }),
    number("diameter", "Diameter of its round", "length", { mm: "19.05", in: "3/4" }),
    number("shaft", "Shaft; may be left", "length", { mm: "22", in: "7/8" }, { mayBeEmpty: true }),
  ],
  work: ({ n }) => {
    const [width, diameter, shaft] = [n("width"), n("diameter"), n("shaft")];
    if (!positive(width, diameter) || (!Number.isNaN(shaft) && !positive(shaft)))
      return refused(words("Width, diameter and shaft are above zero."), words("Measure the key again."));
    const off = (k: WoodruffKey) => ({ w: Math.abs(k.width - width), d: Math.abs(k.diameter - diameter) });
    const far = (k: WoodruffKey) => off(k).w / within.width + off(k).d / within.diameter;
    const nearest = [...woodruffKeys].sort((a, b) => far(a) - far(b));
    const key = nearest[0]!;
    const is = off(key).w <= within.width && off(key).d <= within.diameter;
    const fits = Number.isNaN(shaft)
      ? []
      : woodruffKeys.filter((k) => {
          const seat = woodruffSeat(k, shaft);
          const drives = k.drives === null || (shaft > k.drives[0] && shaft <= k.drives[1]);
          // A key of about a quarter of the shaft drives it; much narrower ones shear, wider ones leave it weak.
          return (
            seat !== null && drives && k.width >= shaft / 6 && seat.depth.fromCrown <= deepestKeyseat * shaft
          );
        });
    const seat = Number.isNaN(shaft) ? null : woodruffSeat(key, shaft);
    const rows = Number.isNaN(shaft) ? nearest.slice(0, shown) : fits.slice(0, 2 * shown);
    return done({
      ...(seat ? { drawing: woodruffDrawing(shaft, key.diameter, seat.depth.fromCrown, seat.length) } : {}),
      figures: [
        { label: `${is ? "it is" : "nearest is"} ${key.text}, wide`, value: mm(key.width), decimals: 3 },
        { label: "its diameter", value: mm(key.diameter), decimals: 3 },
        { label: "its height", value: mm(key.height), decimals: 3 },
        { label: "depth in the hub", value: mm(key.hub), decimals: 3 },
        ...(seat
          ? [{ label: "seat depth from the crown", value: mm(seat.depth.fromCrown), decimals: 3 }]
          : []),
      ],
      rows: {
        head: ["width", "diameter", "height", "depth in the hub"],
        of: rows.map((k) => [mm(k.width), mm(k.diameter), mm(k.height), mm(k.hub)]),
      },
      working: {
        lines: [
          line(`width of ${key.text}`, mm(key.width), { decimals: 3, source: key.source }),
          line("width as measured less the key's", mm(width - key.width), { decimals: 3 }),
          line("diameter as measured less the key's", mm(diameter - key.diameter), {
            decimals: 3,
            sum: true,
          }),
        ],
        notes: [
          words(
            "An inch number: its last two digits are eighths of an inch of diameter, those before them thirty-seconds of width.",
          ),
          words(
            Number.isNaN(shaft)
              ? "The table lists the keys that come nearest."
              : "The table lists the keys that suit the shaft: a sixth of it wide or more (guess), no deeper than two fifths.",
          ),
          ...(fits.length > 0
            ? [
                words(
                  `For this shaft, in that order: ${fits
                    .slice(0, 2 * shown)
                    .map((k) => k.text)
                    .join(", ")}.`,
                ),
              ]
            : []),
          words("The seat is the keyseat, in the shaft; the slot in the hub is the keyway."),
        ],
      },
      warnings: is ? unsuited(key, fits, shaft) : mismatch(key, off(key)),
    });
  },
};

const unsuited = (key: WoodruffKey, fits: readonly WoodruffKey[], shaft: number): Warning[] =>
  Number.isNaN(shaft) || fits.includes(key)
    ? []
    : [
        note(
          say`It is no usual key for a shaft of ${mm(shaft)}: it is too narrow to drive it, or cuts too deep into it.`,
        ),
      ];

/** Which of the two measures does not belong to the nearest key. */
const mismatch = (key: WoodruffKey, { w, d }: { w: number; d: number }): Warning[] => [
  warn(
    w > within.width && d > within.diameter
      ? say`No listed key is so wide and so round. The nearest is ${mm(w)} off in width and ${mm(d)} in diameter: measure both again, or make the key to its seat.`
      : w > within.width
        ? say`The diameter is that of ${key.text}, the width is ${mm(w)} off it: the key was ground, or one of the two was misread.`
        : say`The width is that of ${key.text}, the diameter is ${mm(d)} off it: a worn cutter made the seat, or one of the two was misread.`,
  ),
];
