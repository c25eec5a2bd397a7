import { type BatchOrder, batchOrders } from "../job/index.ts";
import { type Minutes, quantity } from "../quantity/index.ts";
import { cutterOf, type Setup } from "../route/index.ts";
import { axisOfStep, type Step, stayingSteps } from "../steps/index.ts";
import { line, say, words, type Working } from "../working/index.ts";
import type { PieceStanding } from "./batch.ts";
import type { Plan } from "./plan.ts";

/** What an order of several pieces takes. */
export interface OrderCost {
  order: BatchOrder;
  minutes: Minutes;
  /** How often a cutter is put in, and how often a zero is taken. */
  cutters: number;
  zeros: number;
  working: Working;
}

/** What of a setup is done anew for every piece, and what is set once while piece after piece goes through it. */
interface SetupShare {
  once: Minutes;
  cutters: number;
  zeros: number;
  /** Of those what must be done for every piece all the same. */
  againCutters: number;
  againZeros: number;
}

/** How a setup's minutes fall to each piece and to setting it: what stays is what the machine then offers to keep. */
function shareOf(setup: Setup, all: readonly Step[]): SetupShare {
  const mine = new Set<string>(setup.operations.map((o) => o.key));
  const steps = all.filter((s) => mine.has(s.op));
  const stays = stayingSteps(setup, steps);
  const used = setup.operations.map(cutterOf).filter((c) => c !== null);
  const cutters = used.filter((c, i) => c !== used[i - 1]).length;
  const zeros = steps.filter(axisOfStep).length;
  const toolStays = stays.some((s) => !axisOfStep(s) && s.id !== "finder");
  const once = Math.min(
    stays.reduce((sum, s) => sum + s.minutes, 0),
    setup.minutes.handling,
  );
  return {
    once,
    cutters,
    zeros,
    againCutters: toolStays ? 0 : cutters,
    againZeros: zeros - stays.filter(axisOfStep).length,
  };
}

/**
 * Orders of several pieces compared by the minutes of the plan: set once, a stop, a zero and a cutter serve all pieces that go through
 * one setup after the other.
 */
export function batchOrdersOf(
  { setups, steps, minutes: planned }: Pick<Plan, "setups" | "steps" | "minutes">,
  pieces: number,
): OrderCost[] {
  const shares = setups.map((setup) => shareOf(setup, steps));
  const sum = (of: (share: SetupShare) => number) => shares.reduce((total, share) => total + of(share), 0);
  const whole = planned.total;
  const once = sum((s) => s.once);
  return batchOrders
    .filter((order) => order !== "first" || pieces > 2)
    .map((order): OrderCost => {
      // Alone through all setups, and in a row behind another.
      const alone = order === "piece" ? pieces : order === "first" ? 2 : 1;
      const behind = pieces - alone;
      const minutes = alone * whole + behind * (whole - once);
      return {
        order,
        minutes,
        cutters: alone * sum((s) => s.cutters) + behind * sum((s) => s.againCutters),
        zeros: alone * sum((s) => s.zeros) + behind * sum((s) => s.againZeros),
        working: {
          key: "",
          title: say`Working: minutes of ${quantity("count", pieces)} pieces`,
          lines: [
            line("one piece alone through all setups, as planned", quantity("time", whole)),
            line("of that to set cutters and zeros that can stay", quantity("time", once)),
            line("pieces for which all of it is set", quantity("count", alone)),
            line("pieces that find it set", quantity("count", behind)),
            line("all pieces", quantity("time", minutes), { sum: true }),
          ],
          limits: [],
          notes: [
            words(
              "X stays where a stop stands at the end of the part, Z where one cutter does all of a setup and no finder goes in, a face only where blanks are alike. Handling times are guesses until your own are known.",
            ),
          ],
        },
      };
    });
}

/** Why an order: what speaks for it besides its minutes. */
export const orderReasons: Record<BatchOrder, string> = {
  piece:
    "Each piece shows early what the plan does wrong, and no more than one is spoiled by it. Every setting is made anew.",
  first: "The first piece proves the plan to its end. Then every stop and zero is set once for the others.",
  setup:
    "Every stop and zero is set once. A mistake of a setup is in all pieces before the first is finished.",
};

/**
 * The piece to go on with, by the order of the batch; null where it is this one. Setup by setup the piece furthest back comes next;
 * first the first piece alone, where it is to prove the plan.
 */
export function nextPiece(
  order: BatchOrder,
  pieces: readonly PieceStanding[],
  piece: number,
): PieceStanding | null {
  const open = pieces.filter((p) => !p.scrapped && p.setup !== null && p.done < p.steps);
  const mine = pieces.find((p) => p.piece === piece);
  const through = (p: PieceStanding) => p.setup ?? Infinity;
  const [first] = pieces.filter((p) => !p.scrapped);
  // The first piece proves the plan: until it is through, no other is cut.
  const proving = order === "first" && first !== undefined && open.includes(first) ? first : null;
  const next =
    proving ??
    (order === "piece"
      ? (open.find((p) => p.begun) ?? open[0])
      : [...open].sort((a, b) => through(a) - through(b) || a.piece - b.piece)[0]);
  if (!next || next.piece === piece) return null;
  if (proving) return proving;
  // A piece that lies in the machine is not taken out for another of the same setup.
  if (mine && open.includes(mine) && order !== "piece" && through(mine) <= through(next)) return null;
  if (mine && open.includes(mine) && order === "piece" && mine.begun) return null;
  return next;
}
