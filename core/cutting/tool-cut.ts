import { feedPerTooth, feedPerTurn } from "../handbook/index.ts";
import { type Mm, type MmPerMin, mm, type Rpm } from "../quantity/index.ts";
import { type AxisScrew, type Cutter, cuttingDiameter, holderOf } from "../shop/index.ts";
import { done, type Outcome, refused, rule, say, type Warning } from "../working/index.ts";
import { tapFeed } from "./drilling.ts";
import { chooseFeed, plainFz, tableFeed } from "./feed.ts";
import { slowedFor } from "./plunge.ts";
import type { CutPlace } from "./ready.ts";
import { chooseSpeed } from "./speed.ts";

/** What is set for a tool of the hole or a form cutter. */
export interface ToolCut {
  rpm: Rpm;
  setting: string;
  vf: MmPerMin;
  feedBy: "power" | "hand";
  /** Seconds a turn of the handle that feeds. */
  pace: number;
  holder: string | null;
  warnings: Warning[];
}

/** Discs on a shank: all of their width and half of their round stand in the metal. */
const buried = new Set<Cutter["kind"]>(["woodruff", "tSlot"]);

/** The most a buried disc may be fed by the power and the force of the machine, mm/min; the chip is the mean of half a turn. */
function buriedMost(cutter: Cutter, place: CutPlace, rpm: Rpm): MmPerMin {
  if (!buried.has(cutter.kind)) return Infinity;
  const d = cuttingDiameter(cutter);
  const { group } = place.material;
  const vf = feedPerTooth(group, cutter.kind, d, cutter.teeth)[0] * cutter.teeth * rpm;
  const disc = { ap: cutter.fluteLength, ae: d, chipAt: (fz: Mm) => (fz * 2) / Math.PI };
  return slowedFor(disc, cutter, place, rpm, vf);
}

/**
 * Speed and feed of a tool whose depth is given: drills, reamers, taps, countersinks, Woodruff, T-slot, dovetail and chamfer
 * cutters. The lower half of the feed range where a form cutter is buried.
 * @param along the screw that feeds
 * @param pitch of a tap, mm a turn
 * @returns refusal when there is no holder, the machine has no upright spindle, or the flutes are too short
 */
export function toolCut(
  cutter: Cutter,
  place: CutPlace,
  along: AxisScrew,
  deep: Mm,
  pitch: Mm | null = null,
  own: { rpm: Rpm | null; vf: MmPerMin | null } = { rpm: null, vf: null },
): Outcome<ToolCut> {
  const { machine, material, shop } = place;
  const holder = holderOf(cutter, shop);
  if (!holder.ok) return holder;
  if (machine.kind === "horizontal")
    return refused(
      say`${cutter.name} needs a vertical spindle; ${machine.name} has none.`,
      say`Choose another machine.`,
    );
  const reach = cutter.kind === "twistDrill" ? cutter.fluteLength : cutter.stickout;
  if (deep > reach + 1e-6)
    return refused(
      rule("M20.flute")`${cutter.name} reaches ${mm(reach)}; ${mm(deep)} is needed.`,
      say`Use a longer one, or cut it from both sides.`,
    );
  const d = cuttingDiameter(cutter);
  const speed = chooseSpeed({ machine, material, cutter, diameter: d, rules: shop.houseRules, own: own.rpm });
  const perTurn = feedPerTurn(material.group, cutter.kind, d);
  const perTooth = feedPerTooth(material.group, cutter.kind, d, cutter.teeth);
  const most = buriedMost(cutter, place, speed.rpm);
  const wanted =
    own.vf ??
    (pitch !== null
      ? tapFeed(pitch, speed.rpm)
      : perTurn
        ? plainFz(perTurn, false) * speed.rpm
        : Math.min(most, tableFeed(perTooth[0], cutter.teeth, speed.rpm)));
  const feed =
    pitch !== null
      ? { vf: wanted, by: "hand" as const, pace: (60 * along.lead) / wanted }
      : chooseFeed(along, wanted);
  return done({
    rpm: speed.rpm,
    setting: speed.setting,
    vf: feed.vf,
    feedBy: feed.by,
    pace: feed.pace,
    holder: holder.value?.id ?? null,
    warnings: speed.warnings,
  });
}
