import type { Job } from "../job/index.ts";
import { setupWith } from "../route/index.ts";
import { effective, type Record as JobRecord } from "../steps/index.ts";
import { counted, rule, warn, type Warning } from "../working/index.ts";
import type { Plan } from "./plan.ts";

/**
 * What the readings say of a whole piece: all good; something that is not; all read, and not sure of a size; or not all read yet,
 * or not all cut.
 */
export type PieceVerdict = "good" | "notGood" | "unsure" | "open";

/** Where one piece of a job stands. */
export interface PieceStanding {
  piece: number;
  /** It will never be good: why, and the record that says so. */
  scrapped: { id: string; reason: string } | null;
  begun: boolean;
  /** Steps done, of all. */
  done: number;
  steps: number;
  /** Setup of the step to do now; null where there is none. */
  setup: number | null;
  /** How far each clamping is, in their order. */
  setups: { clamping: number; done: number; steps: number }[];
  verdict: PieceVerdict;
}

/** All pieces of a job together. */
export interface Batch {
  wanted: number;
  pieces: PieceStanding[];
  good: number;
  scrapped: number;
  /** Pieces that are not scrapped. */
  possible: number;
  /** What does not add up (M36). */
  warnings: Warning[];
}

/** The pieces of a job: those that are wanted, those begun in place of others, and any that records speak of. */
export function piecesOf(
  { quantity, added }: Pick<Job, "quantity" | "added">,
  records: readonly JobRecord[],
) {
  const planned = Array.from({ length: quantity + added }, (_, i) => i + 1);
  return [...new Set([...planned, ...records.map((r) => r.piece)])].sort((a, b) => a - b);
}

/** The record that scrapped a piece, where one did and was not taken back. */
export function scrappedIn(records: readonly JobRecord[], piece: number): PieceStanding["scrapped"] {
  const said = effective([...records]).findLast((r) => r.piece === piece && r.type === "scrapped");
  return said?.type === "scrapped" ? { id: said.id, reason: said.reason } : null;
}

/** What the readings of a plan's piece come to. */
export function verdictOf({ requirements, missing }: Pick<Plan, "requirements" | "missing">): PieceVerdict {
  // What was accepted as it is counts as good; the sheet goes on saying what it is.
  const verdicts = requirements
    .filter((r) => r.required || r.verdict)
    .map((r) => (r.accepted ? "good" : (r.verdict?.verdict ?? null)));
  if (verdicts.some((v) => v === "under" || v === "over" || v === "rework")) return "notGood";
  if (verdicts.length === 0 || missing.length > 0 || verdicts.includes(null)) return "open";
  return verdicts.every((v) => v === "good") ? "good" : "unsure";
}

/** Where a piece stands by its plan. */
export function standingOf(made: Plan, records: readonly JobRecord[], piece: number): PieceStanding {
  const now = made.steps[made.current];
  return {
    piece,
    scrapped: scrappedIn(records, piece),
    begun: made.cutBegun,
    done: made.steps.filter((s) => s.done).length,
    steps: made.steps.length,
    setup: now ? (setupWith(made.setups, now.op)?.clamping ?? null) : null,
    setups: clampingsOf(made),
    verdict: verdictOf(made),
  };
}

/** Whether a piece is one of those that are measured: the first, every so many after it, and the last. */
export const isMeasured = (piece: number, every: number, pieces: readonly number[]): boolean =>
  piece === pieces[0] || piece === pieces.at(-1) || pieces.indexOf(piece) % every === 0;

/** Steps by the clamping they are done in. */
function clampingsOf({ setups, steps }: Pick<Plan, "setups" | "steps">): PieceStanding["setups"] {
  const clampingAt = new Map(setups.map((s) => [s.number, s.clamping]));
  const found = new Map<number, { clamping: number; done: number; steps: number }>();
  for (const step of steps) {
    const clamping = clampingAt.get(step.setup);
    if (clamping === undefined) continue;
    const known = found.get(clamping) ?? { clamping, done: 0, steps: 0 };
    found.set(clamping, { clamping, done: known.done + (step.done ? 1 : 0), steps: known.steps + 1 });
  }
  return [...found.values()].sort((a, b) => a.clamping - b.clamping);
}

/** Counts the pieces, and says where planned, cut, good and scrapped do not add up (M36). */
export function batchOf(
  { quantity: wanted, added }: Pick<Job, "quantity" | "added">,
  pieces: PieceStanding[],
): Batch {
  const left = pieces.filter((p) => !p.scrapped);
  const good = left.filter((p) => p.verdict === "good").length;
  const beyond = pieces.filter((p) => p.piece > wanted + added && p.begun);
  const cut = left.filter((p) => p.steps > 0 && p.done === p.steps);
  const short = wanted - left.length;
  const warnings = [
    ...(short > 0
      ? [
          warn(
            rule(
              "M36.short",
            )`${counted(wanted, "is", "are")} required, and only ${left.length} can still be good. Add ${short} in place of what was scrapped.`,
          ),
        ]
      : []),
    ...(beyond.length > 0
      ? [
          warn(
            rule(
              "M36.beyond",
            )`${named(beyond, "was", "were")} cut, and only ${counted(wanted + added, "is", "are")} planned. Raise the quantity on the Drawing.`,
          ),
        ]
      : []),
    ...[
      ["notGood", "not good: rework, or scrap."] as const,
      ["open", "cut, but not all of the sizes are measured. Measure them."] as const,
      ["unsure", "measured, but not certain to be good. Measure with a finer instrument, or scrap."] as const,
    ].flatMap(([verdict, then]) => {
      const which = cut.filter((p) => p.verdict === verdict);
      return which.length > 0 ? [warn(rule("M36.open")`${named(which, "is", "are")} ${then}`)] : [];
    }),
  ];
  return { wanted, pieces, good, scrapped: pieces.length - left.length, possible: left.length, warnings };
}

const named = (pieces: readonly PieceStanding[], one: string, many: string): string =>
  pieces.length === 1
    ? `Piece ${pieces[0]!.piece} ${one}`
    : `Pieces ${pieces.map((p) => p.piece).join(", ")} ${many}`;
