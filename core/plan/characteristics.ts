import { type Axis, axesAcross, axisNames, axisOf, type Face, faceNames } from "../frame/index.ts";
import type { Job } from "../job/index.ts";
import {
  type Feature,
  facesFor,
  featureNames,
  featuresOf,
  fittedLimits,
  formsOf,
  formWords,
  wantedGap,
  isOfFeature,
  isOfFeatureAlone,
  limitsOf,
  type Locate,
  type Part,
  threadOf,
  widerThan,
} from "../part/index.ts";
import type { Dimension, Limits } from "../quantity/index.ts";
import { datumsOf, type FeatureKey, featureOfKey, featureSetupsOf, isFaceKey } from "../route/index.ts";
import type { MeasuredHow } from "../shop/index.ts";
import { extentOf, faceOfKey } from "../squaring/index.ts";
import { cutsMetal, howMeasured, type ReadingOf, type Record as JobRecord } from "../steps/index.ts";
import { capital, say, words } from "../working/index.ts";
import type { Asked, Gauge, Happened, Judged, Requirement } from "./characteristic.ts";

/** When something was cut last, as a place in the sequence; 0 where it never was. */
const lastCut = (here: readonly JobRecord[], counts: (record: JobRecord) => boolean): number =>
  Math.max(0, ...here.flatMap((r) => (cutsMetal(r) && counts(r) ? [r.seq] : [])));

const cutsFace = (record: JobRecord, faces: readonly Face[], again = false): boolean =>
  record.type === "cut" &&
  faces.includes(faceOfKey(record.op)) &&
  (!again || extentOf(record.op) === "again");

const cutsFeature = (record: JobRecord, id: string): boolean =>
  record.type === "tick" && !isFaceKey(record.op) && featureOfKey(record.op) === id;

const plain = { deviation: null, gauge: null, required: true, critical: false } as const;

/** How a feature's own requirements are judged: where only its looks count, none is required. */
const judgedAs = (feature: Feature | undefined) => ({
  required: feature?.matters !== "looks",
  critical: feature?.matters === "critical",
});

/** The three sizes of the block: readings from before their last cut are history. */
export const sizesAsked = ({ job, part, faces }: Judged, { here, readings }: Happened): Asked[] =>
  axisNames.flatMap((axis): Asked[] => {
    const size = part.sizes[axis];
    if (!size) return [];
    const begun = [...faces.values()].flatMap(({ told }) => (axisOf(told.face) === axis ? [told.key] : []));
    const since = lastCut(here, (r) => r.type === "cut" && begun.includes(r.op));
    return [
      {
        ...plain,
        of: axis,
        drawn: size,
        limits: limitsOf(size, part),
        deviation: deviationOf(job, axis),
        how: "outside",
        readings: readings.filter((r) => r.of === axis && r.seq > since),
      },
    ];
  });

/** Squareness of neighbors wherever it is worst: it hangs on every cut of a face. */
export const squarenessAsked = ({ part, faces }: Judged, { here, readings }: Happened): Asked[] => {
  if (part.squareness === null) return [];
  const since = lastCut(here, (r) => r.type === "cut" && faces.has(r.op));
  return [
    {
      ...plain,
      of: "squareness",
      drawn: null,
      limits: { lower: 0, upper: part.squareness },
      how: "form",
      readings: readings.filter((r) => r.of === "squareness" && r.seq > since),
    },
  ];
};

/** Flatness, parallelism, squareness and symmetry by the names of what they are of; of two limits for one the smaller. */
export const formsAsked = ({ part }: Judged, { here, readings }: Happened): Asked[] => {
  const names = featureNames(featuresOf(part));
  return formsOf(part).flatMap((form): Asked[] => {
    const { kind, to, feature } = form;
    if (form.limit === null || (facesFor(kind, form.face).length > 0 && to === null)) return [];
    if (isOfFeature(kind) && !(feature && names.has(feature))) return [];
    const of: ReadingOf = `form/${form.id}`;
    const faces = isOfFeatureAlone(kind) ? [] : [form.face, ...(to ? [to] : [])];
    const since = lastCut(here, (r) => cutsFace(r, faces) || (feature !== null && cutsFeature(r, feature)));
    return [
      {
        ...plain,
        of,
        name: words(formWords(form, names)),
        drawn: null,
        limits: { lower: 0, upper: form.limit },
        how: "form",
        readings: readings.filter((r) => r.of === of && r.seq > since),
      },
    ];
  });
};

