import { cutWindow, liesOf, type Lies, shimsFor, type Spot } from "../inspect/index.ts";
import { clampingAxes, type Sizes } from "../frame/index.ts";
import { type Mm, mm } from "../quantity/index.ts";
import { canMeasure, type Shop } from "../shop/index.ts";
import { faceSetupsOf, type FaceSetup, type Setup } from "../route/index.ts";
import { criticalShare, type FormKind } from "../part/index.ts";
import { type Phrase, precise, say, words } from "../working/index.ts";
import type { Requirement } from "./requirement.ts";

/** The face setup that made a size of the block: its second face. */
export const madeBy = (r: Requirement, setups: readonly Setup[]): FaceSetup | undefined =>
  faceSetupsOf(setups).findLast((s) => s.operations[0].axis === r.of);

/** How long the face of a size is along X and Y of the machine as it was cut, mm. */
export function faceSpan(setup: FaceSetup, sizes: Sizes): { x: Mm; y: Mm } {
  const axes = clampingAxes(setup.at);
  return { x: sizes[axes.x.axis], y: sizes[axes.y.axis] };
}

const located = (r: Requirement): { value: Mm; spot: Spot }[] =>
  r.readings.flatMap(({ value, spot, counts }) => (spot && counts ? [{ value, spot }] : []));

/** How the face of a size lies, by the readings that say where they were taken; null where they do not tell. */
export const liesBy = (r: Requirement): Lies | null => liesOf(located(r));

/** How a face lies where it is thicker in places than may be: than the parallelism asked for, or half its limits; else null. */
export function askewBy(r: Requirement, parallel: Mm | null): { lies: Lies; wanted: Mm } | null {
  const wanted = parallel ?? (r.limits.upper - r.limits.lower) / 2;
  const lies = liesBy(r);
  return lies && lies.spread > wanted ? { lies, wanted } : null;
}

/** What advice on a size goes by. */
export interface AdviceAsked {
  setups: readonly Setup[];
  sizes: Sizes;
  shop: Shop;
  /** The parallelism asked for, mm; null for none. */
  parallel: Mm | null;
  /** What error of form by name it is, where it is one. */
  form?: FormKind | null;
}

/**
 * What to do about a size: what the next cut may take, what to set right first, which instrument would tell. Nothing where it is
 * good and lies flat.
 */
export function adviceFor(
  r: Requirement,
  { setups, sizes, shop, parallel, form = null }: AdviceAsked,
): Phrase[] {
  const { verdict, limits } = r;
  if (!verdict) return [];
  if (r.gauge) return triedAdvice(r);
  const values = r.readings.flatMap((reading) => (reading.counts ? [reading.value] : []));
  const band = limits.upper - limits.lower;
  const advice: Phrase[] = [];
  if (r.how === "outside" && verdict.verdict === "rework") {
    const window = cutWindow(values, limits.lower, limits.upper);
    advice.push(
      window
        ? say`Take off between ${precise(mm(Math.max(window.least, 0)), 3)} and ${precise(mm(window.most), 3)}: then every place read is inside the limits. Aim at ${precise(mm((Math.max(window.least, 0) + window.most) / 2), 3)}, in two cuts if what was read is a surprise.`
        : say`The readings spread ${precise(mm(verdict.spread), 3)}, wider than the limits of ${precise(mm(band), 3)}: no single cut brings every place inside. Take the taper out first.`,
    );
  }
  const placed = form && ofPlace(form, verdict.largest);
  if (verdict.verdict === "rework" && placed) advice.push(placed);
  else if (verdict.verdict === "rework" && r.how === "form")
    advice.push(
      say`It is ${precise(mm(verdict.rework), 3)} more than allowed. Deburr and wipe, and read once more; then look at what it stood on and against when it was cut, and take a light cut over it from there.`,
    );
  if (verdict.verdict === "rework" && r.how !== "outside" && r.how !== "form")
    advice.push(
      say`${precise(mm(verdict.rework), 3)} is still to come off there. Take half of it, and measure again.`,
    );
  if (verdict.verdict === "under" || verdict.verdict === "over")
    advice.push(
      words(
        "Metal cannot be put back. Measure once more; if it stays, make the mate to it, have it accepted by whoever made the drawing, or scrap the piece below.",
      ),
    );
  if (verdict.verdict === "cannotTell" || verdict.verdict === "withinU")
    advice.push(betterInstrument(r, shop, band));
  advice.push(...sprang(r));
  const askew = askewBy(r, parallel);
  if (askew) advice.push(...levelled(askew.lies, r, setups, sizes, askew.wanted));
  return advice;
}

/** What to do about something that lies off its middle, its place or its angle; null for other errors of form. */
function ofPlace(form: FormKind, error: Mm): Phrase | null {
  switch (form) {
    case "symmetric":
      return say`It lies ${precise(mm(error / 2), 3)} off the middle. Half of the difference moves it there, but only where its width still has metal: take it off the side with the thicker wall. Else have it accepted.`;
    case "position":
      return say`It lies ${precise(mm(error / 2), 3)} off its place. Only a larger hole bored from the true place, or a bush in it, puts that right. Else have it accepted.`;
    case "angle":
      return say`${precise(mm(error), 3)} over 100 mm. Set it up anew by the sine bar, indicate the slope itself level, and take a light cut where the size has metal left.`;
    default:
      return null;
  }
}

