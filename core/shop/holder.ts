import { cutterKindFacts } from "../handbook/index.ts";
import { extent, type Mm, mm } from "../quantity/index.ts";
import { done, type Outcome, refused, rule, say, words } from "../working/index.ts";
import * as z from "../zod.ts";
import type { Cutter } from "./cutter.ts";

export const holderKinds = ["collet", "endMillHolder", "drillChuck", "shellArbor", "arbor"] as const;
export type HolderKind = (typeof holderKinds)[number];

export const holderWords: Record<HolderKind, string> = {
  collet: "collet",
  endMillHolder: "end-mill holder",
  drillChuck: "drill chuck",
  shellArbor: "stub for shell and face mills",
  arbor: "arbor with collars",
};

export const holderSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1),
  retired: z.boolean(),
  kind: z.enum(holderKinds),
  /** Shank or bore it takes, mm: from and to are equal for one size. */
  from: extent,
  to: extent,
  /** From the spindle nose to where the cutter leaves it, mm. */
  reach: z.number().min(0).max(2000),
  /** Arbor: collar diameter, and length between spindle nose and overarm support, mm; null for other holders. */
  collar: extent.nullable(),
  span: extent.nullable(),
  /** Arbor: whether its end runs in an overarm support. */
  supported: z.boolean(),
  /** How tight a cutter is drawn in, in the shop's words: "firm, then a quarter turn"; empty while nobody said. */
  tightness: z.string().default(""),
});
export type Holder = z.infer<typeof holderSchema>;

/** Tools of the hole turn on their own axis and feed along it: these a drill chuck may hold. */
const forDrillChuck = new Set(["spotDrill", "twistDrill", "reamer", "countersink", "counterbore", "tap"]);

/** Whether a holder takes a cutter: kind, then size. */
export function takes(holder: Holder, cutter: Cutter): boolean {
  const { mount } = cutterKindFacts[cutter.kind];
  const kindFits =
    mount === "arbor"
      ? holder.kind === "arbor"
      : mount === "shell"
        ? holder.kind === "shellArbor"
        : holder.kind === "drillChuck"
          ? forDrillChuck.has(cutter.kind)
          : holder.kind === "collet" || holder.kind === "endMillHolder";
  return kindFits && cutter.shank >= holder.from - 1e-6 && cutter.shank <= holder.to + 1e-6;
}

interface WithHolders {
  holders: Holder[];
}

/** Owned holders a cutter goes in. */
export const holdersFor = (cutter: Cutter, shop: WithHolders): Holder[] =>
  shop.holders.filter((holder) => !holder.retired && takes(holder, cutter));

/**
 * The holder a cutter stands in: the one chosen for it, else the first that takes it. Null when nothing is known of holders.
 * M45: an end mill in a drill chuck or in a collet of another size walks out; it is refused and the owned holder named.
 */
export function holderOf(cutter: Cutter, shop: WithHolders): Outcome<Holder | null> {
  const fitting = holdersFor(cutter, shop);
  const chosen = shop.holders.find((h) => h.id === cutter.holder);
  if (chosen && takes(chosen, cutter)) return done(chosen);
  const named = fitting[0]
    ? say`Put it in the ${fitting[0].name}.`
    : say`No holder in the shop takes a ${mm(cutter.shank)} shank: enter or get one.`;
  if (chosen) {
    return refused(
      chosen.kind === "drillChuck"
        ? rule("M45.chuck")`${cutter.name} is in a drill chuck: side load will walk it out.`
        : rule(
            "M45.holder",
          )`${cutter.name} has a shank of ${mm(cutter.shank)}; ${chosen.name} takes ${mm(chosen.from)} to ${mm(chosen.to)}: it would slip or walk out.`,
      named,
    );
  }
  if (fitting[0]) return done(fitting[0]);
  return shop.holders.length === 0
    ? done(null)
    : refused(
        rule("M45.none")`No holder in the shop takes ${cutter.name}, shank or bore ${mm(cutter.shank)}.`,
        words("Enter the holder it goes in, or correct its shank in the shop."),
      );
}

/** A holder's usual reach when none is entered, mm. */
const usualReach = 40;

/** From the spindle nose to the cutting end, mm. */
export function reachOf(cutter: Cutter, shop: WithHolders): Mm {
  const holder = holderOf(cutter, shop);
  return cutter.stickout + (holder.ok && holder.value ? holder.value.reach : usualReach);
}