/** Sizes of features that the plan measures. What was cut once more is read anew, and so is what counts from a face that was. */
export function featuresAsked({ part, setups }: Judged, { here, readings }: Happened): Asked[] {
  const names = featureNames(featuresOf(part));
  const byId = new Map(featuresOf(part).map((f) => [f.id, f]));
  const asked = new Map<FeatureKey, Asked>();
  for (const { operations, at } of featureSetupsOf(setups))
    for (const { measure, feature, key } of operations) {
      if (!measure || measure.before) continue;
      const path: FeatureKey = `${feature}/${measure.size}`;
      const drawn = sizeOf(part.features.byId[feature], measure.size);
      const again = asked.has(path);
      const faces = facesUnder(byId.get(feature), byId, at.up);
      const since = lastCut(
        here,
        (r) => cutsFace(r, faces, true) || (again && r.type === "tick" && r.op === key),
      );
      asked.set(path, {
        ...plain,
        ...judgedAs(byId.get(feature)),
        of: path,
        name: say`${names.get(feature) ?? feature}, ${measure.name}`,
        drawn,
        limits: measure.limits,
        deviation: fitDeviation(part, path, drawn ? limitsOf(drawn, part) : null),
        how: howMeasured(measure),
        readings: readings.filter(
          (r) => r.of === path && r.seq > since && (again || r.op === key || r.op === null),
        ),
      });
    }
  return [...asked.values()];
}

const sizeOf = (feature: Feature | undefined, key: string): Dimension | null =>
  (feature?.sizes as { [size: string]: Dimension | null } | undefined)?.[key] ?? null;

/** Faces that a feature counts from, and the one it is cut into. */
const facesUnder = (feature: Feature | undefined, byId: Map<string, Feature>, up: Face): Face[] =>
  feature ? [up, feature.face, ...datumsOf(feature, byId)] : [up];

/** What the plan measures on its way, as it is read at the plate; what has limits of its own and is not among it. */
export function otherSizesAsked(judged: Judged, happened: Happened, known: readonly Asked[]): Asked[] {
  const { part } = judged;
  const names = featureNames(featuresOf(part));
  const byId = new Map(featuresOf(part).map((f) => [f.id, f]));
  const taken = new Set<string>(known.map((a) => a.of));
  return featuresOf(part).flatMap((feature) => {
    const since = lastCut(
      happened.here,
      (r) => cutsFeature(r, feature.id) || cutsFace(r, facesUnder(feature, byId, feature.face), true),
    );
    const of = (key: string, drawn: Dimension, how: MeasuredHow, called: string): Asked[] => {
      const path: FeatureKey = `${feature.id}/${key}`;
      if (drawn.upper === null || taken.has(path)) return [];
      return [
        {
          ...plain,
          ...judgedAs(feature),
          of: path,
          name: say`${names.get(feature.id) ?? feature.kind}, ${called}`,
          drawn,
          limits: limitsOf(drawn, part),
          how,
          readings: happened.readings.filter((r) => r.of === path && r.seq > since),
        },
      ];
    };
    const sizes = Object.entries(feature.sizes as { [key: string]: Dimension | null }).flatMap(
      ([key, drawn]) => {
        const how = howOf(key);
        return drawn && how ? of(key, drawn, how, spelled(key)) : [];
      },
    );
    const places = (["first", "second"] as const).flatMap((which) => {
      const place = feature[which];
      return place.at
        ? of(`place-${which}`, place.at, "place", placeWords(place, feature, which, names))
        : [];
    });
    return [...sizes, ...places];
  });
}

/** How a size of a feature is measured by what it is called; null for what no instrument of a shop measures there. */
function howOf(key: string): MeasuredHow | null {
  if (/radius|angle|leg|land|thread/i.test(key)) return null;
  if (/pitch/i.test(key)) return "place";
  return /depth/i.test(key) ? "depth" : "inside";
}

/** A size's key as it is said: "headDiameter" is "head diameter". */
const spelled = (key: string): string => key.replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);

