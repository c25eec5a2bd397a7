import { describe, expect, test } from "vitest";
import type { Shape } from "../figure/index.ts";
import type { LengthUnit } from "../quantity/index.ts";
import { phraseText } from "../working/index.ts";
import { isChoice, sumById, sums, textsIn, workSum } from "./index.ts";

const work = (id: string, texts: { [key: string]: string } = {}, unit: LengthUnit = "mm") =>
  workSum(sumById(id)!, (key) => texts[key] ?? null, unit);
const told = (worked: ReturnType<typeof work>) =>
  [
    ...worked.fields.map((f) => (f.problem ? `${f.key}: ${phraseText(f.problem, "mm")}` : "")),
    worked.refusal ? phraseText(worked.refusal.reason, "mm") : "",
    ...(worked.answer?.warnings ?? []).map((w) => phraseText(w.phrase, "mm")),
  ].join("");

/** Where a shape lies: its corners, its ends, the edge of a circle. */
function pointsOf(shape: Shape): (readonly [number, number])[] {
  switch (shape.kind) {
    case "path":
      return shape.outlines.flat().map(({ x, y }) => [x, y] as const);
    case "line":
      return shape.points;
    case "rect":
      return [
        [shape.x, shape.y],
        [shape.x + shape.w, shape.y + shape.h],
      ];
    case "circle":
      return [
        [shape.x - shape.r, shape.y - shape.r],
        [shape.x + shape.r, shape.y + shape.r],
      ];
    case "dimension":
      return [shape.from, shape.to];
    case "text":
      return [[shape.x, shape.y]];
  }
}

/** What nobody means, and what somebody types. */
const extremes = ["0.00001", "0.0001", "9999", "999999999", "1e308", "-1", "NaN"];

describe.each(sums)("$title", (sum) => {
  test.each(["mm", "in"] as const)("opens with an answer and its working in %s", (unit) => {
    const { answer } = workSum(sum, () => null, unit);
    expect(answer!.figures.length).toBeGreaterThan(0);
    for (const { value } of answer!.figures) expect(Number.isFinite(value.value)).toBe(true);
    expect(answer!.working.lines.length).toBeGreaterThan(2);
    expect(answer!.working.lines.some((l) => l.sum)).toBe(true);
  });

  test.each(["mm", "in"] as const)("is drawn, all of it inside its sheet, in %s", (unit) => {
    const { drawing } = workSum(sum, () => null, unit).answer!;
    expect(drawing!.shapes.length).toBeGreaterThan(2);
    for (const [x, y] of drawing!.shapes.flatMap(pointsOf)) {
      expect([x >= -0.01, x <= drawing!.width + 0.01]).toEqual([true, true]);
      expect([y >= -0.01, y <= drawing!.height + 0.01]).toEqual([true, true]);
    }
  });

  test("the display unit changes nothing", () => {
    const first = workSum(sum, () => null, "mm");
    const inches = textsIn(sum, first, "in");
    const second = workSum(sum, (key) => inches[key] ?? null, "in");
    expect(second.answer!.figures.length).toBe(first.answer!.figures.length);
    first.answer!.figures.forEach(({ label, value }, i) => {
      const other = second.answer!.figures[i]!.value.value;
      expect([label, Math.abs(other - value.value) <= 1e-6 * Math.abs(value.value) + 1e-9]).toEqual([
        label,
        true,
      ]);
    });
  });

  test("switched there and back the fields read as before", () => {
    const there = textsIn(
      sum,
      workSum(sum, () => null, "mm"),
      "in",
    );
    const back = textsIn(
      sum,
      workSum(sum, (key) => there[key] ?? null, "in"),
      "mm",
    );
    for (const field of sum.fields) expect(back[field.key]).toBe(field.usual.mm);
  });

  test("no field takes rubbish, nor does nothing or a huge number break it", () => {
    for (const field of sum.fields) {
      const rubbish = workSum(sum, (key) => (key === field.key ? "x?" : null), "mm");
      expect(rubbish.fields.find((f) => f.key === field.key)!.problem).not.toBeNull();
      expect(rubbish.answer).toBeNull();
      for (const text of isChoice(field) ? [""] : ["", "0", ...extremes]) {
        const worked = workSum(sum, (key) => (key === field.key ? text : null), "mm");
        if (!worked.answer) expect(told(worked).length).toBeGreaterThan(10);
      }
    }
  });

  test("no two fields of any size together give a figure that is none", () => {
    const keys = sum.fields.filter((f) => !isChoice(f)).map((f) => f.key);
    for (const a of keys)
      for (const b of keys)
        for (const one of extremes)
          for (const other of a < b ? extremes : a === b ? [one] : []) {
            const texts = { [a]: one, [b]: other };
            const figures = work(sum.id, texts).answer?.figures ?? [];
            const bad = figures.filter((f) => !Number.isFinite(f.value.value)).map((f) => f.label);
            expect([texts, bad]).toEqual([texts, []]);
          }
  });
});

