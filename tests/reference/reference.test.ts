import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import type { Answers, Inputs, Outputs } from "./answers.ts";
import { answers as angles } from "./angles.ts";
import { answers as castfit } from "./castfit.ts";
import { answers as costs } from "./costs.ts";
import { answers as deflection } from "./deflection.ts";
import { answers as dialMoves } from "./dial-moves.ts";
import { answers as drillTap } from "./drill-tap.ts";
import { answers as forcePower } from "./force-power.ts";
import { answers as keys } from "./keys.ts";
import { answers as locating } from "./locating.ts";
import { answers as measured } from "./measured.ts";
import { answers as passes } from "./passes.ts";
import { answers as speedFeedBands } from "./speed-feed-bands.ts";
import { answers as speedsFeeds } from "./speeds-feeds.ts";
import { answers as tolerances } from "./tolerances.ts";
import { answers as units } from "./units.ts";
import { answers as weights } from "./weights.ts";
import { answers as workholding } from "./workholding.ts";

interface Tolerance {
  abs?: number;
  rel?: number;
  keys?: { [name: string]: Tolerance };
}
interface Case {
  id: string;
  kind: string;
  inputs: Inputs;
  expected: { [name: string]: unknown };
  tolerance: Tolerance;
  informative?: string[];
}

const topics: { [topic: string]: Answers } = {
  units,
  keys,
  "drill-tap": drillTap,
  angles,
  passes,
  "speeds-feeds": speedsFeeds,
  measured,
  castfit,
  costs,
  "dial-moves": dialMoves,
  locating,
  "force-power": forcePower,
  deflection,
  weights,
  workholding,
  tolerances,
  "speed-feed-bands": speedFeedBands,
};

function same(got: unknown, expected: unknown, tolerance: Tolerance): boolean {
  if (typeof expected === "number") {
    const allowed = Math.max(tolerance.abs ?? 0, (tolerance.rel ?? 0) * Math.abs(expected));
    return typeof got === "number" && Math.abs(got - expected) <= allowed + 1e-15;
  }
  if (Array.isArray(expected)) {
    return (
      Array.isArray(got) &&
      got.length === expected.length &&
      expected.every((e, i) => same(got[i], e, tolerance))
    );
  }
  if (typeof expected === "object" && expected !== null)
    return Object.entries(expected).every(([name, value]) =>
      same((got as Outputs | undefined)?.[name], value, tolerance.keys?.[name] ?? tolerance),
    );
  return got === expected;
}

const allSame = (got: Outputs, expected: Case["expected"], tolerance: Tolerance, skip: string[] = []) =>
  Object.entries(expected).every(
    ([name, value]) => skip.includes(name) || same(got[name], value, tolerance.keys?.[name] ?? tolerance),
  );

/** The outer limits of a band case: feeds and speeds, the specific force at a tenth, density. */
function bandOf(expected: Case["expected"]): [low: number, high: number] | null {
  const ends = ["outer_low", "kc_at_0p1_low", "density_low"].map((start) => {
    const low = Object.entries(expected).find(([name]) => name.startsWith(start));
    const high = low && expected[low[0].replace("_low", "_high")];
    return low && typeof high === "number" ? ([low[1] as number, high] as [number, number]) : null;
  });
  return ends.find((band) => band !== null) ?? null;
}

/** Applies the tolerance rule of the reference README to one case. */
function meets(c: Case, got: Outputs): boolean {
  const { accept, accept_nominal_mm, accept_refusal, accept_text, forbidden_nominal_mm, ...plain } =
    c.expected as {
      accept?: Case["expected"][];
      accept_nominal_mm?: number[];
      accept_refusal?: boolean;
      accept_text?: string[];
      forbidden_nominal_mm?: number[];
    } & Case["expected"];
  const band = bandOf(plain);
  if (band) {
    const value = got.value ?? got.kc_at_0p1_n_mm2 ?? got.density_kg_m3;
    return typeof value === "number" && value >= band[0] && value <= band[1];
  }
  if (accept) return accept.some((member) => allSame(got, member, c.tolerance));
  if (accept_text) return accept_text.includes(got.text as string);
  if (accept_nominal_mm) {
    if (got.refuse) return accept_refusal === true;
    if (forbidden_nominal_mm?.some((f) => same(got.nominal_mm, f, c.tolerance))) return false;
    return accept_nominal_mm.some((a) => same(got.nominal_mm, a, c.tolerance));
  }
  return allSame(got, plain, c.tolerance, c.informative);
}

/** Inputs that a kind does not need for its answer, or that every number has one for ("out of the band"). */
const unused: { [kind: string]: readonly string[] } = {
  hm_versus_integral: ["kc11_n_mm2"],
  show: ["decimals"],
  judge: ["vc_m_min"],
};
/** A speed, a feed, a number of teeth, a lead or a share below nothing is none. */
const neverBelow =
  /^(n_rpm|vc_m_min|vf_mm_min|fz_mm|teeth|lead_mm|efficiency|pitch_mm|kc11_n_mm2|uncertainty_u_mm|l[xy]_mm)$/;

for (const [topic, answers] of Object.entries(topics)) {
  const { cases } = JSON.parse(readFileSync(new URL(`${topic}.json`, import.meta.url), "utf8")) as {
    cases: Case[];
  };
  const answered = cases.filter((c) => c.kind in answers);
  describe(`reference cases: ${topic}`, () => {
    test.each(answered.map((c) => [c.id, c] as const))("%s", (_id, c) => {
      const got = answers[c.kind]!(c.inputs);
      expect(meets(c, got), `expected ${JSON.stringify(c.expected)}, got ${JSON.stringify(got)}`).toBe(true);
    });

    const numbers = answered.flatMap((c) =>
      c.kind === "refuse"
        ? []
        : Object.entries(c.inputs).flatMap(([key, value]) =>
            typeof value === "number" && !unused[c.kind]?.includes(key) ? [{ c, key, value }] : [],
          ),
    );
    test("no answer for what is no number, nor for what cannot be below nothing", () => {
      for (const { c, key, value } of numbers)
        for (const wrong of neverBelow.test(key) ? [NaN, -Math.abs(value) || -1] : [NaN])
          expect([c.kind, key, wrong, answers[c.kind]!({ ...c.inputs, [key]: wrong })]).toEqual([
            c.kind,
            key,
            wrong,
            { refuse: true },
          ]);
    });
  });
}