function placeWords(
  { from, of, toward }: Locate,
  feature: Feature,
  which: "first" | "second",
  names: ReadonlyMap<string, string>,
): string {
  if (from === "feature") return `place from ${names.get(of ?? "") ?? "another feature"}`;
  if (from !== "center") return `place from the ${from}`;
  const axis = axesAcross(feature.face)[which === "first" ? 0 : 1];
  return `place from the middle of the ${axis}${toward ? `, toward the ${toward}` : ""}`;
}

const threadGauge: Gauge["answers"] = {
  passes: "Go enters, no-go stays out",
  tight: "Go does not enter",
  loose: "No-go enters",
};
const surfacePlate: Gauge["answers"] = {
  passes: "As fine as the plate, or finer",
  tight: "Rougher than the plate",
  loose: "Torn or marked",
};
const fitTried: Gauge["answers"] = { passes: "Goes as it should", tight: "Too tight", loose: "Too loose" };

/** What is tried with a gauge, a plate or the mate itself: threads, finish, fits. */
export function gaugesAsked({ part }: Judged, { here }: Happened): Asked[] {
  const names = featureNames(featuresOf(part));
  const asked = (
    of: FeatureKey,
    called: string,
    how: MeasuredHow,
    answers: Gauge["answers"],
    required: boolean,
    since: number,
    gap: Gauge["gap"] = null,
  ): Asked => {
    const said = here.findLast(
      (r): r is JobRecord & { type: "gauged" } => r.type === "gauged" && r.of === of,
    );
    return {
      of,
      name: words(called),
      drawn: null,
      limits: { lower: 0, upper: 0 },
      deviation: null,
      how,
      required,
      critical: false,
      gauge: {
        answers,
        gap,
        answer:
          said && said.seq > since
            ? { id: said.id, value: said.answer, play: said.play ?? null, where: said.where ?? null }
            : null,
      },
      readings: [],
    };
  };
  const threads = featuresOf(part).flatMap((f) => {
    const thread = f.kind === "hole" ? threadOf(f) : null;
    if (!thread) return [];
    const name = `${names.get(f.id) ?? "hole"}, thread`;
    return [
      asked(
        `${f.id}/thread`,
        name,
        "thread",
        threadGauge,
        false,
        lastCut(here, (r) => cutsFeature(r, f.id)),
      ),
    ];
  });
  const finish = faceNames.flatMap((face) => {
    const { ra } = part.faces[face];
    if (ra === null) return [];
    const since = lastCut(here, (r) => cutsFace(r, [face]));
    return [asked(`ra/${face}`, `the ${face}, Ra ${ra} or finer`, "surface", surfacePlate, true, since)];
  });
  const fits = part.mates.order.flatMap((id) => {
    const mate = part.mates.byId[id];
    if (mate?.kind !== "fits" || mate.size === "") return [];
    const [owner] = mate.size.split("/");
    const since = lastCut(here, (r) => cutsFeature(r, owner ?? ""));
    const name = `fit ${mate.outer ? "over" : "in"} ${mate.other.trim() || "its mate"}`;
    return [asked(`fit/${id}`, capital(name), "form", fitTried, false, since, wantedGap(mate))];
  });
  return [...threads, ...finish, ...fits];
}

/** The deviation of a size made to a mate as it was measured, where that needs limits the drawing does not give. */
function fitDeviation(
  part: Pick<Part, "mates">,
  path: string,
  drawn: Limits | null,
): Requirement["deviation"] {
  const fitted = fittedLimits(part, path);
  return fitted && drawn && widerThan(fitted.limits, drawn)
    ? { drawn, reason: say`Made to ${fitted.other} as it was measured.` }
    : null;
}

/** Why an outside size is not made as drawn: another size was agreed, or it is made to a mate that needs other limits. */
function deviationOf(job: Job, axis: Axis): Requirement["deviation"] {
  const size = job.part.sizes[axis];
  const drawn = size && limitsOf(size, job.part);
  if (fittedLimits(job.part, `sizes/${axis}`)) return fitDeviation(job.part, `sizes/${axis}`, drawn);
  const retarget = job.retargets[axis];
  return retarget ? { drawn, reason: words(retarget.reason) } : null;
}
