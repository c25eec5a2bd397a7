import { judgedReadings, type Reading } from "./judged-reading.ts";
import type { Job } from "../job/index.ts";
import { clearanceOf } from "../handbook/index.ts";
import {
  boreOf,
  cornersAsRows,
  drawnSite,
  type Feature,
  featuresOf,
  type Mate,
  middleOn,
  sizesOfPart,
} from "../part/index.ts";
import { type Dimension, dimensionOf, type Mm, tidy } from "../quantity/index.ts";
import type { Record as JobRecord } from "../steps/index.ts";
import type { JudgedBy } from "./judged-reading.ts";
import { lastReadings } from "./series.ts";

/** A size of a linked job as it is drawn, and as it was read last on each piece that is not scrapped. */
export interface LinkedSize {
  drawn: Dimension | null;
  read: { piece: number; value: Mm; by: string; on: string }[];
}

/** What a record is of, for a size as a mate names it. */
const readAs = (path: string): string => (path.startsWith("sizes/") ? path.slice(6) : path);

/** A size of another job: drawn, and measured since it was cut last. Inside and outside readings count alike here. */
export function linkedSize(
  path: string,
  other: Job,
  records: readonly JobRecord[],
  by: JudgedBy,
): LinkedSize {
  const drawn = sizesOfPart(other.part).find((s) => s.path === path)?.dimension ?? null;
  const of = readAs(path) as Parameters<typeof lastReadings>[0];
  const { byPiece, scrapped } = lastReadings(of, records);
  const inside = !path.startsWith("sizes/") && !path.startsWith("shaft/");
  const read = [...byPiece].flatMap(([piece, readings]) => {
    if (scrapped.has(piece)) return [];
    const counted = judgedReadings(readings, inside ? "inside" : "outside", by).filter((j) => j.counts);
    const last = readings.at(-1) as (Reading & { by: string; at: string }) | undefined;
    if (counted.length === 0 || !last) return [];
    const value = tidy(counted.reduce((sum, j) => sum + j.value, 0) / counted.length);
    return [{ piece, value, by: last.by, on: last.at.slice(0, 10) }];
  });
  return { drawn, read };
}

/**
 * Jobs that wait for one another's measured sizes, in the order they are linked; null where the links end.
 * @param jobOf reads a job that is on the bench
 */
export function linkedInCircle(from: Job, jobOf: (id: string) => Job | undefined): string[] | null {
  const walk = (job: Job, path: readonly string[]): string[] | null => {
    for (const id of job.part.mates.order) {
      const mate = job.part.mates.byId[id];
      if (!mate || mate.kind !== "fits" || !mate.measured || mate.job === "") continue;
      if (mate.job === from.id) return [...path, job.id];
      if (path.includes(mate.job) || mate.job === job.id) continue;
      const other = jobOf(mate.job);
      const found = other ? walk(other, [...path, job.id]) : null;
      if (found) return found;
    }
    return null;
  };
  return walk(from, []);
}

/** How holes are carried over to the part they are drilled together with. */
export const carriedAs = ["same", "clearance", "tapping"] as const;
export type CarriedAs = (typeof carriedAs)[number];

/** Holes of a linked part that are not in this one yet: by face and place. */
export function holesToCarry(from: Job, into: Job): Extract<Feature, { kind: "hole" }>[] {
  const at = (f: Feature) => JSON.stringify([f.face, f.first, f.second]);
  const there = new Set(featuresOf(into.part).map(at));
  const site = drawnSite(from.part);
  return featuresOf(from.part).flatMap((f) => {
    if (f.kind !== "hole" || there.has(at(f))) return [];
    const middle = middleOn(f, site);
    return middle ? [cornersAsRows(f, middle, site, f.sizes.diameter?.written.unit ?? "mm")] : [];
  });
}

/**
 * A hole as it is put into the part that is drilled together with it: the same bore, tapped by the screw it is for, or with clearance
 * for that screw. Null where no screw is known for it.
 */
export function carriedHole(hole: Extract<Feature, { kind: "hole" }>, as: CarriedAs, id: string) {
  const thread = hole.screw;
  if (as === "tapping") return thread === "" ? null : { ...hole, id, form: "tapped" as const };
  const bare = { ...hole, id, form: "drilled" as const, screw: "" };
  const bore = as === "same" ? boreOf(hole) : (clearanceOf(thread)?.medium ?? null);
  if (bore === null) return null;
  const unit = hole.sizes.diameter?.written.unit ?? hole.sizes.drill?.written.unit ?? "mm";
  return {
    ...bare,
    sizes: {
      ...hole.sizes,
      diameter: dimensionOf(bore, unit),
      threadDepth: null,
      drill: null,
      headDiameter: null,
      headDepth: null,
    },
  };
}

/** A mate as it stands after a size of the linked job was taken over. */
export function takenOver(mate: Mate, size: Dimension, measured: { by: string; on: string } | null): Mate {
  return { ...mate, mate: size, measured: measured !== null, by: measured?.by ?? "", on: measured?.on ?? "" };
}
