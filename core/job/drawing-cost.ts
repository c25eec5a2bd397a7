import { type Cut, cutTask, drilling, rememberedCut } from "../cutting/index.ts";
import { outlineArea } from "../frame/index.ts";
import {
  cutterKindFacts,
  handlingTimes,
  type Material,
  noOwnValues,
  type OwnHandbook,
} from "../handbook/index.ts";
import {
  cutoutOf,
  type Cutout,
  depthOf,
  type Feature,
  featureNames,
  featuresOf,
  rulesOf,
  type Site,
  siteOfPart,
} from "../part/index.ts";
import { type Minutes, type Mm, mm, quantity, tidy } from "../quantity/index.ts";
import { cuttingDiameter, inUse, type Machine, type Shop } from "../shop/index.ts";
import {
  line,
  type Phrase,
  precise,
  say,
  type WorkingBody,
  type WorkingLine,
  words,
} from "../working/index.ts";
import { applyChanges, changeOf } from "./change.ts";
import { equipment } from "./equipment.ts";
import type { Job } from "./job.ts";
import { drawnPart, plan } from "./plan.ts";

/** What one feature is reckoned to take; null where no owned cutter makes it. */
export interface FeatureCost {
  id: string;
  name: string;
  minutes: Minutes | null;
  cutter: string | null;
  working: WorkingBody;
}

/** A change of the drawing and the minutes it would save. */
export interface Saving {
  phrase: Phrase;
  saves: Minutes;
}

export interface DrawingCost {
  features: FeatureCost[];
  /** Most first. */
  savings: Saving[];
}

interface Place {
  machine: Machine;
  material: Material;
  shop: Shop;
}

/** A cutter that clears a slot goes over a wider place in lanes that overlap: this share of it is new metal (guess). */
const laneShare = 0.7;

/** Less than this is not worth a word, minutes. */
const leastSaving = 0.3;

/** Feed a turn of a drill as a share of its diameter (guess). */
const drillFeed = 0.015;

const volumeOf = ({ prisms }: Cutout): number =>
  prisms
    .filter((p) => !p.thread)
    .reduce((sum, { outline, island, span }) => {
      const area = Math.abs(outlineArea(outline)) - (island ? Math.abs(outlineArea(island)) : 0);
      return sum + area * (span[1] - span[0]);
    }, 0);

/**
 * What the drawing costs: minutes by feature, and which change of a radius or a tolerance would save most. Features are
 * reckoned from the metal they take out and the quickest owned cutter that still makes them: an estimate, until they are planned.
 * @returns null while drawing or shop are not complete
 */
export function drawingCost(job: Job, everything: Shop, own: OwnHandbook = noOwnValues): DrawingCost | null {
  const part = drawnPart(job);
  const site = siteOfPart(part);
  const { machine, material } = equipment(job, everything, own);
  if (!site || !machine || !material) return null;
  const place = { machine, material, shop: inUse(everything) };
  const features = featuresOf(part);
  const names = featureNames(features);
  const costs = features.flatMap((feature): FeatureCost[] => {
    const cutout = cutoutOf(feature, site);
    return cutout ? [costOf(feature, names.get(feature.id)!, cutout, site, place)] : [];
  });
  const savings = [
    ...features.flatMap((feature) => radiusSaving(feature, names.get(feature.id)!, costs, site, place)),
    ...toleranceSavings(job, everything, own),
  ];
  return { features: costs, savings: savings.sort((a, b) => b.saves - a.saves) };
}

function costOf(feature: Feature, name: string, cutout: Cutout, site: Site, place: Place): FeatureCost {
  const { id } = feature;
  if (feature.kind === "hole") return { id, name, ...drilled(cutout, feature.form, place) };
  if (feature.kind === "woodruff") return { id, name, ...sunk(cutout, place) };
  const cleared = clearing(rulesOf(feature.kind).widest?.(feature, site) ?? null, cutout, place);
  if (!cleared)
    return {
      id,
      name,
      minutes: null,
      cutter: null,
      working: { lines: [], notes: [words("No owned cutter makes it.")] },
    };
  const lines = [...cleared.lines, ...handled(1)];
  return { id, name, cutter: cleared.cutter, ...summed(lines, cleared.minutes, 1) };
}

