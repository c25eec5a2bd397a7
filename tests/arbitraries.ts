import * as fc from "fast-check";
import { axesAcross, type Axis, axisNames, faceNames, facesOf, type Sizes } from "../core/frame/index.ts";
import { cutTask, type CutTask } from "../core/cutting/index.ts";
import {
  cutKinds,
  cutterKindFacts,
  cutterKinds,
  faceConditions,
  machineClasses,
  materials,
  toolMaterials,
} from "../core/handbook/index.ts";
import {
  type Feature,
  featureKinds,
  fromEdge,
  type Locate,
  rulesOf,
  withChoice,
} from "../core/part/index.ts";
import { type Job, newJob } from "../core/job/index.ts";
import { type Dimension, type LengthUnit, toMm } from "../core/quantity/index.ts";
import { type SchoolName, schoolNames } from "../core/squaring/index.ts";
import { type Cutter, cutterConditions, demoShop, type Machine, newCutter } from "../core/shop/index.ts";
import { dim, read } from "./support/cheek-block.ts";

const unit = fc.constantFrom<LengthUnit>("mm", "in");

/** A drawn size as a person types it, in the unit it names. */
export const dimensionText: fc.Arbitrary<{ text: string; unit: LengthUnit }> = unit.chain((u) =>
  fc
    .record({
      nominal:
        u === "mm"
          ? fc.integer({ min: 100, max: 40_000 }).map((n) => n / 100)
          : fc.integer({ min: 100, max: 15_000 }).map((n) => n / 1000),
      form: fc.constantFrom("plain", "pm", "pair", "limits"),
      wide: fc.integer({ min: 1, max: 30 }),
      named: fc.boolean(),
    })
    .map(({ nominal, form, wide, named }) => {
      const step = u === "mm" ? wide / 100 : wide / 1000;
      const tail = named ? ` ${u}` : "";
      const text = {
        plain: `${nominal}${tail}`,
        pm: `${nominal} ±${step}${tail}`,
        pair: `${nominal} +${step}/-0${tail}`,
        limits: `${nominal}…${Math.round((nominal + step) * 1000) / 1000}${tail}`,
      }[form as "plain"];
      return { text, unit: u };
    }),
);

/** A cutter that mills, of any kind, with a plausible shape. */
export const cutter: fc.Arbitrary<Cutter> = fc
  .record({
    kind: fc.constantFrom(...cutterKinds.filter((kind) => cutterKindFacts[kind].cuts.length > 0)),
    material: fc.constantFrom(...toolMaterials),
    diameter: fc.integer({ min: 3, max: 120 }),
    teeth: fc.integer({ min: 1, max: 12 }),
    flute: fc.integer({ min: 4, max: 90 }),
    out: fc.integer({ min: 0, max: 40 }),
    helix: fc.constantFrom(0, 15, 30, 45),
    maxDepth: fc.option(fc.integer({ min: 5, max: 60 }).map((n) => n / 10)),
    condition: fc.constantFrom(...cutterConditions),
    runOut: fc.option(fc.integer({ min: 0, max: 60 }).map((n) => n / 1000)),
    enteringAngle: fc.constantFrom(90, 90, 75, 45),
  })
  .map(({ flute, out, ...c }) => {
    const made = newCutter({ id: "any", name: "any", fluteLength: flute, ...c });
    return { ...made, stickout: flute + out, cornerRadius: Math.min(made.cornerRadius, c.diameter / 2) };
  });

/** One of the demo machines with power, class, drive and pull test changed. */
export const machine: fc.Arbitrary<Machine> = fc
  .record({
    base: fc.constantFrom(...demoShop.machines),
    power: fc.integer({ min: 3, max: 60 }),
    class: fc.constantFrom(...machineClasses),
    slip: fc.option(fc.integer({ min: 5, max: 80 })),
    base_: fc.option(fc.integer({ min: 300, max: 2000 })),
    variable: fc.boolean(),
  })
  .map(({ base, power, slip, base_, variable, ...rest }) => ({
    ...base,
    ...rest,
    motorPower: power / 10,
    ranges: base.ranges.map((range) => ({
      ...range,
      slipTorque: slip,
      baseRpm: base_,
      ...(variable ? { speeds: { kind: "variable" as const, from: 60, to: 3000 } } : {}),
    })),
  }));

/** What a cut may be asked to do, of any kind. */
export const cutAsked: fc.Arbitrary<CutTask> = fc
  .record({
    kind: fc.constantFrom(...cutKinds),
    length: fc.integer({ min: 10, max: 300 }),
    across: fc.integer({ min: 4, max: 120 }),
    tenths: fc.integer({ min: 1, max: 80 }),
    halfTolerance: fc.option(fc.constantFrom(0.01, 0.05, 0.2)),
    ra: fc.option(fc.constantFrom(0.8, 3.2)),
    aim: fc.constantFrom("usual" as const, "usual" as const, "quick" as const),
    skin: fc.constantFrom(0, 0, 0.3, 1),
  })
  .map(({ tenths, ...task }) => cutTask({ ...task, total: tenths / 10 }));

export const material = fc.constantFrom(...materials);

/** Finished sizes the demo vise can hold, mm. */
const sizes: fc.Arbitrary<Sizes> = fc.record({
  length: fc.integer({ min: 25, max: 110 }),
  width: fc.integer({ min: 25, max: 90 }),
  height: fc.integer({ min: 15, max: 60 }),
});

