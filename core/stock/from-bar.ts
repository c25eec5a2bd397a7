import { type Axis, axisNames, type Sizes } from "../frame/index.ts";
import { type SkinOf, skinOf, usualConditions } from "../handbook/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import { type Bar, freeLength } from "../shop/index.ts";

/** What a bar has to give for one blank. */
export interface WantedBlank {
  /** Finished sizes, at the most their limits allow; of a shaft width and height are its largest diameter. mm */
  finished: Sizes;
  /** It is turned already or is to be turned: its length lies along the bar, and only a round holds it. */
  shaft: boolean;
  material: string;
  skinOf?: SkinOf;
  /** Left to mill at each sawn end, what the saw takes, and how far its cut runs out over 100 of section; mm. */
  facing: Mm;
  kerf: Mm;
  runsOut: Mm;
}

/** How a blank is cut from a bar. All mm. */
export interface BarBlank {
  along: Axis;
  /** Which part sizes lie along the width and the thickness of a flat. */
  across: { wide: Axis; thick: Axis };
  /** From saw cut to saw cut. */
  sawLength: Mm;
  /** From one saw cut to the next with the stop left where it is: length and kerf. */
  pitch: Mm;
  /** What the cut may run out over this section; it is in the saw length once. */
  runOut: Mm;
  /** Blanks the free length gives. */
  gives: number;
  /** Metal of a blank that is milled away, mm³. */
  waste: number;
}

/** Why a bar gives no blank: it is of something else, too small by so much across at its best, too short by so much, or of a wrong form. */
export type NotFromBar =
  { why: "material" } | { why: "section"; short: Mm } | { why: "length"; short: Mm } | { why: "round" };

/** How much a rectangle lies outside a section where it fits best, mm; 0 or less where it lies within. */
function outside({ section, across, thick }: Pick<Bar, "section" | "across" | "thick">, w: Mm, h: Mm): Mm {
  switch (section) {
    case "flat":
      return Math.max(w - across, h - thick);
    case "round":
      return Math.hypot(w, h) - across;
    case "hex":
      // Two flats lie at the height, the corners at the width.
      return Math.max(h - across, (Math.sqrt(3) / 2) * w + h / 2 - across);
  }
}

const areaOf = ({ section, across, thick }: Pick<Bar, "section" | "across" | "thick">): number =>
  section === "flat"
    ? across * thick
    : section === "round"
      ? (Math.PI * across ** 2) / 4
      : (Math.sqrt(3) / 2) * across ** 2;

/** The same for a bar: its section in mm², for weight and sawing. */
export const sectionArea = areaOf;

/** The thickest and the thinnest a saw meets in a section, mm: it cuts through the thinner of a flat with the wide side down. */
export const throughSection = ({ section, across, thick }: Pick<Bar, "section" | "across" | "thick">) =>
  section === "flat"
    ? { thin: Math.min(across, thick), wide: Math.max(across, thick) }
    : { thin: across, wide: across };

