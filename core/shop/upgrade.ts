import { cutterKindFacts, cutterKindSchema } from "../handbook/index.ts";
import { newCutter } from "./cutter.ts";

type Raw = { [key: string]: unknown };
const list = (value: unknown): Raw[] =>
  Array.isArray(value) ? value.filter((v: unknown): v is Raw => typeof v === "object" && v !== null) : [];

/**
 * A shop as version 1 of the app kept it, brought to today's shape: steps by their settings become ranges, stickout no
 * longer includes the holder. What is there already is left alone, so that it may run twice.
 */
export function upgradeShop(raw: Raw): Raw {
  const named = (items: unknown, call: (item: Raw) => string) =>
    list(items).map((item) => ({ retired: false, name: call(item), ...item }));
  return {
    holders: [],
    aids: [],
    houseRules: [],
    saws: [],
    bars: [],
    ...raw,
    machines: list(raw.machines).map(upgradeMachine),
    cutters: list(raw.cutters).map(upgradeCutter),
    vises: list(raw.vises).map((vise) => ({
      retired: false,
      relief: 0,
      fixedJaw: "back",
      screwLead: 5,
      pull: 40,
      stretch: null,
      jawSquareness: null,
      ...vise,
    })),
    parallels: named(raw.parallels, (p) => `${String(p.height)} parallels`),
    rods: named(raw.rods, (r) => `${String(r.diameter)} rod`),
    instruments: list(raw.instruments).map((i) => ({ retired: false, lastCheck: "", ...i })),
  };
}

function upgradeMachine(machine: Raw): Raw {
  if ("ranges" in machine) return machine;
  const { speeds, ...rest } = machine;
  // "belt 2, low range": what stands after the comma names the range.
  const ranges = new Map<string, number[]>();
  for (const step of list(speeds)) {
    const name = (typeof step.setting === "string" ? step.setting : "").split(", ").slice(1).join(", ");
    ranges.set(name, [...(ranges.get(name) ?? []), Number(step.rpm)]);
  }
  return {
    retired: false,
    drive: /gear/.test(JSON.stringify(speeds)) ? "gears" : "stepBelt",
    ranges: [...ranges].map(([name, rpm]) => ({
      name,
      speeds: { kind: "steps", rpm },
      change: "standstill",
      reversed: false,
      baseRpm: null,
      slipTorque: null,
    })),
    taper: "",
    ownForce: null,
    ownSpring: null,
    travel: { x: 500, y: 200, z: 350 },
    tramAlong: null,
    tramAcross: null,
    tramSweep: 200,
    ...rest,
  };
}

/** Version 1 counted stickout from the spindle nose; an ordinary collet holder takes about this of it, mm. */
const holderShare = 30;

function upgradeCutter(cutter: Raw): Raw {
  if ("condition" in cutter) return cutter;
  const kind = cutterKindSchema.safeParse(cutter.kind);
  const { fluteLength, stickout } = cutter as { fluteLength: number; stickout: number };
  if (!kind.success || typeof fluteLength !== "number") return cutter;
  const out =
    cutterKindFacts[kind.data].mount === "shank" ? Math.max(fluteLength, stickout - holderShare) : stickout;
  return newCutter({ ...(cutter as Parameters<typeof newCutter>[0]), stickout: out });
}
