import { describe, expect, test } from "vitest";
import { type CutTask, cutTask, cutWith, mayClimb, nothingOwn, tiltedStep } from "../core/cutting/index.ts";
import { materials } from "../core/handbook/index.ts";
import type { Sizes } from "../core/frame/index.ts";
import {
  drillGrabs,
  feedDirection,
  gripCapacity,
  type GripCapacity,
  noDaylightFor,
  noTravelFor,
  oneStrapTurns,
  otherFaceAtJaw,
  pairInVise,
  parallelReached,
  pullMovesZero,
  pushesAway,
  type Seat,
  seatInVise,
  sprungByJaws,
  type StudStack,
  studWarnings,
  thinBows,
  twistsJaw,
} from "../core/holding/index.ts";
import type { Piece } from "../core/stock/index.ts";
import type { Job } from "../core/job/index.ts";
import { type Plan, plan } from "../core/plan/index.ts";
import { cannotBe, sizeVerdict } from "../core/inspect/index.ts";
import { checkItem, type Cutter, demoShop, type Instrument, type Machine } from "../core/shop/index.ts";
import { block, dim, cheekBlock, read } from "./support/cheek-block.ts";
import { faceIn, pieceOf, seatRequest } from "./support/seats.ts";
import { phraseIds } from "./support/phrase-ids.ts";
import { appended, walk } from "./support/walker.ts";
import { faceCuts } from "./support/faces.ts";

const caliper = demoShop.instruments[0]!;

const planOf = (job: Job): Plan => plan({ job, records: [], shop: demoShop, piece: 1 });

const reading = (
  value: number,
  expected: number,
  before: number | null,
  instrument: Instrument = caliper,
  text = String(value),
) => cannotBe({ value, text, unit: "mm" }, expected, before, instrument);

const ownDepth = (value: number): [string, unknown][] => [
  [
    "overrides/byId/a",
    { id: "a", at: "back/face", what: "depth", value, reason: "tried before", since: "2026-11-25T08:00:00Z" },
  ],
  ["overrides/order", ["a"]],
];

const machined = ["left", "right", "front", "back", "bottom", "top"].map((face): [string, unknown] => [
  `stock/conditions/${face}`,
  "milled",
]);

/** Readings that agree: faces that were bought parallel. */
const even = [99.4, 63.6, 41.2].map((size, i): [string, unknown] => [
  `stock/measured/${["length", "width", "height"][i]!}/p2`,
  read(size),
]);

/** Walks until a tick is left out; the steps that were reached, and the step it stands at. */
const standsAt = (omit: string) => {
  const { plan: made } = walk(cheekBlock(), { omit });
  return made.steps[made.current]!;
};

/** The demo block at its first cut, with its zero made stale by some cause, or a mere note written. */
function afterFirstCut(stale: boolean) {
  const { records } = walk(cheekBlock(), { until: (step) => step.id === "cut-2" });
  const more = appended(
    records,
    stale ? { type: "stale", op: "back/face", cause: "knee" } : { type: "note", text: "looks fine" },
  );
  const made = plan({ job: cheekBlock(), records: more, shop: demoShop, piece: 1 });
  return made.steps[made.current]!;
}

/** The demo block with another school. */
const withSchool = (value: string): Plan =>
  planOf(
    block(
      [
        "overrides/byId/s",
        { id: "s", at: "route", what: "school", value, reason: "", since: "2026-11-25T08:00:00Z" },
      ],
      ["overrides/order", ["s"]],
    ),
  );

/** The steps of the demo block's first setup when the part moved before some pass. */
function afterMoving(before: string) {
  const { records } = walk(cheekBlock(), { until: (step) => step.id === before });
  const more = appended(records, { type: "stale", op: "back/face", cause: "moved" });
  return plan({ job: cheekBlock(), records: more, shop: demoShop, piece: 1 }).steps.filter(
    (s) => s.setup === 1,
  );
}

