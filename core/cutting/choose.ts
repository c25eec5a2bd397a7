import { wordsFor } from "../handbook/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import type { Cutter } from "../shop/index.ts";
import { done, type Outcome, type Phrase, type Refusal, refused, say, words } from "../working/index.ts";
import type { Cut } from "./cut.ts";
import type { CutPlace } from "./ready.ts";
import { rememberedCut } from "./remembered.ts";
import type { CutTask } from "./task.ts";

export interface CutChoice {
  best: Cut;
  /** Why it won, and what the next one would cost. */
  why: Phrase;
  /** The others that can do it, best first. */
  others: Cut[];
  refused: { cutter: string; refusal: Refusal }[];
}

const better = (a: Cut, b: Cut): number =>
  a.against - b.against || a.minutes - b.minutes || (a.cutter < b.cutter ? -1 : 1);

/**
 * The best of the owned cutters for a task: nothing against it first (skin, wear, rating), then the quickest; equal ones go
 * by id. A cutter the person chose is taken when it can do the cut. Refuses with what would do when none can.
 */
export function chooseCut(task: CutTask, cutters: Cutter[], place: CutPlace): Outcome<CutChoice> {
  const possible: Cut[] = [];
  const no: CutChoice["refused"] = [];
  for (const cutter of cutters) {
    const outcome = rememberedCut(task, cutter, place);
    if (outcome.ok) possible.push(outcome.value);
    else no.push({ cutter: cutter.id, refusal: outcome });
  }
  possible.sort(better);
  const chosen = possible.find((c) => c.cutter === task.own.cutter);
  const best = chosen ?? possible[0];
  if (!best) return nothingFits(task, cutters, no);
  const others = possible.filter((c) => c !== best);
  return done({ best, why: whyBest(best, others, cutters, chosen !== undefined), others, refused: no });
}

function whyBest(best: Cut, others: Cut[], cutters: Cutter[], chosen: boolean): Phrase {
  const next = others[0];
  const nameOf = (id: string) => cutters.find((c) => c.id === id)?.name ?? id;
  if (!next) return words("The only one in the shop that can do this cut.");
  const difference = next.minutes - best.minutes;
  const cost =
    difference >= 0
      ? say`${nameOf(next.cutter)} is ${quantity("time", difference)} slower`
      : say`${nameOf(next.cutter)} is ${quantity("time", -difference)} quicker`;
  if (chosen) return say`Your choice; ${cost}.`;
  if (best.against < next.against)
    return say`Best for this${next.warnings.some((w) => w.phrase.id === "M19.skin") ? ": the skin would dull the others" : ""}; ${cost}.`;
  return say`Quickest of your cutters; ${cost}.`;
}

/** What would do when no owned cutter does: the size asked for, and the refusal that came closest. */
function nothingFits(task: CutTask, cutters: Cutter[], no: CutChoice["refused"]): Refusal {
  if (cutters.length === 0)
    return refused(words("There is no cutter in the shop for this cut."), words("Enter one in the shop."));
  // Closest is a cutter of the right kind that only lacks length, depth or a holder.
  const closest =
    no.find(({ refusal }) => refusal.reason.id === "M21.nothing") ??
    no.find(({ refusal }) => refusal.reason.id?.startsWith("M20")) ??
    no.find(({ refusal }) => refusal.reason.id?.startsWith("M45")) ??
    no.at(-1)!;
  const wanted =
    task.kind === "side"
      ? say`An end mill with flutes of at least ${mm(task.across + task.proud + 1)} would do.`
      : task.kind === "slot"
        ? say`An end mill of at most ${mm(task.across)} with flutes of ${mm(task.total)} would do.`
        : task.kind === "groove"
          ? say`A ${wordsFor.cutterKind.sideAndFace} or saw at most ${mm(task.across)} wide would do.`
          : task.kind === "slab"
            ? say`A ${wordsFor.cutterKind.slabMill} for the arbor would do.`
            : say`A face mill or end mill would do.`;
  return refused(closest.refusal.reason, say`${closest.refusal.suggestion} ${wanted}`);
}
