import { type Accused, accuse, type Seen, spreadOf, type Suspect, suspectsOf } from "../inspect/index.ts";
import { type Job, paperOf } from "../job/index.ts";
import { cuttingDiameter, edgeFinderOf, type Machine, type Shop } from "../shop/index.ts";
import { keyOfSetup } from "../route/index.ts";
import { askewBy } from "./advice.ts";
import type { Plan } from "./plan.ts";
import { seenOf } from "./seen-readings.ts";

/** So much likelier, as a natural logarithm, a cause must make the readings before it is named (guess). */
const leastWeight = 3;
/** A cause that explains less of what is seen is not named: then several things went wrong, or none that is known (guess). */
const leastExplained = 0.2;
/** A rival so much less likely than the first is none, as a natural logarithm (guess). */
const farBehind = 10;
/** So many rivals are named for one thing, and so many things. */
const mostRivals = 2;
const mostThings = 2;

/** A cause that is named, as it is shown. */
export interface Suspicion extends Omit<Accused, "suspect"> {
  suspect: Pick<Suspect, "id" | "says" | "test">;
}

const shown = ({ suspect: { id, says, test }, ...accused }: Accused): Suspicion => ({
  ...accused,
  suspect: { id, says, test },
});

/**
 * What most likely made the sizes of a piece what they are: the likeliest with its rivals, then for what it leaves unexplained the
 * next; empty where the sizes are as meant, or where nothing fits.
 */
export function suspicions(made: Plan, job: Job, shop: Shop, machine: Machine | undefined): Suspicion[][] {
  if (!machine) return [];
  // What is good has nothing to explain, however far it lies from the middle of its limits.
  const isBad = (r: Plan["requirements"][number]) =>
    askewBy(r, job.part.parallelism) !== null ||
    (r.verdict !== null && r.verdict.verdict !== "good" && r.verdict.verdict !== "withinU" && !r.accepted);
  const seen = made.requirements.map((r) => ({ bad: isBad(r), of: seenOf(r, made, job.part, machine) }));
  const bad = new Set(seen.flatMap((s) => (s.bad ? s.of : [])));
  const readings = seen.flatMap((s) => s.of);
  if (![...bad].some((r) => Math.abs(r.off) > 3 * spreadOf(r))) return [];
  const used = new Set(readings.flatMap((r) => r.cutter ?? []));
  const axis = (name: "x" | "y" | "z") => {
    const { lead, division, backlash } = machine.axes[name];
    return { lead, division, slack: Math.max(backlash, 1e-3) };
  };
  const facts = {
    axes: { x: axis("x"), y: axis("y"), z: axis("z") },
    cutters: shop.cutters
      .filter((c) => used.has(c.id))
      .map((c) => ({ id: c.id, name: c.name, diameter: cuttingDiameter(c) })),
    finder: edgeFinderOf(shop)?.from ?? null,
    paper: paperOf(Object.values(job.overrides.byId)),
    setups: made.setups.map((s) => ({ id: keyOfSetup(s), name: `setup ${s.clamping}` })),
  };
  const things: Suspicion[][] = [];
  let left: Seen[] = readings;
  // What does not show in anything bad is not to be answered for.
  const toAnswer = (suspect: Suspect) => [...bad].some((r) => suspect.shows(r) !== 0);
  while (things.length < mostThings) {
    const all = accuse(left, suspectsOf(facts, left)).filter(
      (a) => a.weight > leastWeight && a.explains >= leastExplained && toAnswer(a.suspect),
    );
    const rivals = all.filter((a) => a.weight > all[0]!.weight - farBehind).slice(0, mostRivals);
    const [first] = rivals;
    if (!first) break;
    things.push(rivals.map(shown));
    left = left.map((r) => ({ ...r, off: r.off - first.amount * first.suspect.shows(r) }));
  }
  return things;
}
