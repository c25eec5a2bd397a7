import type { FaceSweep, Stroke } from "../recipes/index.ts";
import type { Pickup } from "../locate/index.ts";
import { type Mm, tidy } from "../quantity/index.ts";
import type { Instruction, Thing, ThingId, Told } from "../rehearse/index.ts";
import {
  faceOf,
  type FaceSetup,
  type FeatureOperation,
  type FeatureSetup,
  isFaceSetup,
  setupWith,
  squaredAgainst,
  travelOf,
} from "../route/index.ts";
import { type Machine, parallelsById, type Shop, type Vise } from "../shop/index.ts";
import { depthAxis, onDial, type Step } from "../steps/index.ts";
import type { Seat } from "../holding/index.ts";
import { phraseText } from "../working/index.ts";
import type { Plan } from "./plan.ts";

/** What a step of today's plan tells a person, in the terms of the literal machine: nothing is added that is not on its card. */

export interface ToldWith {
  machine: Machine;
  vise: Vise;
  shop: Shop;
}

/** The things that go in with a seat, as its ticks name them. */
function thingsOf(seat: Seat, { shop }: ToldWith): Thing[] {
  const things: Thing[] = [];
  if (seat.parallels) {
    const owned = parallelsById(shop.parallels, seat.parallels.id);
    things.push({
      id: "parallels",
      height: seat.parallels.height,
      thickness: seat.parallels.thickness,
      inset: seat.parallels.inset,
      single: seat.parallels.single,
      length: owned?.length ?? 125,
    });
  }
  if (seat.points) things.push({ id: "points", height: seat.table?.packing ?? 0 });
  if (seat.rod) things.push({ id: "rod", diameter: seat.rod.diameter, height: seat.rod.height });
  if (seat.table) {
    const { plate, packing, straps } = seat.table;
    const { at } = seat.table;
    if (seat.blocks) things.push({ id: "blocks", at: seat.blocks, under: packing });
    else if (plate) things.push({ id: "plate", height: packing });
    else if (!seat.points)
      things.push({ id: "packing", height: packing, ...(at.length > 0 ? { underStraps: true } : {}) });
    if (straps > 0)
      things.push({
        id: "straps",
        count: seat.table.straps,
        over: seat.table.over,
        reach: seat.table.reach,
        ...(at.length > 0 ? { at } : {}),
      });
  }
  for (const [there, id] of [
    [seat.paper, "paper"],
    [seat.soft, "soft"],
    [seat.jack, "jack"],
    [seat.stop, "stop"],
  ] as const)
    if (there) things.push({ id });
  return things;
}

/** What a step of taking out names: every tick `out-…` but the part itself. */
const takenOut = (step: Step): ThingId[] =>
  step.ticks.flatMap(({ id }) =>
    id.startsWith("out-") && id !== "out-part" ? [id.slice("out-".length) as ThingId] : [],
  );

const other: Instruction = { do: "other" };

/** Whether a head that was tilted is set upright again. */
const setsUpright = ({ ticks }: Step): boolean => ticks.some(({ id }) => id === "upright");

/** Whether a step says what to do where a raw face does not lie on both parallels. */
const mayLie = ({ ticks }: Step): boolean =>
  ticks.some(({ other }) => ["M50.raw", "M50.bought", "M50.notClean"].includes(other?.then.phrase.id ?? ""));