/** The best way to cut a blank from a bar: the one with the least metal to mill away; else why not. */
export function blankFromBar(bar: Bar, wanted: WantedBlank): BarBlank | NotFromBar {
  if (bar.material !== wanted.material) return { why: "material" };
  if (wanted.shaft && bar.section !== "round") return { why: "round" };
  const sides = usualConditions[bar.form].sides;
  const skins = tidy(2 * skinOf(sides, wanted.skinOf).skin);
  const { finished } = wanted;
  const ways = wanted.shaft
    ? [
        {
          along: "length" as Axis,
          across: { wide: "width" as Axis, thick: "height" as Axis },
          short: finished.width + skins - bar.across,
        },
      ]
    : axisNames.flatMap((along) => {
        const [a, b] = axisNames.filter((axis) => axis !== along) as [Axis, Axis];
        return [
          { wide: a, thick: b },
          { wide: b, thick: a },
        ].map((across) => ({
          along,
          across,
          short: outside(bar, finished[across.wide] + skins, finished[across.thick] + skins),
        }));
      });
  const fitting = ways.filter((way) => way.short <= 1e-9);
  if (fitting.length === 0) return { why: "section", short: tidy(Math.min(...ways.map((w) => w.short))) };
  const volume = wanted.shaft
    ? (Math.PI * finished.width ** 2 * finished.length) / 4
    : finished.length * finished.width * finished.height;
  const runOut = tidy((wanted.runsOut * throughSection(bar).wide) / 100);
  const free = freeLength(bar);
  const made = fitting.map(({ along, across }): BarBlank => {
    const sawLength = tidy(finished[along] + 2 * wanted.facing + runOut);
    const pitch = tidy(sawLength + wanted.kerf);
    return {
      along,
      across,
      sawLength,
      pitch,
      runOut,
      // The last cut of a bar that is used up is none.
      gives: Math.max(0, Math.floor((free + wanted.kerf) / pitch + 1e-9)),
      waste: areaOf(bar) * sawLength - volume,
    };
  });
  const best = made.reduce((a, b) =>
    Math.min(b.gives, 1) > Math.min(a.gives, 1) ||
    (Math.min(b.gives, 1) === Math.min(a.gives, 1) && b.waste < a.waste - 1e-6)
      ? b
      : a,
  );
  return best.gives > 0 ? best : { why: "length", short: tidy(best.sawLength - free) };
}

export interface BarChoice {
  bar: Bar;
  of: BarBlank | NotFromBar;
}

export const givesBlank = (choice: BarChoice): choice is BarChoice & { of: BarBlank } => "gives" in choice.of;

/**
 * The bars of a rack for so many blanks, the best first: those that give all of them, with the least to mill away; of alike an
 * off-cut before a bar, then the shorter. Bars that give none come last, the nearest first.
 */
export function barsFor(rack: readonly Bar[], wanted: WantedBlank, count: number): BarChoice[] {
  const order = { section: 1, length: 0, round: 2, material: 3 } as const;
  return rack
    .filter((bar) => !bar.retired)
    .map((bar): BarChoice => ({ bar, of: blankFromBar(bar, wanted) }))
    .sort((a, b) => {
      if (!givesBlank(a) || !givesBlank(b)) {
        if (givesBlank(a) !== givesBlank(b)) return givesBlank(a) ? -1 : 1;
        const [x, y] = [a.of as NotFromBar, b.of as NotFromBar];
        const short = (of: NotFromBar) => ("short" in of ? of.short : 0);
        return order[x.why] - order[y.why] || short(x) - short(y);
      }
      const all = Number(b.of.gives >= count) - Number(a.of.gives >= count);
      if (all !== 0) return all;
      if (Math.abs(a.of.waste - b.of.waste) > 1) return a.of.waste - b.of.waste;
      return Number(b.bar.offcut) - Number(a.bar.offcut) || freeLength(a.bar) - freeLength(b.bar);
    });
}

/**
 * How long a bar must be for so many alike, or how long each can be from a bar: with a kerf between two, and facing at both ends of
 * each. @returns null where nothing is left for them
 */
export function piecesFromBar(asked: {
  count: number;
  facing: Mm;
  kerf: Mm;
  /** Sawn off the end of the bar first; 0 for none. */
  trim: Mm;
  finished?: Mm;
  bar?: Mm;
}): { bar: Mm; finished: Mm; pitch: Mm; sawLength: Mm } | null {
  const { count, facing, kerf, trim, finished, bar } = asked;
  if (!Number.isInteger(count) || count < 1 || !(facing >= 0) || !(kerf >= 0) || !(trim >= 0)) return null;
  const end = trim > 0 ? trim + kerf : 0;
  const sawLength =
    finished !== undefined
      ? finished + 2 * facing
      : bar !== undefined
        ? (bar - end - (count - 1) * kerf) / count
        : NaN;
  const each = finished ?? sawLength - 2 * facing;
  if (!(each > 0)) return null;
  return {
    bar: tidy(bar ?? end + count * sawLength + (count - 1) * kerf),
    finished: tidy(each),
    sawLength: tidy(sawLength),
    pitch: tidy(sawLength + kerf),
  };
}