/** The plan after three setups, with one more cut in one of them: the last hangs on the first, nothing on itself. */
function cutAgain(op: "back/face" | "top/face") {
  const { records } = walk(cheekBlock(), { until: (step) => step.setup === 3 });
  const more = appended(records, { type: "cut", op, pass: 9, stop: -2, last: false });
  return plan({ job: cheekBlock(), records: more, shop: demoShop, piece: 1 });
}

/** The job on the bench mill, whose readouts can be added. */
const readoutShop = {
  ...demoShop,
  machines: demoShop.machines.map((m) => ({ ...m, axes: { ...m.axes, z: { ...m.axes.z, readout: 0.005 } } })),
};

const [kneeMill, , horizontalMill] = demoShop.machines as [Machine, Machine, Machine];
const lowCarbon = materials.find((m) => m.id === "steel-low-drawn")!;
const cutterOf = (kind: Cutter["kind"], more: Partial<Cutter> = {}): Cutter => ({
  ...demoShop.cutters.find((c) => c.kind === kind)!,
  ...more,
});

const twoFlutes = demoShop.cutters.find((c) => c.id === "em-10-2")!;

/** A cut with one cutter of the demo shop on its knee mill, in mild steel. */
function cut(
  cutter: Cutter,
  asked: Partial<CutTask>,
  { machine = kneeMill, holders = demoShop.holders } = {},
) {
  const task = cutTask({ kind: "face", length: 100, across: 40, total: 1.5, ...asked });
  return cutWith(task, cutter, { machine, material: lowCarbon, shop: { holders, houseRules: [] } });
}
/** The limit that bound the depth, to be looked for as a phrase is. */
const boundOf = (outcome: ReturnType<typeof cut>) =>
  outcome.ok ? [{ id: outcome.value.bound, parts: [] }] : outcome;
const own = (given: Partial<CutTask["own"]>) => ({ own: { ...nothingOwn, ...given } });
const slotIn = (across: number, more: Partial<CutTask> = {}) =>
  ({ kind: "slot", across, total: 3, ...more }) as const;
const groove = (total: number): Partial<CutTask> => ({ kind: "groove", across: 10, total });
const sideOf = (across: number, more: Partial<CutTask> = {}) =>
  ({ kind: "side", across, total: 1, ...more }) as const;

const vise = demoShop.vises[0]!;
const longPair = demoShop.parallels[0]!;
const heavyMill: Machine = { ...kneeMill, motorPower: 15, ownForce: 8000, ownSpring: 500 };

/** A milled block in the vise, its top to be cut. */
const seatOf = ([length, width, height]: [number, number, number]) =>
  seatInVise(seatRequest(milledPiece({ length, width, height }), "top", "front"));
const milledPiece = (of: Sizes): Piece => pieceOf(of, "milled");
const seated = seatOf([100, 60, 41]);
if (!seated.ok) throw new Error("the block is not held");
const hangingOut: Seat = { ...seated.value, overhang: 6 };
const turned: Piece = {
  ...milledPiece({ length: 100, width: 60, height: 40 }),
  faces: {
    ...milledPiece({ length: 100, width: 60, height: 40 }).faces,
    back: faceIn("milled", { order: 2, cutFrom: "top" }),
  },
};
/** What the vise holds of a block gripped so deep and standing so high above the jaws. */
const gripOf = (grip: number, above: number, between = 60): GripCapacity =>
  gripCapacity(
    {
      ...seated.value,
      parallels: null,
      rod: null,
      standing: vise.jawDepth + above,
      effectiveGrip: grip,
      between,
    },
    vise,
    "steel",
  );
const studs: StudStack = {
  passes: [12, 30, 16, 3],
  nut: 10,
  tNut: 12,
  diameter: 12,
  length: 90,
  slot: 14,
  tNutWidth: 13.8,
  underTNut: 4,
};

/**
 * Each mistake of mistakes.md that this release catches: the slip, the phrase or state that catches it, and a near case
 * that must stay silent.
 */