/** What to do about a thread, a finish or a fit that did not pass. */
function triedAdvice(r: Requirement): Phrase[] {
  const { how, verdict, gauge } = r;
  if (verdict?.verdict === "good") return shakes(r);
  const loose = verdict?.verdict === "over";
  if (how === "thread")
    return [
      loose
        ? words(
            "Too loose: the drill was too large, or the tap cut twice. Nothing puts the metal back; a thread insert may.",
          )
        : words(
            "Run the tap through once more by hand, square and to the full depth, clear the chips, and try again.",
          ),
    ];
  if (how === "surface")
    return [
      words(
        "A light last cut with a sharp cutter, slower feed and the fluid on, if the size has that much left. Else ask whether it may stay.",
      ),
    ];
  return fitAdvice(gauge!, loose);
}

/** What to do about a fit that was tried: by how it goes, how much it shakes, and where. */
function fitAdvice({ answer, gap }: NonNullable<Requirement["gauge"]>, loose: boolean): Phrase[] {
  const play = answer?.play ?? null;
  const where = answer?.where && answer.where !== "all along" ? ` at ${answer.where}` : "";
  if (!loose)
    return [
      where === ""
        ? words(
            "Too tight: blue shows where it binds. Deburr first. Bound all along, take a little off both walls in turn, so that its middle stays; off one wall alone it moves.",
          )
        : words(
            `Too tight${where}: deburr, blue it, and take metal off there only. The rest is at size: another pass over all of it would make it loose.`,
          ),
    ];
  if (play === null || gap === null)
    return [
      words(
        "Too loose: measure both, and make the other part to this one, or scrap the piece. Find the play with a feeler and note it: it says how much is missing.",
      ),
    ];
  const over = play - (gap.least + gap.most) / 2;
  return [
    say`It shakes by ${fine(play)}${where}; ${fine(gap.least)} to ${fine(gap.most)} is required. Make the other part ${fine(Math.max(0, over))} larger, or put a shim of that between; where neither goes, scrap the piece.`,
  ];
}

/** A fit that goes, and shakes more than it may. */
function shakes({ gauge, verdict }: Requirement): Phrase[] {
  const play = gauge?.answer?.play ?? null;
  if (verdict?.verdict !== "good" || !gauge?.gap || play === null || play <= gauge.gap.most) return [];
  return [
    say`It goes, but shakes by ${fine(play)}: ${fine(gauge.gap.most)} at most was required. See whether that will do.`,
  ];
}

const fine = (value: Mm) => precise(mm(value), 3);

/** The instrument that would tell, where the shop has one. */
function betterInstrument(r: Requirement, shop: Shop, band: Mm): Phrase {
  const wanted = band * criticalShare;
  const value = r.readings[0]?.value ?? 0;
  const [best] = shop.instruments
    .filter((i) => !i.retired && canMeasure(i, r.how, value) && i.uncertainty < r.u)
    .sort((a, b) => a.uncertainty - b.uncertainty);
  return best
    ? say`Read it with the ${best.name}, good to ±${precise(mm(best.uncertainty), 3)}: what was used leaves ±${precise(mm(r.u), 3)} in doubt.`
    : say`No instrument in the shop tells this: one good to ±${precise(mm(wanted), 3)} would. ${around(r)}`;
}

/** How a shop without such an instrument gets round it. */
function around({ how }: Requirement): Phrase {
  switch (how) {
    case "inside":
      return words(
        "Or try gauge pins or gauge blocks in it, the next larger and the next smaller: it lies between what goes and what does not.",
      );
    case "place":
      return words(
        "Or pick the edge and the hole up with one indicator in the spindle, and read the way between on the machine: its readout compares better than it measures.",
      );
    case "form":
      return words(
        "Or compare: an indicator run over it and over a face that is known, without moving its stand.",
      );
    default:
      return words(
        "Or compare on a plate: an indicator set to 0 on gauge blocks of the size, then moved over the part, shows only the difference.",
      );
  }
}

/** Clamped it read one thing, let go another: how far it sprang, where that is more than the readings are in doubt. */
function sprang({ readings, u }: Requirement): Phrase[] {
  const mean = (held: "clamped" | "free") => {
    const values = readings.flatMap((r) => (r.held === held ? [r.value] : []));
    return values.length === 0 ? null : values.reduce((s, v) => s + v, 0) / values.length;
  };
  const [clamped, free] = [mean("clamped"), mean("free")];
  if (clamped === null || free === null || Math.abs(free - clamped) <= u) return [];
  return [
    say`It sprang ${precise(mm(Math.abs(free - clamped)), 3)} when it was let go. Before the last pass loosen, let it settle, and clamp again only as hard as that light pass needs; packing under what is hollow.`,
  ];
}

/** What takes a slope out: the shim, or for what is no slope the cut that cleans it. */
function levelled(lies: Lies, r: Requirement, setups: readonly Setup[], sizes: Sizes, wanted: Mm): Phrase[] {
  const setup = madeBy(r, setups);
  if (!setup) return [];
  const span = faceSpan(setup, sizes);
  const shims = shimsFor(lies, wanted / 4, { ...span, restX: span.x, restY: span.y });
  const slopes = shims.map(({ under, thickness }) => say`raise the ${under} by ${precise(mm(thickness), 3)}`);
  const [first, second] = slopes;
  return [
    ...(first
      ? [
          say`It is ${precise(mm(lies.spread), 3)} thicker in places. Look for a chip or a burr under the part first; if its seat is clean, ${second ? say`${first} and ${second}` : first} with shim before the next cut.`,
        ]
      : []),
    ...(lies.uneven > wanted
      ? [
          say`${precise(mm(lies.uneven), 3)} of it is no slope but unevenness: a lighter last cut over the whole face takes it out.`,
        ]
      : []),
  ];
}
