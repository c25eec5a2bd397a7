import {
  chooseCut,
  type Cut,
  type CutPlace,
  type LimitChart,
  limitChart,
  type LimitShare,
  limitShares,
  settingFor,
} from "../cutting/index.ts";
import { isCarbide, materialIn, noOwnValues, type OwnHandbook } from "../handbook/index.ts";
import type { Seat } from "../holding/index.ts";
import { type AnyKey, type FaceOperation, noRoomOver, setupWith } from "../route/index.ts";
import {
  cuttingDiameter,
  inUse,
  type Machine,
  pickSetting,
  settingsNear,
  type Shop,
  type Vise,
} from "../shop/index.ts";
import { type Phrase, say, words } from "../working/index.ts";
import { equipmentIn, type Job } from "../job/index.ts";
import type { Plan } from "./plan.ts";

/** An owned cutter for a cut: what it would take, or why it cannot. */
export interface RankedCutter {
  cutter: string;
  minutes: number | null;
  depth: number | null;
  why: Phrase;
}

/** One of the machine's speeds against the recommended range. */
export interface SpeedStep {
  rpm: number;
  setting: string;
  /** m/min at the cutter's diameter */
  vc: number;
  chosen: boolean;
}

/** What the Cuts station asks for when a cut is looked at: too much to send with every plan. */
export interface CutComparison {
  ranking: RankedCutter[];
  chart: LimitChart;
  shares: LimitShare[];
  speeds: SpeedStep[];
}

/** Compares the owned cutters for a planned cut and works its charts; null for a key the plan has no setup for. */
export function compareCut(
  made: Plan,
  job: Job,
  shop: Shop,
  key: AnyKey,
  own: OwnHandbook = noOwnValues,
): CutComparison | null {
  const setup = setupWith(made.setups, key);
  const operation = setup?.operations.find((o) => o.key === key);
  const { machine, vise } = setup
    ? equipmentIn(setup, job, shop, own)
    : { machine: undefined, vise: undefined };
  const material = job.part.material ? materialIn(own, job.part.material) : undefined;
  if (!setup || !operation?.task || !operation.cut || !machine || !material) return null;
  const { cut, task } = operation;
  const usable = inUse(shop);
  const cutter = shop.cutters.find((c) => c.id === cut.cutter);
  if (!cutter) return null;
  const place = { machine, material, shop: usable };
  const setting = settingFor({
    task,
    cutter,
    holder: usable.holders.find((h) => h.id === cut.holder) ?? null,
    machine,
    material,
    rules: usable.houseRules,
    spindle: pickSetting(machine, cut.rpm),
    width: cut.width,
  });
  const axis = machine.axes[task.feedAlong];
  const d = cuttingDiameter(cutter);
  return {
    // What else goes into a feature was tried with its size: it stands with its operation.
    ranking: operation.by === "face" ? rankedCutters(operation, setup.seat, { ...place, vise }) : [],
    chart: limitChart(cut, setting, axis.powerFeeds),
    shares: limitShares(cut, setting),
    speeds: settingsNear(machine, cut.wantedRpm).map(({ rpm, setting: name }) => ({
      rpm,
      setting: name,
      vc: (Math.PI * d * rpm) / 1000,
      chosen: rpm === cut.rpm,
    })),
  };
}

/** The owned cutters for a face, best first, and those that cannot, with the reason. */
function rankedCutters(
  { task }: FaceOperation,
  seat: Seat,
  { vise, ...place }: CutPlace & { machine: Machine; shop: Shop; vise: Vise | undefined },
): RankedCutter[] {
  const { cutters } = place.shop;
  const fair = { ...task, own: { ...task.own, cutter: null } };
  const outOfRoom = cutters.flatMap((c) => {
    const refusal = vise && noRoomOver(task, c, seat, { ...place, vise });
    return refusal ? [{ cutter: c.id, refusal }] : [];
  });
  const roomy = cutters.filter((c) => !outOfRoom.some((o) => o.cutter === c.id));
  const choice = chooseCut(fair, roomy, place);
  const possible: Cut[] = choice.ok ? [choice.value.best, ...choice.value.others] : [];
  const refusedOnes = [...(choice.ok ? choice.value.refused : []), ...outOfRoom];
  return [
    ...possible.map((c) => ({
      cutter: c.cutter,
      minutes: c.minutes,
      depth: c.depth,
      why: reasonFor(c, possible[0]!),
    })),
    ...refusedOnes.map(({ cutter, refusal }) => ({
      cutter,
      minutes: null,
      depth: null,
      why: refusal.reason,
    })),
  ];
}

/** In a few words what bounds a cutter here, or what speaks against it. */
function reasonFor(cut: Cut, best: Cut): Phrase {
  if (cut.against > best.against) {
    const told = cut.warnings.find((w) => w.phrase.id?.startsWith("M19"));
    return told
      ? words(isCarbide(cut.tool) ? "carbide that the skin would chip" : "the skin would blunt it")
      : words("not rated for this surface, or kept for rough work");
  }
  const bound = cut.limits.find((l) => l.id === cut.bound);
  return bound ? say`limited by ${bound.name}` : words("nothing limits it");
}