function faceInstructions(step: Step, setup: FaceSetup, by: ToldWith): Instruction[] {
  const { seat } = setup;
  const op = faceOf(setup);
  const { cut, face, sweep } = op;
  const fed = { seat, cut, face };
  switch (step.kind) {
    case "place": {
      if (setup.entry === "stays") return [other];
      const straps = thingsOf(seat, by).find((t) => t.id === "straps");
      if (setup.entry === "swapped") return straps?.id === "straps" ? [{ do: "swap", straps }] : [other];
      const end = travelOf(fed, by.vise).end;
      return [
        {
          do: "place",
          at: setup.at,
          on: seat.table ? "table" : "vise",
          things: thingsOf(seat, by),
          out: seat.overhang === null ? null : { end: face, by: seat.overhang, side: end },
          projection: seat.projection,
          squared: squaredAgainst(setup),
        },
      ];
    }
    case "clamp":
      return [{ do: "clamp", grip: seat.table ? null : seat.effectiveGrip, loose: mayLie(step) }];
    case "check":
      return [{ do: "fit", cutter: cut.cutter, rpm: cut.rpm, turns: step.turns, upright: false }];
    case "pickup":
      return [zeroInstruction(step.pickup!, null)];
    case "touch": {
      const touch = step.touch!;
      const readout = by.machine.axes[touch.axis].readout !== null;
      return [
        {
          do: "zero",
          axis: touch.axis,
          tool: { kind: "cutter", id: cut.cutter },
          medium: touch.medium,
          lessen: 0,
          touches: [{ from: touch.from }],
          setting: readout ? touch.setting : null,
          moveOn: 0,
          near: null,
          end: touch.end,
          crown: false,
          ...(touch.on ? { on: touch.on } : {}),
          backOff: touch.backOff === "down" && by.machine.depthBy === "head" ? "into the part" : "clear",
        },
      ];
    }
    case "cut": {
      const pass = step.pass!;
      const once: Extract<Instruction, { do: "pass" }> = {
        do: "pass",
        face,
        by: cut.kind === "side" ? "side" : cut.kind === "slab" || cut.kind === "groove" ? "arbor" : "end",
        axis: depthAxis(op),
        stop: pass.reads,
        down: sweep.side === null ? null : -sweep.down,
        depth: pass.depth,
        width: cut.width,
        lanes: lanePlaces(sweep),
        feedAlong: cut.feedAlong,
        travel: travelOf(fed, by.vise, pass.last).travel,
        vf: pass.last ? cut.finishVf : cut.vf,
        rpm: cut.rpm,
        power: cut.power,
        cutter: cut.cutter,
        spring: false,
        dye: !op.matched ? null : pass.last ? "until" : "no further",
      };
      return pass.last && cut.spring ? [once, { ...once, spring: true }] : [once];
    }
    case "measure":
      return [
        {
          do: "read",
          size: {
            of: op.axis,
            above: step.measure!.above,
            ...(step.measure!.on ? { on: step.measure!.on } : {}),
          },
          expected: step.measure!.expected,
        },
      ];
    case "cleanup":
      return [{ do: "look", face }];
    case "takeOut":
      return [{ do: "take out", things: takenOut(step), part: true }];
    default:
      return [other];
  }
}

/** Lanes as they are told: the last one out over its edge, the others from the edge the first lies on. */
function lanePlaces({ lanes, along, size }: FaceSweep): Extract<Instruction, { do: "pass" }>["lanes"] {
  const [low, high] = along === "x" ? (["front", "back"] as const) : (["left", "right"] as const);
  const across = along === "x" ? size.y : size.x;
  const first = lanes[0]?.over ?? null;
  return lanes.map(({ middle, over }) => {
    const from = over ?? first;
    if (from === null) return { from: "middle", in: 0 };
    return from === low ? { from, in: middle } : { from: high, in: tidy(across - middle) };
  });
}

/** @param over where a touch from above comes, as readings; null for the middle */
function zeroInstruction(pickup: Pickup, over: { x: Mm; y: Mm | null } | null): Instruction {
  const { axis, toucher } = pickup;
  const two = pickup.faces.length > 1;
  const half = two ? tidy((pickup.settings[1]! - pickup.settings[0]!) / 2 - pickup.off) : 0;
  const halved = pickup.datum === "center" ? 0 : pickup.datum === pickup.faces[0] ? half : -half;
  return {
    do: "zero",
    axis,
    tool:
      toucher.kind === "cutter"
        ? { kind: "cutter", id: toucher.id }
        : { kind: toucher.kind, diameter: pickup.tool },
    medium: pickup.medium,
    touches: pickup.from.map((from) => ({ from })),
    lessen: two ? tidy(pickup.slack / 2) : 0,
    setting: two ? halved : pickup.by === "readout" ? pickup.settings[0]! : null,
    moveOn: pickup.by === "dial" && !two ? pickup.off : 0,
    near: nearOf(pickup) ?? (axis === "z" ? over : null),
    end: null,
    crown: pickup.there,
    backOff: "clear",
  };
}

const nearOf = ({ near }: Pickup): Extract<Instruction, { do: "zero" }>["near"] =>
  near && (near.z === null ? { x: near.x, y: near.y } : { x: near.x, z: near.z });

function pickupInstruction(step: Step, plan: Plan): Instruction {
  const pickup = step.pickup!;
  const next = plan.steps.find((s) => s.op === step.op && s.move?.move.kind === "go")?.move?.move.to;
  const over = next?.x === undefined ? null : { x: next.x, y: pickup.there ? null : (next.y ?? null) };
  return zeroInstruction(pickup, over);
}

