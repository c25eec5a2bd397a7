import type { CutComparison } from "../../../core/plan/index.ts";
import { showQuantity, mm, quantity, showParts } from "../../../core/quantity/index.ts";
import { conditionsOf, cutterOf, type Operation, isRework, type Setup } from "../../../core/route/index.ts";
import { settingsNear, speedSpan } from "../../../core/shop/index.ts";
import { words } from "../../../core/working/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { type OwnRead, readOwnLength } from "../../instruments/own-value.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import type { OwnEntry } from "./own-figure.tsx";

/** What a person can set of a cut, in the order it is told. */
export const settableKinds = ["cutter", "speed", "feed", "depth", "finish", "direction"] as const;
export type Settable = (typeof settableKinds)[number];

/** How a figure is called where it is set. */
export const nameOf: Record<Settable, string> = {
  cutter: "cutter",
  speed: "spindle speed",
  feed: "feed",
  depth: "depth per pass",
  finish: "last pass",
  direction: "direction",
};

/** A number above zero, told by its name where it is none. */
const readNumber =
  (factor: number, name: string, more = "") =>
  (text: string): OwnRead => {
    const value = Number(text.trim().replace(",", "."));
    return Number.isFinite(value) && value > 0
      ? { ok: true, value: value * factor, said: more }
      : { ok: false, problem: words(`Type the ${name} as a number.`) };
  };

/** How each figure of a cut is set here: typed, or chosen of what the shop has; null where it cannot be. */
export function useOwnEntry(
  setup: Setup,
  operation: Operation,
  comparison: CutComparison | null,
): (what: Settable) => OwnEntry | null {
  const { shop, unit } = useJob();
  const { machine } = useEquipment(setup);
  const own = useOverrides(operation.key);
  const { cut } = operation;
  const set = conditionsOf(operation);
  const cutter = cutterOf(operation);
  // What is cut once more is cut as it was the first time: it has nothing of its own to set.
  if (!set || !cutter || !machine || isRework(operation.key)) return () => null;
  const called = (id: string) => shop.cutters.find((c) => c.id === id)?.name ?? id;
  const length = (value: number): OwnEntry => ({
    by: "typing",
    text: showParts(mm(value), unit, unit === "mm" ? 2 : 4).number,
    read: (text) => readOwnLength(text, unit, "Depth must be above zero."),
  });
  const entries: Record<Settable, () => OwnEntry | null> = {
    cutter: () => {
      const others: readonly { cutter: string; minutes: number | null }[] =
        operation.by === "face" ? (comparison?.ranking ?? []) : operation.others;
      const can = others.flatMap((o) =>
        o.minutes === null || o.cutter === cutter ? [] : [{ ...o, minutes: o.minutes }],
      );
      return {
        by: "choice",
        chosen: cutter,
        keeps: (id) => id,
        options: [
          [cutter, called(cutter)],
          ...can.map(
            (o) =>
              [o.cutter, `${called(o.cutter)}, ${showQuantity(quantity("time", o.minutes), unit)}`] as const,
          ),
        ],
      };
    },
    speed: () => {
      if (machine.ranges.some((r) => r.speeds.kind !== "steps"))
        return {
          by: "typing",
          text: String(set.rpm),
          read: readNumber(1, "speed", `${machine.name} turns ${speedSpan(machine).join(" to ")} rpm`),
        };
      const near = comparison?.speeds ?? settingsNear(machine, set.rpm);
      const all = near.some((s) => s.rpm === set.rpm) ? near : [set, ...near];
      return {
        by: "choice",
        chosen: String(set.rpm),
        keeps: Number,
        options: all.map((s) => [String(s.rpm), `${s.rpm} rpm, ${s.setting}`] as const),
      };
    },
    feed: () => ({
      by: "typing",
      text: showParts(quantity("feed", set.vf), unit).number,
      read: readNumber(unit === "mm" ? 1 : 25.4, "feed", unit === "mm" ? "mm/min" : "in/min"),
    }),
    depth: () => (cut ? length(cut.depth) : null),
    finish: () => (cut ? length(cut.passes.at(-1)?.depth ?? 0) : null),
    direction: () => ({
      by: "choice",
      chosen: own.reportOf("direction") ? "climb" : "conventional",
      keeps: (direction) => (direction === "climb" ? "climb" : null),
      options: [
        ["conventional", "against the feed (conventional)"],
        ["climb", "with the feed (climb)"],
      ],
    }),
  };
  return (what) => entries[what]();
}