const caught: [id: string, what: string, slip: () => unknown, expected: string, near: () => unknown][] = [
  [
    "M01",
    "the lump is 1 mm short of the height",
    () => planOf(block(["stock/measured/height/p2", read(38.2)])),
    "M01.short",
    () => planOf(block(["stock/measured/height/p2", read(39.1)])),
  ],
  [
    "M02",
    "the block grew after a cut",
    () => reading(62.45, 62.3, 62.35),
    "M02.grew",
    () => reading(62.4, 62.3, 62.35),
  ],
  [
    "M03",
    "an inch reading typed as mm",
    () => reading(2.45, 62.3, 62.4),
    "M03.slip",
    () => reading(62.3, 62.3, 62.4),
  ],
  [
    "M03",
    "the decimal point one place on",
    () => reading(6.23, 62.3, 62.4),
    "M03.slip",
    () => reading(62.25, 62.3, 62.4),
  ],
  [
    "M03",
    "finer than the instrument shows",
    () => reading(62.313, 62.3, 62.4),
    "M03.finer",
    () => reading(62.31, 62.3, 62.4),
  ],
  [
    "M04",
    "the amount does not go into the divisions of the dial",
    () => planOf(cheekBlock()).steps,
    "M04.rounding",
    () =>
      planOf(
        block(
          ["stock/measured/width/p1", read(63.0)],
          ["stock/measured/width/p2", read(63.0)],
          ["stock/measured/height/p1", read(41)],
          ["stock/measured/height/p2", read(41)],
          ["stock/measured/length/p1", read(99)],
          ["stock/measured/length/p2", read(99)],
        ),
      ).steps.filter((s) => s.pass && Math.abs(s.pass.residue) < 0.0005),
  ],
  [
    "M06",
    "an unmachined face at the moving jaw",
    () => planOf(cheekBlock()).steps,
    "M06.rod",
    () => planOf(block(...machined, ...even)).steps,
  ],
  [
    "M06",
    "machined faces out of parallel by their readings",
    () => planOf(block(...machined)).steps,
    "M06.rod",
    () => planOf(block(...machined, ...even)).steps,
  ],
  [
    "M07",
    "the next seat without deburring",
    () => standsAt("deburred-3"),
    "M07.burr",
    () => standsAt("out-part"),
  ],
  ["M08", "the rod left in", () => standsAt("out-rod"), "M08.left", () => standsAt("none such")],
  [
    "M10",
    "the first face did not clean up and becomes the reference",
    () =>
      walk(cheekBlock(), { clean: (s) => s.setup !== 1, until: (s) => s.setup === 2 && s.id === "clamp" })
        .plan.setups[1]!.warnings,
    "M10.notClean",
    () =>
      walk(cheekBlock(), { clean: (_s, asked) => asked > 1, until: (s) => s.setup === 2 && s.id === "clamp" })
        .plan.setups[1]!.warnings,
  ],
  [
    "M21",
    "deeper than 70 % of the power",
    () => planOf(block(...ownDepth(1.5))),
    "M21.power",
    () => planOf(block(...ownDepth(1.1))),
  ],
  [
    "M21",
    "deeper than the motor can",
    () => planOf(block(...ownDepth(9))).overrides,
    "M21.hard",
    () => planOf(block(...ownDepth(1.2))).overrides,
  ],
  [
    "M09",
    "parallels longer than the jaws beside an end that is cut",
    () => parallelReached(hangingOut, vise, { ...longPair, length: 140 }, 2),
    "M09.reached",
    () => parallelReached(hangingOut, vise, { ...longPair, length: 131 }, 2),
  ],
  [
    "M11",
    "more than the jaws open",
    () => seatOf([100, 131, 41]),
    "M11.opening",
    () => seatOf([100, 130, 41]),
  ],
  [
    "M12",
    "gripped by 12 with 90 standing above it: it would tip",
    () => boundOf(cut(cutterOf("shellMill"), { total: 2, grip: gripOf(12, 90) }, { machine: heavyMill })),
    "tipping",
    () => boundOf(cut(cutterOf("shellMill"), { total: 2, grip: gripOf(38, 12) }, { machine: heavyMill })),
  ],
  [
    "M13",
    "a jaw that gives 0.02 where 0.05 is the tolerance",
    () => pullMovesZero({ ...vise, stretch: 0.02 }, 0.05),
    "M13.stretch",
    () => pullMovesZero({ ...vise, stretch: 0.01 }, 0.05),
  ],
  [
    "M14",
    "straps moved without a look whether the part did",
    () => withSchool("table").steps.filter((s) => s.id === "clamp"),
    "M14.swapped",
    () => planOf(cheekBlock()).steps,
  ],
  [
    "M14",
    "the part moved after a cut and is cut on",
    () => afterMoving("cut-2"),
    "M14.moved",
    () => afterMoving("cut-1"),
  ],
  [
    "M39",
    "a face cut again after others were cut from it",
    () => cutAgain("back/face").rechecks,
    "M39.recut",
    () => cutAgain("top/face").rechecks,
  ],
  [
    "M12",
    "a short part hung out at one side of the jaws",
    () => twistsJaw({ ...hangingOut, along: 60 }, vise),
    "M12.offCenter",
    () => twistsJaw({ ...hangingOut, along: 160 }, vise),
  ],
  ["M15", "one strap and no stop", () => oneStrapTurns(1, 0), "M15.oneStrap", () => oneStrapTurns(1, 1)],
  [
    "M16",
    "a cutter that goes right pushes the part out of a jaw fixed at the back",
    () =>
      feedDirection("face", vise).why &&
      [pushesAway("right", vise)].map((away) => ({ id: String(away), parts: [] })),
    "true",
    () =>
      [pushesAway("left", vise), pushesAway("right", { fixedJaw: "front" })].map((away) => ({
        id: String(away),
        parts: [],
      })),
  ],
  [
    "M32",
    "turned round onto another face than the one across was cut from",
    () => otherFaceAtJaw(turned, "front", "bottom"),
    "M32.otherFace",
    () => otherFaceAtJaw(turned, "front", "top"),
  ],
  [
    "M32",
    "the same, but the block is squared the ordinary way",
    () => otherFaceAtJaw(turned, "front", "bottom"),
    "M32.otherFace",
    () => planOf(cheekBlock()).setups,
  ],
  [
    "M37",
    "a strip 8 thick and 150 long",
    () => thinBows({ length: 150, width: 40, height: 8 }, null),
    "M37.bow",
    () => thinBows({ length: 75, width: 40, height: 8 }, null),
  ],
  [
    "M41",
    "a plate 10 thick squeezed over 80",
    () => sprungByJaws({ ...hangingOut, between: 80, standing: 10 }),
    "M41.sprung",
    () => sprungByJaws({ ...hangingOut, between: 60, standing: 10 }),
  ],
  [
    "M42",
    "a wall 6 thick standing 60 above the jaws",
    () => cut(cutterOf("shellMill"), { across: 6, total: 1, grip: gripOf(30, 60, 6) }),
    "M42.rest",
    () => cut(cutterOf("shellMill"), { across: 40, total: 1, grip: gripOf(30, 20, 40) }),
  ],
  [
    "M43",
    "no daylight for a tall part under a long tool",
    () => noDaylightFor(kneeMill, vise, { ...hangingOut, standing: 280 }, 110),
    "M43.daylight",
    () => noDaylightFor(kneeMill, vise, { ...hangingOut, standing: 250 }, 110),
  ],
  [
    "M43",
    "a cut longer than the table goes",
    () => noTravelFor(kneeMill, 667, "x"),
    "M43.travel",
    () => noTravelFor(kneeMill, 647, "x"),
  ],
  [
    "M46",
    "two parts 0.1 apart in one vise",
    () => pairInVise(40, 40.1, false),
    "M46.loose",
    () => pairInVise(40, 40.1, true),
  ],
  [
    "M47",
    "a stud too short",
    () => studWarnings({ ...studs, length: 60 }, 5000),
    "M47.short",
    () => studWarnings(studs, 5000),
  ],
  [
    "M47",
    "a T-nut of a smaller slot",
    () => studWarnings({ ...studs, tNutWidth: 12 }, 5000),
    "M47.slot",
    () => studWarnings(studs, 5000),
  ],
  [
    "M47",
    "a stud that bottoms",
    () => studWarnings({ ...studs, length: 110 }, 5000),
    "M47.bottoms",
    () => studWarnings({ ...studs, length: 80 }, 5000),
  ],
  [
    "M47",
    "a pull that breaks the lips",
    () => studWarnings(studs, 30_000),
    "M47.preload",
    () => studWarnings(studs, 20_000),
  ],
  [
    "M48",
    "a 10 drill through 6 of plate",
    () => drillGrabs({ through: true, diameter: 10, thickness: 6, heldDown: false }),
    "M48.grab",
    () => drillGrabs({ through: true, diameter: 10, thickness: 6, heldDown: true }),
  ],
  [
    "M17",
    "climbing 1 mm deep with slack in the screw",
    () => cut(twoFlutes, sideOf(12, own({ climb: true }))),
    "M17.climb",
    () => cut(twoFlutes, sideOf(12, { total: 0.1, ...own({ climb: true }) })),
  ],
  [
    "M17",
    "the same as a bare rule: slack just above the chip of a turn",
    () => mayClimb(0.5, 0.16, 0.15),
    "M17.climb",
    () => mayClimb(0.5, 0.15, 0.15),
  ],
  [
    "M18",
    "a large cutter needs the low range, where this spindle turns the other way",
    () => cut(cutterOf("flyCutter"), {}),
    "M18.reversed",
    () => cut(cutterOf("endMill", { diameter: 8 }), {}),
  ],
  [
    "M19",
    "a good carbide mill into scale",
    () => cut(cutterOf("faceMill"), { skin: 0.3, hardSkin: true }),
    "M19.skin",
    () => cut(cutterOf("faceMill", { condition: "expendable" }), { skin: 0.3, hardSkin: true }),
  ],
  [
    "M19",
    "carbide in an interrupted cut",
    () => cut(cutterOf("faceMill"), { interrupted: true }),
    "M19.interrupted",
    () => cut(cutterOf("shellMill"), { interrupted: true }),
  ],
  [
    "M20",
    "flutes shorter than the wall",
    () => cut(cutterOf("endMill", { fluteLength: 20, stickout: 40 }), sideOf(20)),
    "M20.flute",
    () => cut(cutterOf("endMill", { fluteLength: 21, stickout: 40 }), sideOf(20)),
  ],
  [
    "M20",
    "wider than the slot",
    () => cut(cutterOf("endMill", { diameter: 12.2, shank: 12 }), slotIn(12)),
    "M20.wide",
    () => cut(cutterOf("endMill", { diameter: 12, shank: 12 }), slotIn(12)),
  ],
  [
    "M20",
    "too big for the inside corner",
    () => cut(cutterOf("endMill", { diameter: 12, shank: 12 }), sideOf(10, { insideRadius: 5 })),
    "M20.corner",
    () => cut(cutterOf("endMill", { diameter: 12, shank: 12 }), sideOf(10, { insideRadius: 6 })),
  ],
  [
    "M47",
    "the spindle nose against a stud beside a wall",
    () =>
      cut(
        cutterOf("endMill", { fluteLength: 41, stickout: 50 }),
        sideOf(40, { stud: { away: 30, rise: 35 } }),
      ),
    "M47.nose",
    () =>
      cut(
        cutterOf("endMill", { fluteLength: 41, stickout: 50 }),
        sideOf(40, { stud: { away: 60, rise: 35 } }),
      ),
  ],
  [
    "M20",
    "plunging without teeth to the center",
    () => cut(cutterOf("endMill", { diameter: 12, shank: 12 }), slotIn(12, { plunges: true })),
    "M20.plunge",
    () =>
      cut(
        cutterOf("endMill", { diameter: 12, shank: 12, centerCutting: true }),
        slotIn(12, { plunges: true }),
      ),
  ],
  [
    "M20",
    "out of its holder over 6 times its diameter",
    () => cut(cutterOf("endMill", { diameter: 10, shank: 10, fluteLength: 30, stickout: 61 }), sideOf(20)),
    "M20.stickout",
    () => cut(cutterOf("endMill", { diameter: 10, shank: 10, fluteLength: 30, stickout: 60 }), sideOf(20)),
  ],
  [
    "M20",
    "the collars stop the side-and-face cutter",
    () => cut(cutterOf("sideAndFace"), groove(20), { machine: horizontalMill }),
    "M20.collar",
    () => cut(cutterOf("sideAndFace"), groove(18), { machine: horizontalMill }),
  ],
  [
    "M21",
    "an own feed beyond what the tooth bears",
    () => cut(cutterOf("faceMill"), own({ vf: 2000 })),
    "M21.feed",
    () => cut(cutterOf("faceMill"), own({ vf: 190 })),
  ],
  [
    "M21",
    "an own speed that burns the edge",
    () => cut(cutterOf("endMill"), own({ rpm: 2720 })),
    "M21.speed",
    () => cut(cutterOf("endMill"), own({ rpm: 325 })),
  ],
  [
    "M22",
    "a feed so slow that the edge rubs",
    () => cut(cutterOf("faceMill"), own({ vf: 10 })),
    "M22.rub",
    () => cut(cutterOf("faceMill"), {}),
  ],
  [
    "M33",
    "a step with the head tilted",
    () => tiltedStep("headKnee", 3, 30),
    "M33.tilt",
    () => tiltedStep("headKnee", 3, 2),
  ],
  [
    "M38",
    "run-out as large as the feed of a tooth",
    () => cut(cutterOf("endMill", { runOut: 0.2 }), {}),
    "M38.oneTooth",
    () => cut(cutterOf("endMill", { runOut: 0.01 }), {}),
  ],
  [
    "M45",
    "an end mill in the drill chuck",
    () => cut(cutterOf("endMill", { holder: "chuck-13" }), {}),
    "M45.chuck",
    () => cut(cutterOf("endMill", { holder: "collet-20" }), {}),
  ],
  [
    "M45",
    "a shank of 18 in a 20 collet",
    () => cut(cutterOf("endMill", { shank: 18, holder: "collet-20" }), {}),
    "M45.holder",
    () => cut(cutterOf("endMill", { shank: 19.9, holder: "collet-20" }), {}),
  ],
  [
    "M49",
    "the printed lead angle of 15° entered as entering angle",
    () => checkItem("cutters", cutterOf("faceMill", { enteringAngle: 15 })),
    "M49.lead",
    () => checkItem("cutters", cutterOf("faceMill", { enteringAngle: 45 })),
  ],
  [
    "M49",
    "the measured radius entered as a diameter",
    () => checkItem("cutters", cutterOf("endMill", { measured: 9.95 })),
    "M49.radius",
    () => checkItem("cutters", cutterOf("endMill", { measured: 19.9 })),
  ],
  [
    "M23",
    "the paper on a dial-only axis",
    () => planOf(cheekBlock()).steps,
    "M23.paper",
    () => plan({ job: cheekBlock(), records: [], shop: readoutShop, piece: 1 }).steps,
  ],
  [
    "M40",
    "handle or wrench left on",
    () => [standsAt("wrench")].filter((s) => s.kind === "check").map(() => ({ id: "check", parts: [] })),
    "check",
    () => [standsAt("none such")].filter(Boolean),
  ],
  [
    "M44",
    "the knee was moved: no cut before a new zero",
    () => [afterFirstCut(true)].map((s) => ({ id: s.kind, parts: [] })),
    "touch",
    () => [afterFirstCut(false)].map((s) => ({ id: s.kind, parts: [] })),
  ],
  [
    "M50",
    "tapping comes after the pull",
    () => planOf(cheekBlock()).setups[2] && planOf(cheekBlock()).steps.filter((s) => s.setup === 3),
    "M50.tap",
    () => planOf(cheekBlock()).steps.filter((s) => s.setup === 1),
  ],
];

