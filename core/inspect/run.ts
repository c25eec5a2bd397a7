import { type Mm, tidy } from "../quantity/index.ts";

/** An indicator run along an edge or face, as it was read: in its divisions, sign by its side. */
export interface IndicatorRun {
  start: number;
  end: number;
  /** Highest and lowest on the way; left out where only the ends were read. */
  high: number | null;
  low: number | null;
}

export interface RunFound {
  /** Highest less lowest, mm. */
  total: Mm;
  /** End less start: what a shim or a tap takes out, mm; plus where it rises to the end. */
  slope: Mm;
  /** What is left once the slope is out: hollow, wavy or bouncing, mm. */
  wave: Mm;
  /** The slope over 100 mm; null where the length of the run is not known. */
  per100: Mm | null;
}

/**
 * What an indicator run says. The needle may begin anywhere: only differences count.
 * @param division of the indicator, mm
 * @param length of the run, mm; null where it is not known
 * @returns null where the highest lies below the ends or the lowest above them, or a division or length is none
 */
export function runOf(
  { start, end, high, low }: IndicatorRun,
  division: Mm,
  length: Mm | null,
): RunFound | null {
  const top = high ?? Math.max(start, end);
  const bottom = low ?? Math.min(start, end);
  const read = [start, end, top, bottom, division];
  if (!read.every(Number.isFinite) || !(division > 0) || (length !== null && !(length > 0))) return null;
  if (top < Math.max(start, end) - 1e-9 || bottom > Math.min(start, end) + 1e-9) return null;
  const slope = (end - start) * division;
  const total = (top - bottom) * division;
  return {
    total: tidy(total),
    slope: tidy(slope),
    wave: tidy(total - Math.abs(slope)),
    per100: length === null ? null : tidy((slope / length) * 100),
  };
}

/** Whether to take an edge true by a skim or to set it anew by the indicator. */
export interface SkimOrSet {
  /** Least depth that cleans the edge all along: slope and waves, and a finishing cut; mm. */
  skim: Mm;
  better: "skim" | "set";
}

/** A skim below the lowest place, mm (guess). */
const finishing: Mm = 0.1;

/**
 * A skim takes slope and waves together out, where the size has that much left; setting it anew takes only the slope.
 * @param skimMinutes of a pass over it, setMinutes of indicating it anew
 */
export function skimOrSet(run: RunFound, spare: Mm, skimMinutes: number, setMinutes: number): SkimOrSet {
  const skim = tidy(run.total + finishing);
  const wavy = run.wave > Math.abs(run.slope);
  return { skim, better: skim <= spare && (wavy || skimMinutes <= setMinutes) ? "skim" : "set" };
}

/**
 * A reading typed in divisions of the indicator: "6 div", or a whole run, "0 4 5 -1 div" for start, end, highest and lowest.
 * @returns mm, the run where one was typed; null where no divisions were typed, or they make no run
 */
export function divisionsTyped(text: string, division: Mm): { value: Mm; run: RunFound | null } | null {
  const typed = /^([-+−\d.,/\s]+?)\s*div(?:isions?)?\.?$/i.exec(text.trim());
  if (!typed || !(division > 0)) return null;
  const figures = typed[1]!
    .replaceAll("−", "-")
    .split(/[\s/]+/)
    .filter((t) => t !== "")
    .map((t) => Number(t.replace(",", ".")));
  if (figures.length === 0 || !figures.every(Number.isFinite)) return null;
  const [start, end, high, low] = figures;
  if (figures.length === 1) return { value: tidy(start! * division), run: null };
  const run = runOf({ start: start!, end: end!, high: high ?? null, low: low ?? null }, division, null);
  return figures.length <= 4 && run ? { value: run.total, run } : null;
}
