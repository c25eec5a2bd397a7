import { type Dimension, type Mm, mm } from "../../quantity/index.ts";
import { precise, rule, type Warning, warn } from "../../working/index.ts";
import type { KeyseatDepth } from "../keyseat.ts";
import { deepestKeyseat } from "../woodruff-key.ts";
import type { ChoiceField } from "./rules.ts";

/** Where an own depth counts from, asked once there is one. */
export const depthFromChoice = (own: Dimension | null): ChoiceField[] =>
  own
    ? [
        {
          key: "depthFrom",
          label: "Own depth counts from",
          options: [
            ["crown", "the crown"],
            ["edge", "the edge of the seat"],
          ],
        },
      ]
    : [];

/** A seat deeper than two fifths of its shaft weakens it too much (domain.md 2). */
export const tooDeep = (fromCrown: Mm, shaft: Mm): Warning[] =>
  fromCrown > deepestKeyseat * shaft
    ? [
        warn(
          rule(
            "drawing.keyseatDeep",
          )`The seat takes ${mm(fromCrown)} of a shaft of ${mm(shaft)}, more than two fifths, and weakens it. Use a smaller key.`,
        ),
      ]
    : [];

/** Closer than this two depths are the same, mm. */
const alike = 0.03;

/**
 * M29: a keyseat's own depth against its standard. Says which slip it looks like: counted from the wrong surface, or taken
 * from the row of a neighboring key.
 * @param made the seat as entered, `wanted` the seat of the standard, mm
 * @param entered the depth as typed, which counts from the crown or from the edge
 * @param plus how much deeper the standard lets it be
 * @param neighbors depths of the keys next in size, counted as the standard counts them, with their names
 */
export function keyDepthFindings(
  made: KeyseatDepth,
  wanted: KeyseatDepth,
  entered: { depth: Mm; from: "crown" | "edge" },
  plus: Mm,
  neighbors: readonly { name: string; fromCrown: Mm }[],
): Warning[] {
  const off = made.fromCrown - wanted.fromCrown;
  if (off >= -1e-6 && off <= plus + 1e-6) return [];
  const told = precise(mm(wanted.fromCrown), 3);
  const other = entered.from === "crown" ? wanted.atWall : wanted.fromCrown;
  if (Math.abs(entered.depth - other) < alike && Math.abs(wanted.chord) > 0.5 * alike)
    return [
      warn(
        rule(
          "M29.surface",
        )`${precise(mm(entered.depth), 3)} is the depth from the ${entered.from === "crown" ? "edge" : "crown"}, but it is entered from the ${entered.from}: the seat would come out ${precise(mm(Math.abs(off)), 3)} too ${off > 0 ? "deep" : "shallow"}. From the crown it is ${told}, from the edge ${precise(mm(wanted.atWall), 3)}.`,
      ),
    ];
  const next = neighbors.find((n) => Math.abs(n.fromCrown - made.fromCrown) < alike);
  return [
    next
      ? warn(
          rule(
            "M29.neighbor",
          )`A depth of ${precise(mm(made.fromCrown), 3)} belongs to key ${next.name}. This shaft's key goes ${told} below the crown.`,
        )
      : warn(
          rule(
            "M29.depth",
          )`The standard puts this seat ${told} below the crown, here it is ${precise(mm(made.fromCrown), 3)}. Leave the depth empty to take the standard's.`,
        ),
  ];
}