describe("mistakes are caught, near cases stay silent", () => {
  test.each(caught)("%s %s", (_id, _what, slip, expected, near) => {
    expect([...phraseIds(slip())]).toContain(expected);
    expect([...phraseIds(near())]).not.toContain(expected);
  });

  test("M34 one good reading does not hide a spread wider than the limits", () => {
    const limits = { lower: 59.95, upper: 60.05 };
    expect(sizeVerdict([60, 60.12], limits, 0.005)?.verdict).toBe("rework");
    expect(sizeVerdict([59.9, 60], limits, 0.005)?.verdict).toBe("under");
    expect(sizeVerdict([59.98, 60.02], limits, 0.005)?.verdict).toBe("good");
  });

  test("M34 a spread wider than the limits is told before the next cut", () => {
    const atMeasure = walk(cheekBlock(), { until: (s) => s.setup === 4 && s.id === "measure-1" });
    const after = (...values: number[]) => {
      const op = "front/face" as const;
      const records = appended(
        atMeasure.records,
        ...values.map((value) => ({
          type: "reading" as const,
          op,
          of: "width" as const,
          value,
          written: { text: String(value), unit: "mm" as const },
          instrument: "caliper",
          questioned: [],
        })),
        { type: "measured", op, after: 1, skipped: false },
      );
      return [...phraseIds(plan({ job: cheekBlock(), records, shop: demoShop, piece: 1 }).steps)];
    };
    expect(after(61.1, 60.9)).toContain("M34.taper");
    expect(after(61.03, 60.98)).not.toContain("M34.taper");
  });

  test("M25 stops count from one zero: none is off by more than half a division, however many passes", () => {
    const made = planOf(block(["machine", "bench"]));
    for (const ladder of Object.values(made.ladders)) {
      for (const pass of ladder) expect(Math.abs(pass.residue)).toBeLessThanOrEqual(0.0127 + 1e-9);
    }
    const [key, many] = Object.entries(made.ladders).reduce((a, b) => (b[1].length > a[1].length ? b : a));
    expect(many.length).toBeGreaterThan(2);
    expect(many.at(-1)!.sizeAfter).toBe(faceCuts(made).find((s) => s.key === key)!.to);
  });

  test("M50 the handle is not pulled again after tapping", () => {
    const clamp = planOf(cheekBlock()).steps.find((s) => s.setup === 3 && s.kind === "clamp")!;
    expect(clamp.ticks.map((t) => t.id)).toEqual(["tight", "tapped", "tried"]);
  });

  test("M08 the next setup waits for what was put in", () => {
    expect(standsAt("out-rod").kind).toBe("takeOut");
    expect(standsAt("tight").kind).toBe("clamp");
  });
});

