import { type Axis, axisNames, axisOf, facesOf, type Sizes } from "../frame/index.ts";
import { noOwnValues, type OwnHandbook, usualFacing, usualKerf } from "../handbook/index.ts";
import { effectivePart, equipment, type Job } from "../job/index.ts";
import { limitsOf, partSizes, sectionsOf } from "../part/index.ts";
import { type Minutes, mm, type Mm, quantity, tidy } from "../quantity/index.ts";
import { faceOf, faceSetupsOf } from "../route/index.ts";
import { type Bar, runOutOf, type Saw, type Shop } from "../shop/index.ts";
import {
  type BarBlank,
  type BarChoice,
  barsFor,
  type SawCut,
  sawCut,
  sawHandling,
  sectionArea,
  throughSection,
  type WantedBlank,
} from "../stock/index.ts";
import { line, say, words, type Working } from "../working/index.ts";
import type { Plan } from "./plan.ts";

/** The saw a job is sawn with: the one it names, else the first that is owned; null where there is none. */
export const sawOf = ({ blank }: Pick<Job, "blank">, { saws }: Pick<Shop, "saws">): Saw | null =>
  saws.find((s) => s.id === blank.saw) ?? saws.find((s) => !s.retired) ?? null;

/** What a blank of a job has to be; null while the drawing has no material or not all of its sizes. */
export function wantedBlank(job: Job, shop: Shop, own: OwnHandbook = noOwnValues): WantedBlank | null {
  const { material } = equipment(job, shop, own);
  const part = effectivePart(job);
  const target = partSizes(part);
  if (!material || !target) return null;
  const finished = Object.fromEntries(
    axisNames.map((axis) => [axis, part.sizes[axis] ? limitsOf(part.sizes[axis], part).upper : target[axis]]),
  ) as Sizes;
  const thickest = part.shaft
    ? Math.max(0, ...sectionsOf(part.shaft).map((s) => (s.diameter ? limitsOf(s.diameter, part).upper : 0)))
    : null;
  const saw = sawOf(job, shop);
  return {
    finished: thickest === null ? finished : { ...finished, width: thickest, height: thickest },
    shaft: thickest !== null,
    material: material.id,
    skinOf: material,
    facing: job.blank.facing ?? usualFacing,
    kerf: saw?.kerf ?? usualKerf,
    runsOut: runOutOf(saw),
  };
}

/** How many blanks a job still wants: those ordered and begun in place of others, less what is reserved for it or was sawn. */
export const blanksWanted = (job: Pick<Job, "id" | "quantity" | "added">, rack: readonly Bar[]): number =>
  Math.max(
    0,
    job.quantity +
      job.added -
      rack
        .flatMap((bar) => [...bar.claims, ...bar.sawn])
        .reduce((sum, c) => sum + (c.jobId === job.id ? c.count : 0), 0),
  );

/** A bar for the blanks of a job, with its saw cut. */
export interface BarOffer extends BarChoice {
  cut: SawCut | null;
}

/** The rack looked through for a job, the best bar first; null while the drawing is not complete. */
export function barOffers(
  job: Job,
  shop: Shop,
  rack: readonly Bar[],
  own: OwnHandbook = noOwnValues,
): { wanted: WantedBlank; count: number; offers: BarOffer[] } | null {
  const wanted = wantedBlank(job, shop, own);
  if (!wanted) return null;
  const { material } = equipment(job, shop, own);
  const saw = sawOf(job, shop);
  const count = Math.max(1, blanksWanted(job, rack));
  return {
    wanted,
    count,
    offers: barsFor(rack, wanted, count).map((choice) => ({
      ...choice,
      cut:
        saw && material && "gives" in choice.of
          ? sawCut(
              saw,
              material,
              { ...throughSection(choice.bar), area: sectionArea(choice.bar) },
              choice.of.sawLength,
            )
          : null,
    })),
  };
}

/** The working of a saw length. */
export function sawLengthWorking(blank: BarBlank, wanted: WantedBlank, count: number): Working {
  return {
    key: "",
    title: say`Working: saw length`,
    lines: [
      line(`finished ${blank.along}, at most`, mm(wanted.finished[blank.along])),
      line("left to mill at each end", mm(wanted.facing)),
      line("the cut may run out over this section by", mm(blank.runOut), {
        source: "of this saw, per 100 of section",
      }),
      line("saw length: finished, both ends, run-out", mm(blank.sawLength), { sum: true }),
      line("the saw takes", mm(wanted.kerf)),
      line("from one cut to the next", mm(blank.pitch), { sum: true }),
      line("blanks wanted", quantity("count", count)),
      line("of the bar, with a cut for each", mm(tidy(count * blank.pitch)), { sum: true }),
    ],
    limits: [],
    notes: [words("The last cut of a bar that is used up is not needed.")],
  };
}

