import { noOwnValues, type OwnHandbook, usualKerf } from "../handbook/index.ts";
import type { Job } from "../job/index.ts";
import type { Mm } from "../quantity/index.ts";
import { type Bar, freeLength, type Saw, type Shop } from "../shop/index.ts";
import { type BarBlank, barsFor, type CutBar, givesBlank, nest, type NotFromBar } from "../stock/index.ts";
import { blanksWanted, wantedBlank } from "./blank-offer.ts";

/** A job whose blanks are to be sawn. */
export interface JobToSaw {
  job: Pick<Job, "id" | "name">;
  count: number;
  /** From which kinds of bar, the best first, and how long each; none where no bar of the rack gives one. */
  from: { like: Bar; blank: BarBlank }[];
  /** What the nearest bar lacks, where none gives one; null where the drawing is not complete. */
  lacks: { bar: Bar; of: NotFromBar } | null;
}

/** Bars of one section and material, with all that is sawn from them together. */
export interface SawingGroup {
  like: Bar;
  cut: (Omit<CutBar, "bar"> & { bar: Bar })[];
  opened: Mm;
  bound: Mm;
}

export interface SawingList {
  jobs: JobToSaw[];
  groups: SawingGroup[];
  /** Blanks that no bar is left for, by job. */
  missing: { jobId: string; length: Mm; count: number }[];
  kerf: Mm;
  trim: Mm;
}

const alike = ({ material, form, section, across, thick }: Bar) =>
  [material, form, section, across, thick].join("/");

/** A blank is known by its job and number, "job#3". */
export const jobOfBlank = (id: string): string => id.slice(0, id.lastIndexOf("#"));

/** Whether a job still has no blank: none of its sizes was measured. */
export const wantsBlank = ({ stock, part }: Pick<Job, "stock" | "part">): boolean =>
  part.shaft
    ? Object.values(stock.turned).every((read) => !read)
    : Object.values(stock.measured).every((points) => Object.values(points).every((read) => !read));

/**
 * The blanks of several jobs from the bars of a rack, the least length of bars opened. Each job is sawn from the section that leaves
 * least to mill away; jobs with the same section share its bars.
 * @param trim what is sawn off the end of every bar first, mm
 */
export function sawingList(
  jobs: readonly Job[],
  shop: Shop,
  rack: readonly Bar[],
  own: OwnHandbook = noOwnValues,
  trim: Mm = 0,
): SawingList {
  const saw: Saw | undefined = shop.saws.find((s) => !s.retired);
  const kerf = saw?.kerf ?? usualKerf;
  const wanted = jobs.map((job): JobToSaw => {
    const blank = wantedBlank(job, shop, own);
    const count = blanksWanted(job, rack);
    // With the kerf of the one saw that cuts them all.
    const bars = blank ? barsFor(rack, { ...blank, kerf }, Math.max(1, count)) : [];
    const fits = bars.filter(givesBlank);
    const [nearest] = bars;
    return {
      job: { id: job.id, name: job.name },
      count,
      from: firstOfEach(fits.map(({ bar, of }) => ({ like: bar, blank: of }))),
      lacks: fits.length === 0 && nearest ? { bar: nearest.bar, of: nearest.of as NotFromBar } : null,
    };
  });
  // What the bars of the best section do not give is sawn from the next best.
  const groups: SawingGroup[] = [];
  const left = new Map(
    wanted.map(({ job, count }) => [job.id, Array.from({ length: count }, (_, i) => `${job.id}#${i + 1}`)]),
  );
  const most = Math.max(0, ...wanted.map((w) => w.from.length));
  for (let rank = 0; rank < most; rank++) {
    const choices = wanted.flatMap(({ job, from }): Chosen[] => {
      const choice = from[rank];
      const ids = left.get(job.id)!;
      return choice && ids.length > 0 ? [{ ids, ...choice }] : [];
    });
    for (const key of new Set(choices.map((c) => alike(c.like)))) {
      const opened = new Set(groups.flatMap((g) => g.cut.map((c) => c.bar.id)));
      const bars = rack.filter((bar) => !bar.retired && alike(bar) === key && !opened.has(bar.id));
      if (bars.length === 0) continue;
      const group = groupOf(
        bars,
        choices.filter((c) => alike(c.like) === key),
        kerf,
        trim,
      );
      if (group.cut.length > 0) groups.push(group);
      const sawn = new Set(group.cut.flatMap((c) => c.blanks.map((b) => b.id)));
      for (const [jobId, ids] of left)
        left.set(
          jobId,
          ids.filter((id) => !sawn.has(id)),
        );
    }
  }
  const missing = wanted.flatMap(({ job, from }) => {
    const count = left.get(job.id)!.length;
    return from[0] && count > 0 ? [{ jobId: job.id, length: from[0].blank.sawLength, count }] : [];
  });
  return { jobs: wanted, kerf, trim, groups, missing };
}

/** Blanks of a job from one section. */
interface Chosen {
  ids: readonly string[];
  like: Bar;
  blank: BarBlank;
}

/** Of every section the first. */
const firstOfEach = (from: readonly { like: Bar; blank: BarBlank }[]): JobToSaw["from"] =>
  from.filter((f, i) => from.findIndex((other) => alike(other.like) === alike(f.like)) === i);

function groupOf(bars: readonly Bar[], asked: readonly Chosen[], kerf: Mm, trim: Mm): SawingGroup {
  const made = nest(
    bars.map((bar) => ({ id: bar.id, length: freeLength(bar) })),
    asked.flatMap(({ ids, blank }) => ids.map((id) => ({ id, length: blank.sawLength }))),
    kerf,
    trim,
  );
  return {
    like: bars[0]!,
    cut: made.cut.map((c) => ({ ...c, bar: bars.find((bar) => bar.id === c.bar.id)! })),
    opened: made.opened,
    bound: made.bound,
  };
}

/** The bars of a group with the blanks reserved: what is written into the rack. Ids of claims come from outside. */
export function reservedBars(
  { cut }: Pick<SawingGroup, "cut">,
  jobs: readonly JobToSaw[],
  kerf: Mm,
  newId: () => string,
): { from: Bar; to: Bar }[] {
  return cut.map(({ bar, blanks }) => {
    const each = new Map<string, { length: Mm; count: number }>();
    for (const { id, length } of blanks) {
      const jobId = jobOfBlank(id);
      each.set(jobId, { length, count: (each.get(jobId)?.count ?? 0) + 1 });
    }
    const claims = [...each].map(([jobId, { length, count }]) => ({
      id: newId(),
      jobId,
      jobName: jobs.find((j) => j.job.id === jobId)?.job.name ?? "",
      each: length,
      kerf,
      count,
    }));
    return { from: bar, to: { ...bar, claims: [...bar.claims, ...claims] } };
  });
}