test.each<[string, { [key: string]: string }, RegExp]>([
  ["pocket", { cutter: "0.00001" }, /more than 200 rings/],
  ["pocket", { x: "9000", y: "9000" }, /more than 200 rings/],
  ["power", { teeth: "999999999" }, /at most 400/],
  ["power", { ap: "30", motor: "0.5" }, /needed of 0.38 kW at the spindle: too much; \d/],
  ["power", { ae: "25" }, /within the diameter/],
  ["power", { teeth: "2.5" }, /teeth whole/],
  ["speed-feed", { kind: "twistDrill", diameter: "10", through: "4" }, /grabs/],
  ["vise", { force: "5000" }, /with a safety of 2.5/],
  ["vise", { other: "0.3" }, /the other is loose/],
  ["strap", { straps: "1" }, /turns the part about it/],
  ["strap", { length: "60" }, /too few threads/],
  ["tilt", { angle: "95" }, /between 0° and 89°/],
  ["tilt", { ridge: "40" }, /lower than the lanes/],
  ["combined-z", { tilt: "10" }, /sideways/],
  ["lifted", { contact: "0" }, /above zero/],
  ["how-true", { purpose: "gauge" }, /misses by 13 times/],
  ["how-true", { own: "0.05", error: "0.03", over: "100" }, /It does for that/],
  ["play", { third: "0.09" }, /binds at one end/],
  ["play", { wanted: "0.02", second: "0.02", third: "0.02" }, /Nothing more comes off/],
  ["play", { first: "-0.1" }, /is not a size/],
  ["sides", {}, /30.9.* agrees with none/],
  ["sides", { b: "" }, /Type/],
  ["grinding", { smallest: "40.1" }, /0.08 mm a side is missing/],
  ["grinding", { most: "0.1" }, /a side more than asked/],
  ["grinding", { largest: "40" }, /cannot lie below the smallest/],
  ["vise-pull", { force: "6000" }, /None of these holds/],
  ["vise-pull", {}, /is tight enough/],
])("%s with %j says so", (id, texts, message) => expect(told(work(id, texts))).toMatch(message));

test.each<[string, { [key: string]: string }, label: RegExp, value: number]>([
  // By hand: cos 60° = 1/2, sin 30° = 1/2.
  ["tilt", { case: "headKnee", step: "3", angle: "60" }, /true depth/, 1.5],
  ["tilt", { case: "headQuill", step: "3", angle: "60" }, /true depth/, 3],
  ["tilt", { ridge: "0.0175", width: "35", sweep: "200" }, /indicator shows/, 0.1],
  ["combined-z", { knee: "2", quill: "-0.5" }, /deeper than at the touch/, 1.5],
  ["tilt", { case: "part", step: "3", angle: "30" }, /edge goes back/, 6],
])("%s with %j gives %s %d", (id, texts, label, value) => {
  const figure = work(id, texts).answer!.figures.find((f) => label.test(f.label));
  expect(figure!.value.value).toBeCloseTo(value, 6);
});

describe("moves of the spindle", () => {
  test.each([
    ["slot", { cutter: "8" }, "cuts it 8.00 mm or wider", { cutter: "7.5" }],
    ["pocket", { cutter: "12" }, "larger than 5.00 mm", { cutter: "10" }],
    ["pocket", { cutter: "8" }, "right only when the drawing says R max", { cutter: "10" }],
    ["centre", { second: "0" }, "tool does not fit", { second: "20" }],
  ])("%s with %o is told, a near one is not", (id, slip, text, near) => {
    expect(told(work(id, slip as { [key: string]: string }))).toContain(text);
    expect(told(work(id, near as { [key: string]: string }))).not.toContain(text);
  });

  test("the paper counts at an edge on the side the tool stands, and on top", () => {
    const set = (at: string) =>
      work("touch-off", { at, tool: "10", medium: "0.1", face: "0" }).answer!.figures[0]!.value.value;
    expect([set("minus"), set("plus"), set("top")]).toEqual([-5.1, 5.1, 0.1]);
  });
});

test.each<[string, { [key: string]: string }, label: string, value: number]>([
  ["lifted", { gap: "0.06", contact: "60", shim: "50", height: "40" }, "shim that stops the rock", 0.05],
  ["lifted", { gap: "0.06", contact: "60", shim: "50", height: "40" }, "out of square over its height", 0.04],
  ["jacks", { a: "50.1", b: "50", c: "49.9" }, "raise the third by", 0.2],
  ["how-true", { error: "0.02", over: "80" }, "over 100 mm", 0.025],
  [
    "play",
    { first: "0.02", second: "", third: "0.03", wanted: "0.05", sides: "both" },
    "to come off a side",
    0.015,
  ],
  ["sides", { a: "30", b: "30.02", c: "29.98", d: "31", e: "", f: "" }, "mean of those that agree", 30],
  ["grinding", { smallest: "40.3", finished: "40", step: "0.05" }, "least a side, at the worst place", 0.1],
  // 600 N × 2.5 ÷ (2 × 0.15) = 5 000 N; 40 N·m clamp with 12 566 N.
  ["vise-pull", { force: "600" }, "the cut needs a pull of", 15.9],
])("%s with %j: %s", (id, texts, label, value) => {
  const figure = work(id, texts).answer!.figures.find((f) => f.label === label);
  expect(figure!.value.value).toBeCloseTo(value, 1 + Number(value < 1) * 4);
});