/** Sawing off against milling away what stands over along one size. */
export interface SawOrMill {
  axis: Axis;
  /** What is over, what the saw would leave to mill, and what it would take off; mm. */
  over: Mm;
  left: Mm;
  off: Mm;
  /** Milling all of it as planned, and sawing it off and milling the rest. */
  mill: Minutes;
  saw: { least: Minutes; most: Minutes };
  /** Metal that would become chips under a cutter, cm³. */
  chips: number;
  cut: SawCut;
  working: Working;
}

/** A piece shorter than this does not come off with a saw, mm: the blade runs out of it. */
const leastSawn = 3;

/** Where the lump stands over so far that a saw could take it: minutes by the saw against minutes of the plan. */
export function sawOrMill(
  job: Job,
  { spares, setups, target }: Pick<Plan, "spares" | "setups" | "target">,
  shop: Shop,
  own: OwnHandbook = noOwnValues,
): SawOrMill[] {
  const saw = sawOf(job, shop);
  const { material } = equipment(job, shop, own);
  if (!saw || !material || !spares || !target || job.part.shaft) return [];
  return axisNames.flatMap((axis): SawOrMill[] => {
    const spare = spares[axis];
    if (!(spare.spare > 0)) return [];
    const [a, b] = axisNames.filter((other) => other !== axis) as [Axis, Axis];
    const [w, h] = [spares[a].largest, spares[b].largest];
    if (!(w > 0) || !(h > 0)) return [];
    const section = { thin: Math.min(w, h), wide: Math.max(w, h), area: w * h };
    const left = tidy(2 * (job.blank.facing ?? usualFacing) + (runOutOf(saw) * section.wide) / 100);
    const off = tidy(spare.spare - left);
    if (off - saw.kerf < leastSawn) return [];
    const faces = facesOf(axis);
    const planned = faceSetupsOf(setups).filter((s) => axisOf(faceOf(s).face) === axis);
    const mill = planned.reduce((sum, s) => sum + s.minutes.cutting, 0);
    const taken = planned.reduce((sum, s) => sum + (s.before.sizes[axis] - s.after.sizes[axis]), 0);
    if (!(taken > 0)) return [];
    const cut = sawCut(saw, material, section, off - saw.kerf);
    const rest = (mill * Math.min(left, taken)) / taken;
    return [
      {
        axis,
        over: spare.spare,
        left,
        off,
        mill,
        saw: { least: cut.minutes.least + rest, most: cut.minutes.most + rest },
        chips: (w * h * off) / 1000,
        cut,
        working: sawOrMillWorking(axis, {
          over: spare.spare,
          left,
          mill,
          rest,
          cut,
          area: section.area,
          faces,
        }),
      },
    ];
  });
}

function sawOrMillWorking(
  axis: Axis,
  of: {
    over: Mm;
    left: Mm;
    mill: Minutes;
    rest: Minutes;
    cut: SawCut;
    area: number;
    faces: readonly string[];
  },
): Working {
  const time = (value: Minutes) => quantity("time", value);
  return {
    key: "",
    title: say`Working: saw or mill, ${axis}`,
    lines: [
      line(`over along the ${axis}`, mm(of.over)),
      line("left by the saw: both ends, and what its cut runs out", mm(of.left)),
      line(`cutting the ${of.faces.join(" and the ")} face as planned`, time(of.mill)),
      line("of that for what the saw leaves", time(of.rest)),
      line("sawing, quick: section over the rate of this saw, and handling", time(of.cut.minutes.least)),
      line("sawing, slow", time(of.cut.minutes.most)),
      line("sawn and milled, at least", time(of.cut.minutes.least + of.rest), { sum: true }),
      line("sawn and milled, at most", time(of.cut.minutes.most + of.rest), { sum: true }),
    ],
    limits: [],
    notes: [
      say`Handling at the saw counts ${quantity("time", sawHandling)}. The rates of saws are guesses of the trade: they hang on blade and pressure.`,
    ],
  };
}