/** The overrides of a job that takes a school. */
const bySchool = (school: SchoolName): Job["overrides"] =>
  school === "round"
    ? { byId: {}, order: [] }
    : {
        byId: {
          s: {
            id: "s",
            at: "route",
            what: "school",
            value: school,
            reason: "",
            since: "2026-11-25T08:00:00Z",
          },
        },
        order: ["s"],
      };

/** A job with a drawing and a measured lump that may or may not be enough. */
export const job: fc.Arbitrary<Job> = fc
  .record({
    sizes,
    unit,
    spare: fc.record({
      length: fc.integer({ min: -10, max: 60 }),
      width: fc.integer({ min: -10, max: 60 }),
      height: fc.integer({ min: -10, max: 60 }),
    }),
    spread: fc.integer({ min: 0, max: 6 }),
    conditions: fc.record(
      Object.fromEntries(faceNames.map((f) => [f, fc.constantFrom(...faceConditions)])) as Record<
        (typeof faceNames)[number],
        fc.Arbitrary<(typeof faceConditions)[number]>
      >,
    ),
    material,
    machine: fc.constantFrom("knee", "bench"),
    school: fc.constantFrom<SchoolName>("round", ...schoolNames),
  })
  .map(({ school, ...made }) => {
    const base = { ...newJob("any", "Any", made.machine, "vise-125"), overrides: bySchool(school) };
    const inUnit = (mm: number) =>
      made.unit === "mm" ? String(mm) : String(Math.round((mm / 25.4) * 1000) / 1000);
    const drawn = Object.fromEntries(
      axisNames.map((a) => [
        a,
        dim(`${inUnit(made.sizes[a])} ±${made.unit === "mm" ? "0.05" : "0.002"}`, made.unit),
      ]),
    ) as Record<Axis, Dimension>;
    const measured = Object.fromEntries(
      axisNames.map((a) => {
        const large = Math.round((drawn[a].nominal + made.spare[a] / 10) * 100) / 100;
        return [
          a,
          {
            p1: read(large),
            p2: read(Math.round((large - made.spread / 10) * 100) / 100),
            p3: null,
            p4: null,
          },
        ];
      }),
    ) as Job["stock"]["measured"];
    return {
      ...base,
      part: { ...base.part, material: made.material.id, sizes: drawn },
      stock: { ...base.stock, conditions: made.conditions, measured },
    };
  });

/** The same job drawn and measured in the other unit: values stay, what is written changes. */
export function rewritten(original: Job, to: LengthUnit): Job {
  const size = (d: Dimension | null): Dimension | null =>
    d && { ...d, written: { text: `${d.nominal / toMm(1, to)}`, unit: to } };
  return {
    ...original,
    part: {
      ...original.part,
      sizes: Object.fromEntries(
        axisNames.map((a) => [a, size(original.part.sizes[a])]),
      ) as Job["part"]["sizes"],
    },
  };
}

/** A drawn size in whole mm. */
export const wholeDimension: fc.Arbitrary<Dimension> = fc
  .integer({ min: 1, max: 90 })
  .map((n) => dim(String(n)));

/** Any choice, size, number and place of any kind on any face; whole or with something missing, inside or out. */
export const feature: fc.Arbitrary<Feature> = fc
  .record({
    kind: fc.constantFrom(...featureKinds),
    face: fc.constantFrom(...faceNames),
    places: fc.tuple(fc.nat(4), fc.nat(4)),
    at: fc.tuple(fc.option(wholeDimension), fc.option(wholeDimension)),
    sizes: fc.array(fc.option(wholeDimension, { freq: 6 }), { minLength: 10, maxLength: 10 }),
    numbers: fc.array(fc.option(fc.integer({ min: 1, max: 100 })), { minLength: 6, maxLength: 6 }),
    picks: fc.array(fc.nat(50), { minLength: 6, maxLength: 6 }),
  })
  .map(({ kind, face, places, at, sizes, numbers, picks }): Feature => {
    const axes = axesAcross(face);
    const place = (i: 0 | 1): Locate => {
      const [low, high] = facesOf(axes[i]);
      const center = { from: "center" as const, of: null };
      return [
        fromEdge(low, at[i]),
        fromEdge(high, at[i]),
        { ...center, toward: null, at: at[i] },
        { ...center, toward: low, at: at[i] },
        { ...center, toward: high, at: at[i] },
      ][places[i]]!;
    };
    const rules = rulesOf(kind);
    const made = rules.make("any", face);
    const filled = <V>(keys: object, values: V[]) =>
      Object.fromEntries(Object.keys(keys).map((key, i) => [key, values[i] ?? null]));
    const whole = {
      ...made,
      first: place(0),
      second: place(1),
      sizes: filled(made.sizes, sizes),
      numbers: filled(made.numbers, numbers),
    } as Feature;
    const picked = picks.reduce((now, pick, i) => {
      const field = rules.choices(now)[i];
      return field ? withChoice(now, field.key, field.options[pick % field.options.length]![0]) : now;
    }, whole);
    if (picked.kind !== "outline") return picked;
    const [w, h] = [picks[4]! + 4, picks[5]! + 4];
    const corners = [
      { x: -w, y: -h, bulge: 0 },
      { x: w, y: -h, bulge: 0.3 },
      { x: w, y: h, bulge: 0 },
      { x: -w / 2, y: h, bulge: 0 },
    ];
    return { ...picked, corners };
  });
