import { type Limits, type Mm, mm, tidy } from "../quantity/index.ts";
import type { FeatureOperation, FeatureSetup } from "../route/index.ts";
import type { Cutter } from "../shop/index.ts";
import type { States } from "./wall-fit.ts";
import { type Phrase, precise, rule, say, warn, type Warning } from "../working/index.ts";

/** How a boring head is opened before a pass: from the hole as it is to the size it bores, diameters in mm. */
export interface HeadOpened {
  from: Mm;
  to: Mm;
  /** Its tip is set to the wall first. */
  first: boolean;
}

/** What is turned on the dial of a boring head, to half a division, never further than wanted; null where it has none. */
export function onDial(
  { dialOn, dialDivision }: Pick<Cutter, "dialOn" | "dialDivision">,
  { from, to }: Pick<HeadOpened, "from" | "to">,
): { divisions: number; division: Mm; opens: Mm; least: Mm } | null {
  if (dialDivision === null) return null;
  const each = dialDivision * (dialOn === "radius" ? 2 : 1);
  const divisions = Math.floor((2 * (to - from)) / each + 1e-6) / 2;
  return { divisions, division: dialDivision, opens: tidy(divisions * each), least: tidy(each / 2) };
}

const halves = (n: number): string =>
  Number.isInteger(n) ? String(n) : `${Math.floor(n) === 0 ? "" : Math.floor(n)}½`;

/** The dial of a head cannot be set as near as the size asks. */
export function coarseDial(cutter: Cutter | undefined, opened: HeadOpened, limits: Limits): Warning[] {
  const dial = cutter ? onDial(cutter, opened) : null;
  // It is set no further than the middle of the limits: short of that by up to half a division.
  return dial && dial.least > (limits.upper - limits.lower) / 2 + 1e-9
    ? [
        warn(
          rule(
            "M49.coarse",
          )`Half a division of this head takes ${precise(mm(dial.least), 3)} off the hole, and its limits lie ${precise(mm(tidy(limits.upper - limits.lower)), 3)} apart: set it by an indicator at the tip, or use a finer head.`,
        ),
      ]
    : [];
}

/** What is done at the head before a pass: the wider hole, and what its dial turns. */
export function headPhrase(cutter: Cutter | undefined, opened: HeadOpened): Phrase {
  const by = tidy(opened.to - opened.from);
  const start = opened.first
    ? say`Spindle stopped: tip of the tool set until it just touches the wall of the hole, ${mm(opened.from)}; then the head opened`
    : say`Spindle stopped: head opened`;
  const dial = cutter ? onDial(cutter, opened) : null;
  const turned = dial
    ? say`${halves(dial.divisions)} divisions of ${precise(mm(dial.division), 3)} on its dial, which counts on the ${cutter!.dialOn}`
    : say`by its dial, by half of that where the dial counts on the radius`;
  return rule(
    "M49.head",
  )`${start} by ${precise(mm(by), 3)} on the diameter, to ${precise(mm(opened.to), 3)}: ${turned}. Locked again`;
}

/** What the head of a boring operation is opened from: the hole as it was read before, else as it was to be, mm. */
function boredFrom(operation: FeatureOperation, { operations }: FeatureSetup, states: States): Mm {
  const { opensFrom, feature, measure } = operation;
  const before = operations.find((o) => o.feature === feature && o.measure?.before && o.opensFrom !== null);
  const isLast = measure !== null && !measure.before;
  const read = before && isLast ? (states.get(before.key)?.readings.get("diameter") ?? []).flat() : [];
  return read.length > 0 ? (Math.max(...read) + Math.min(...read)) / 2 : opensFrom!;
}

/** How the head is opened for a boring operation, the last time by what was read before; null for any other operation. */
export function headOpened(op: FeatureOperation, setup: FeatureSetup, states: States): HeadOpened | null {
  if (op.opensFrom === null) return null;
  const first = setup.operations.find((o) => o.feature === op.feature && o.opensFrom !== null) === op;
  const to = op.measure && !op.measure.before ? op.measure.target : op.diameter;
  return { from: boredFrom(op, setup, states), to, first };
}

/** Whether the dial of a head can be opened by so little, mm on the diameter; without a dial it is set as near as it goes. */
export function dialGives(cutter: Cutter | undefined, by: Mm): boolean {
  const dial = cutter ? onDial(cutter, { from: 0, to: by }) : null;
  return dial === null || dial.opens > 0;
}
