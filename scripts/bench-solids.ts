import { materials } from "../core/handbook/index.ts";
import {
  type Instruction,
  LiteralMachine,
  noChance,
  openSolids,
  rawBlock,
  type SolidKit,
  Workpiece,
} from "../core/rehearse/index.ts";
import { demoShop } from "../core/shop/index.ts";
import { block } from "../tests/support/cheek-block.ts";
import { zero } from "../tests/support/told-by-hand.ts";

/** Time of the literal machine over two hundred strokes, against the calls of the geometry that it makes in the same run. */

const knee = demoShop.machines[0]!;

/** Strokes back and forth over a field of a block, level by level, with an end mill of 10. */
function strokes(count: number): Instruction[] {
  const cutter = "em-10-2";
  const move = (how: "go" | "down" | "feed", to: { x?: number; y?: number; z?: number }): Instruction => ({
    do: "move",
    how,
    to,
    counted: {},
    approach: {},
    cuts: how !== "go",
    exact: 0.1,
    limits: { across: 12, along: 40 },
    vf: 200,
    rpm: 1115,
    power: null,
    cutter,
    spring: false,
    minutes: 0.1,
  });
  const list: Instruction[] = [
    {
      do: "place",
      at: { up: "top", fixed: "back" },
      on: "vise",
      things: [{ id: "parallels", height: 16, thickness: 8, length: 125, inset: 0, single: false }],
      out: null,
      squared: null,
      projection: 16,
    },
    { do: "clamp", grip: 20, loose: false },
    { do: "fit", cutter, rpm: 1115, turns: { way: "clockwise", seen: "from above" }, upright: false },
    zero("x"),
    zero("y"),
    zero("z"),
  ];
  for (let i = 0; i < count; i++) {
    const [level, lane] = [1 + Math.floor(i / 20), i % 20];
    const y = 12 + lane * 3.7;
    if (lane === 0) list.push(move("go", { x: 20, y }), move("down", { z: -level }));
    else list.push(move("feed", { y }));
    list.push(move("feed", { x: lane % 2 === 0 ? 128 - lane : 20 + lane }));
  }
  return list;
}

/** Milliseconds in all, and within the geometry. */
function run(kit: SolidKit, told: readonly Instruction[]): { all: number; bare: number } {
  let bare = 0;
  let deep = 0;
  const timed = <T extends object>(of: T, name: keyof T & string) => {
    const plain = of[name] as (...given: unknown[]) => unknown;
    Object.defineProperty(of, name, {
      configurable: true,
      writable: true,
      value(this: unknown, ...given: unknown[]) {
        if (deep++ > 0) {
          const answer = plain.apply(this, given);
          deep--;
          return answer;
        }
        const start = performance.now();
        const answer = plain.apply(this, given);
        bare += performance.now() - start;
        deep--;
        return answer;
      },
    });
    return () => Object.defineProperty(of, name, { configurable: true, writable: true, value: plain });
  };
  const back = [
    timed(Workpiece.prototype, "cutAbove"),
    timed(Workpiece.prototype, "cutBody"),
    timed(Workpiece.prototype, "over"),
    timed(Object.getPrototypeOf(kit) as SolidKit, "region"),
  ];
  const milled = "milled" as const;
  const machine = new LiteralMachine({
    kit,
    shop: demoShop,
    machine: knee,
    vise: demoShop.vises[0]!,
    material: materials[0]!,
    drawing: block().part,
    part: kit.scope(() => {
      const lump = rawBlock(
        {
          readings: { length: [], width: [], height: [] },
          conditions: {
            left: milled,
            right: milled,
            front: milled,
            back: milled,
            bottom: milled,
            top: milled,
          },
          target: { length: 150, width: 95, height: 40 },
          u: 0,
        },
        kit,
        noChance,
      );
      lump.solid.keep();
      return lump;
    }),
    chance: noChance,
  });
  const start = performance.now();
  told.forEach((instruction, i) => machine.obey({ ...instruction, op: "op", step: String(i), setup: 1 }));
  const all = performance.now() - start;
  back.forEach((restore) => restore());
  machine.drop();
  return { all, bare };
}

const kit = await openSolids();
const told = strokes(200);
const runs = Array.from({ length: 5 }, () => run(kit, told)).sort((a, b) => a.all - b.all);
const [best, middle] = [runs[0]!, runs[2]!];
console.log(
  `literal machine, 200 strokes: ${middle.all.toFixed(0)} ms (best ${best.all.toFixed(0)}), ${(middle.all / middle.bare).toFixed(2)} × the geometry's own ${middle.bare.toFixed(0)} ms`,
);