/** The handling that comes with a feature: its cutters changed, a touch-off, a measurement, deburring. */
const handled = (cutters: number): WorkingLine[] => [
  line(`${cutters} × cutter change`, quantity("time", cutters * handlingTimes.cutterChange), {
    source: "guess",
  }),
  line(
    "touch-off, measure, deburr",
    quantity("time", handlingTimes.touchOff + handlingTimes.measure + handlingTimes.deburr),
    { source: "guess" },
  ),
];

function summed(lines: WorkingLine[], cutting: Minutes, cutters: number) {
  const minutes = tidy(
    cutting +
      cutters * handlingTimes.cutterChange +
      handlingTimes.touchOff +
      handlingTimes.measure +
      handlingTimes.deburr,
  );
  return {
    minutes,
    working: {
      lines: [...lines, line("together", quantity("time", minutes), { sum: true })],
      notes: [words("An estimate from the metal taken out: the moves of features are not planned yet.")],
    },
  };
}

/** The quickest owned cutter no wider than what it has to go through, and the minutes it clears the metal in. */
function clearing(
  widest: Mm | null,
  cutout: Cutout,
  { machine, material, shop }: Place,
): { minutes: Minutes; cutter: string; lines: WorkingLine[] } | null {
  const volume = volumeOf(cutout);
  const depth = Math.max(...cutout.prisms.map((p) => p.span[1] - p.span[0]));
  const rated = shop.cutters
    .filter((c) => cutterKindFacts[c.kind].cuts.includes("slot"))
    .filter((c) => cuttingDiameter(c) <= (widest ?? Infinity) + 1e-6)
    .flatMap((cutter) => {
      const total = Math.min(depth, cutter.fluteLength);
      const task = cutTask({ kind: "slot", length: 100, across: cuttingDiameter(cutter), total });
      const cut = rememberedCut(task, cutter, { machine, material, shop });
      return cut.ok ? [{ cutter, cut: cut.value, rate: rateOf(cut.value, cuttingDiameter(cutter)) }] : [];
    })
    .sort((a, b) => b.rate - a.rate);
  const best = rated[0];
  if (!best || best.rate <= 0) return null;
  const minutes = volume / best.rate;
  return {
    minutes,
    cutter: best.cutter.name,
    lines: [
      line("metal to take out", quantity("volume", volume), { decimals: 1 }),
      line(say`with the ${best.cutter.name}, ${mm(best.cut.depth)} deep`, quantity("volumeRate", best.rate), {
        formula: "removal-rate",
        terms: [
          ["ap", mm(best.cut.depth)],
          ["ae", mm(laneShare * cuttingDiameter(best.cutter))],
          ["vf", quantity("feed", best.cut.vf)],
        ],
        decimals: 1,
      }),
      line("cutting", quantity("time", minutes)),
    ],
  };
}

/** Metal taken out in lanes, mm³ a minute. */
const rateOf = (cut: Cut, diameter: Mm): number => cut.depth * diameter * laneShare * cut.vf;

/** Feed of a tooth when a Woodruff cutter is sunk into a shaft, mm (guess). */
const sunkFeed = 0.015;

/** A Woodruff seat, sunk in one plunge by the owned cutter nearest to it in width. */
function sunk(cutout: Cutout, { material, shop }: Place) {
  const [{ span }] = cutout.prisms as readonly [Cutout["prisms"][number]];
  const width = span[1] - span[0];
  const cutter = shop.cutters.find((c) => c.kind === "woodruff" && Math.abs(c.fluteLength - width) < 0.05);
  const depth = depthOf(cutout);
  const diameter = cutter ? cuttingDiameter(cutter) : 4 * depth;
  const vf = sunkFeed * (cutter?.teeth ?? 8) * ((1000 * 0.8 * material.speeds.hss[0]) / (Math.PI * diameter));
  const minutes = depth / vf;
  const lines = [
    line("sunk by", mm(depth)),
    line("at", quantity("feed", vf), { source: `${sunkFeed} mm a tooth (guess)` }),
    line("cutting", quantity("time", minutes)),
    ...handled(1),
  ];
  return { cutter: cutter?.name ?? null, ...summed(lines, minutes, 1) };
}