describe("a reading changes the rest", () => {
  test("a light cut moves every stop below by what it left", () => {
    const until = (id: string) =>
      walk(cheekBlock(), { light: 0.03, until: (s) => s.setup === 4 && s.id === id });
    const before = until("measure-1").plan.ladders["front/face"]!;
    const after = until("cut-2").plan;
    const correction = after.corrections["front/face"]!.at(-1)!;
    expect(correction.off).toBeCloseTo(0.03, 2);
    const stops = after.ladders["front/face"]!.filter((p) => !p.done);
    expect(stops.at(-1)!.stop).toBeCloseTo(before.at(-1)!.stop - correction.off, 1);
    expect(stops.at(-1)!.sizeAfter).toBe(60);
  });

  test("a part left too large is cut again, one inside its limits is left alone", () => {
    const { plan: made } = walk(cheekBlock(), { light: 0.04 });
    expect(made.current).toBe(made.steps.length);
    expect(made.requirements.filter((r) => r.drawn).map((r) => r.verdict?.verdict)).not.toContain("rework");
  });

  test("what has begun is a fact: a change of the drawing moves only the rest", () => {
    const { records, plan: before } = walk(cheekBlock(), { until: (s) => s.setup === 2 && s.id === "cut-1" });
    const changed = block(["part/sizes/width", dim("58 ±0.05")], ["stock/conditions/front", "cast"]);
    const after = plan({ job: changed, records, shop: demoShop, piece: 1 });
    expect(faceCuts(after)[0]!.to).toBe(faceCuts(before)[0]!.to);
    expect(after.setups[1]!.seat).toEqual(before.setups[1]!.seat);
    expect(faceCuts(after).find((s) => s.key === "front/face")!.to).toBe(58);
  });
});