/** The most that a move may take, as it was told: the pass along a wall, else the width and depth of the cut. */
function limitsOfMove(
  { takes }: Stroke,
  { cut }: FeatureOperation,
): { across: number; along: number } | null {
  if (!cut) return null;
  const deepest = takes ?? Math.max(0, ...cut.passes.map((p) => p.depth));
  return cut.kind === "side" ? { across: deepest, along: cut.width } : { across: cut.width, along: deepest };
}

function featureInstructions(step: Step, setup: FeatureSetup, plan: Plan, by: ToldWith): Instruction[] {
  const operation = setup.operations.find((o) => o.key === step.op);
  if (!operation) return [other];
  const { seat, device } = setup;
  switch (step.kind) {
    case "place": {
      if (setup.entry === "stays") return [other];
      const things = thingsOf(seat, by);
      return [
        {
          do: "place",
          at: setup.at,
          on: seat.table ? "table" : device === "vBlocks" ? "blocks" : "vise",
          things:
            device === "vBlocks" && !seat.table ? [...things, { id: "blocks", at: seat.blocks }] : things,
          out: null,
          projection: seat.projection,
          squared: squaredAgainst(setup),
        },
      ];
    }
    case "clamp":
      return [{ do: "clamp", grip: device === "vise" ? seat.effectiveGrip : null, loose: mayLie(step) }];
    case "check": {
      if (step.tool)
        return [
          { do: "fit", cutter: step.tool.id ?? "", rpm: step.tool.rpm, turns: step.turns, upright: false },
        ];
      const fit: Instruction = {
        do: "fit",
        cutter: operation.cutter ?? "",
        rpm: operation.set?.rpm ?? null,
        turns: step.turns,
        upright: setsUpright(step),
      };
      return operation.tilt === null ? [fit] : [fit, { do: "tilt head", degrees: operation.tilt }];
    }
    case "pickup":
      return [pickupInstruction(step, plan)];
    case "move": {
      const { move, targets, head } = step.move!;
      const cutter = operation.cutter ?? "";
      const owned = by.shop.cutters.find((c) => c.id === cutter);
      const dial = head && owned ? onDial(owned, head) : null;
      return [
        ...(head
          ? [
              {
                do: "open head",
                cutter,
                from: head.first ? head.from : null,
                by: dial?.opens ?? head.to - head.from,
              } as const,
            ]
          : []),
        {
          do: "move",
          how: move.kind,
          to: Object.fromEntries(targets.map(({ axis, settled }) => [axis, settled.stop])),
          counted: Object.fromEntries(targets.map(({ axis, counted }) => [axis, counted])),
          approach: Object.fromEntries(
            targets.flatMap(({ axis, approach }) => (approach === null ? [] : [[axis, approach]])),
          ),
          cuts: move.kind !== "go" && move.cuts !== "air",
          exact: move.exact,
          limits: limitsOfMove(move, operation),
          vf: move.vf,
          rpm: operation.set?.rpm ?? null,
          power: (move.cuts === "down" ? operation.set?.plunge : operation.cut)?.power ?? null,
          cutter: operation.cutter ?? "",
          spring: move.spring,
          minutes: step.minutes,
        },
      ];
    }
    case "measure": {
      const { fit, expected } = step.measure!;
      const { measured } = fit!;
      const over = /far side/.test(phraseText(measured.name, "mm"));
      const { feature } = operation;
      return [{ do: "read", size: { of: "feature", feature, size: measured.size, over }, expected }];
    }
    case "hand":
      return [{ do: "by hand", feature: operation.feature }];
    case "takeOut":
      return [
        { do: "take out", things: takenOut(step), part: true },
        ...(setsUpright(step) ? [{ do: "tilt head", degrees: 0 } as const] : []),
      ];
    default:
      return [other];
  }
}

/** Every instruction of a step, in order. */
export function toldStep(step: Step, plan: Plan, by: ToldWith): Told[] {
  const where = { op: step.op, step: step.id, setup: step.setup };
  const setup = setupWith(plan.setups, step.op);
  if (!setup) return [];
  const instructions = isFaceSetup(setup)
    ? faceInstructions(step, setup, by)
    : featureInstructions(step, setup, plan, by);
  return instructions.map((i) => ({ ...i, ...where }));
}