/** A hole or a pattern of them: every hole drilled, and the cutters its form needs changed in. */
function drilled(cutout: Cutout, form: string, { material }: Place) {
  const bores = cutout.prisms.filter((p) => !p.thread);
  const [low, high] = material.speeds.hss;
  const vc = 0.8 * (low + (high - low) / 3);
  const minutes = bores.reduce((sum, { outline, span }) => {
    const drill = 2 * Math.sqrt(Math.abs(outlineArea(outline)) / Math.PI);
    const one = drilling({
      vc,
      drill,
      perTurn: drillFeed * drill,
      depth: span[1] - span[0],
      point: 0.3 * drill,
      gap: 2,
    });
    return sum + (one?.minutes ?? 0);
  }, 0);
  const cutters = form === "drilled" ? 2 : 3;
  const lines = [
    line(`${bores.length} × drilled`, quantity("time", minutes), {
      source: `HSS, ${drillFeed} × diameter a turn (guess)`,
    }),
    ...handled(cutters),
  ];
  return { cutter: null, ...summed(lines, minutes, cutters) };
}

/** A larger inside corner that lets a wider owned cutter in. */
function radiusSaving(
  feature: Feature,
  name: string,
  costs: readonly FeatureCost[],
  site: Site,
  place: Place,
): Saving[] {
  if (feature.kind !== "pocket" || !feature.sizes.radius) return [];
  const cutout = cutoutOf(feature, site);
  const now = costs.find((c) => c.id === feature.id);
  const { first, second, radius } = feature.sizes;
  if (!cutout || !now || now.minutes === null) return [];
  const most = Math.min(first?.nominal ?? 0, second?.nominal ?? 0) / 2;
  const radii = [...new Set(place.shop.cutters.map((c) => cuttingDiameter(c) / 2))]
    .filter((r) => r > radius.nominal + 1e-6 && r <= most)
    .sort((a, b) => a - b);
  const before = clearing(2 * radius.nominal, cutout, place);
  for (const r of radii) {
    const cleared = clearing(2 * r, cutout, place);
    if (!before || !cleared || cleared.cutter === before.cutter) continue;
    // A cutter that another feature brings anyway need not be changed in for this one.
    const shared = costs.some((c) => c.id !== feature.id && c.cutter === cleared.cutter);
    const saves = before.minutes - cleared.minutes + (shared ? handlingTimes.cutterChange : 0);
    if (saves < leastSaving) continue;
    return [
      {
        saves,
        phrase: say`R${precise(mm(r), 1)} instead of R${precise(mm(radius.nominal), 1)} in the ${name} lets the ${cleared.cutter} in${shared ? words(", which is needed anyway: it saves a cutter change") : words("")}.`,
      },
    ];
  }
  return [];
}

/** What each tolerance of its own costs: the plan once more with the general one, or none. */
function toleranceSavings(job: Job, shop: Shop, own: OwnHandbook): Saving[] {
  if (job.part.shaft) return [];
  const minutesOf = (asked: Job): Minutes | null => {
    const made = plan({ job: asked, records: [], shop, piece: 1, own });
    return made.refusal || made.setups.length === 0 ? null : made.minutes.total;
  };
  const now = minutesOf(job);
  if (now === null) return [];
  const without = (path: string, to: unknown, phrase: Phrase): Saving[] => {
    const applied = applyChanges(job, [changeOf(job, path, to)]);
    const then = applied.ok ? minutesOf(applied.job) : null;
    return then !== null && now - then >= leastSaving ? [{ saves: now - then, phrase }] : [];
  };
  const { sizes, squareness, parallelism } = job.part;
  return [
    ...(["length", "width", "height"] as const).flatMap((axis) => {
      const size = sizes[axis];
      if (!size || size.upper === null) return [];
      const loose = { ...size, upper: null, lower: null, fit: null };
      return without(
        `part/sizes/${axis}`,
        loose,
        say`The general tolerance on the ${axis} instead of its own.`,
      );
    }),
    ...(squareness === null ? [] : without("part/squareness", null, words("No squareness of its own."))),
    ...(parallelism === null ? [] : without("part/parallelism", null, words("No parallelism of its own."))),
  ];
}
