import { extent, gap, type Kw, type Mm, type Rpm } from "../quantity/index.ts";
import { classForce, classSpring, machineClassSchema } from "../handbook/index.ts";
import * as z from "../zod.ts";
import { ownChecksSchema } from "./own-check.ts";
import { nearestByRatio } from "./speed-steps.ts";

const axisScrewSchema = z.object({
  /** mm per turn of the handle */
  lead: extent.min(0.1).max(50),
  /** mm per division of the dial */
  division: z.number().min(0.0001).max(10),
  /** mm */
  backlash: gap.max(10),
  /** Resolution of the readout in mm; null when the axis has none. */
  readout: z.number().min(0.00001).max(1).nullable(),
  /** Power feeds in mm/min; empty for hand feed only. */
  powerFeeds: z.array(z.number().positive().max(20_000)).max(100),
});
export type AxisScrew = z.infer<typeof axisScrewSchema>;

export const speedRangeSchema = z.object({
  /** As on the machine: "low range". */
  name: z.string(),
  /** Fixed steps in rpm, or a span that can be set anywhere. */
  speeds: z.discriminatedUnion("kind", [
    z.object({ kind: z.literal("steps"), rpm: z.array(z.number().min(1).max(60_000)).min(1).max(100) }),
    z.object({
      kind: z.literal("variable"),
      from: z.number().min(1).max(60_000),
      to: z.number().min(1).max(60_000),
    }),
  ]),
  /** Gears are changed at standstill, variable pulleys only while running. */
  change: z.enum(["standstill", "running"]),
  /** M18: the spindle turns the other way in this range for the same position of the switch. */
  reversed: z.boolean(),
  /** Electronic drive: below this speed the torque is constant and the power falls; null for belts and gears. */
  baseRpm: z.number().min(1).max(60_000).nullable(),
  /** Torque in N·m above which the belt slips; null when none is known. */
  slipTorque: z.number().positive().max(10_000).nullable(),
});
export type SpeedRange = z.infer<typeof speedRangeSchema>;

export const machineKinds = ["vertical", "horizontal", "horizontalWithHead"] as const;
export const drives = ["stepBelt", "gears", "electronic"] as const;

export const machineSchema = z.object({
  id: z.string().min(1),
  name: z.string().min(1),
  retired: z.boolean(),
  kind: z.enum(machineKinds),
  class: machineClassSchema,
  /** Motor power in kW and the share that reaches the spindle. */
  motorPower: z.number().min(0.01).max(5000),
  efficiency: z.number().min(0.05).max(1),
  drive: z.enum(drives),
  ranges: z.array(speedRangeSchema).min(1),
  /** Spindle taper, as it is called. */
  taper: z.string(),
  /** A pull test: cutting force it bears in N and its spring in N/µm; null while the class decides. */
  ownForce: z.number().min(1).max(1_000_000).nullable(),
  ownSpring: z.number().min(0.01).max(10_000).nullable(),
  /** Longest distance between table and spindle nose in mm. */
  daylight: extent,
  /** How wide the T-slots of its table are, mm; null while not measured. */
  tSlot: extent.nullable().default(null),
  /** Travel in mm. */
  travel: z.object({ x: extent, y: extent, z: extent }),
  axes: z.object({ x: axisScrewSchema, y: axisScrewSchema, z: axisScrewSchema }),
  /** What moves for depth: raising the knee or lowering the head. */
  depthBy: z.enum(["knee", "head"]),
  /** How far the quill goes down, mm; null where the spindle has none. */
  quillTravel: extent.nullable().default(null),
  /** What the quill's scale or stop is set by, mm; null for the usual. */
  quillDivision: extent.nullable().default(null),
  /** Own tram reading: rise in mm over the swept diameter along X and across; null when not swept. */
  tramAlong: z.number().min(-100).max(100).nullable(),
  tramAcross: z.number().min(-100).max(100).nullable(),
  tramSweep: extent,
  /** What an hour of it costs, in the shop's money; null while not entered. */
  rate: z.number().min(0).max(1e6).nullable().default(null),
  checks: ownChecksSchema,
});
export type Machine = z.infer<typeof machineSchema>;

const stepWord = { stepBelt: "belt", gears: "gear", electronic: "step" } as const;

/** What to set for a speed: "belt 2, low range". */
function settingOf(machine: Machine, range: SpeedRange, rpm: Rpm): string {
  const name = range.name ? `, ${range.name}` : "";
  if (range.speeds.kind === "variable") return `set ${rpm}${name}`;
  return `${stepWord[machine.drive]} ${range.speeds.rpm.indexOf(rpm) + 1}${name}`;
}

export interface SpindleSetting {
  rpm: Rpm;
  range: SpeedRange;
  setting: string;
}

const setting = (machine: Machine, range: SpeedRange, rpm: Rpm): SpindleSetting => ({
  rpm,
  range,
  setting: settingOf(machine, range, rpm),
});

/** Variable speeds are set to about this, rpm. */
const variableStep = 10;

/**
 * The speeds worth asking about for a wanted one: every step, and in a variable range the one nearest to it.
 * @param top fastest allowed, rpm; a variable range is set below it
 */
export function settingsNear(machine: Machine, wanted: Rpm, top = Infinity): SpindleSetting[] {
  return machine.ranges.flatMap((range) => {
    const { speeds } = range;
    if (speeds.kind === "steps") return speeds.rpm.map((rpm) => setting(machine, range, rpm));
    const ceiling = Math.min(speeds.to, top);
    const rounded = Math.round(wanted / variableStep) * variableStep;
    const rpm = Math.max(speeds.from, Math.min(rounded, Math.floor(ceiling / variableStep) * variableStep));
    return [setting(machine, range, rpm)];
  });
}

/** What a quill's stop is set by where the shop does not say, mm (guess). */
const usualQuillDivision = 0.1;

/** The quill of a machine: how far it goes, and what its scale or stop is set by, mm; null where it has none. */
export const quillOf = ({
  quillTravel,
  quillDivision,
}: Pick<Machine, "quillTravel" | "quillDivision">): { travel: Mm; division: Mm } | null =>
  quillTravel === null ? null : { travel: quillTravel, division: quillDivision ?? usualQuillDivision };

/** Slowest and fastest the spindle turns, rpm. */
export function speedSpan(machine: Machine): [slowest: Rpm, fastest: Rpm] {
  const all = machine.ranges.flatMap(({ speeds }) =>
    speeds.kind === "steps" ? speeds.rpm : [speeds.from, speeds.to],
  );
  return [Math.min(...all), Math.max(...all)];
}

/** The setting nearest by ratio to a wanted speed and not above `top`; the slowest when all are above. */
export function pickSetting(machine: Machine, wanted: Rpm, top = Infinity): SpindleSetting {
  const all = settingsNear(machine, wanted, top);
  const below = all.filter((s) => s.rpm <= top * (1 + 1e-9));
  const rpm =
    nearestByRatio(
      below.map((s) => s.rpm),
      wanted,
    ) ?? Math.min(...all.map((s) => s.rpm));
  return all.find((s) => s.rpm === rpm)!;
}

/**
 * Power at the spindle in kW: the motor's share, the same at every step of belts and gears; below the base speed of an
 * electronic drive it falls with the speed (constant torque).
 */
export function spindlePowerAt(machine: Machine, { range, rpm }: { range: SpeedRange; rpm: Rpm }): Kw {
  const full = machine.motorPower * machine.efficiency;
  return range.baseRpm === null ? full : full * Math.min(1, rpm / range.baseRpm);
}

/** Cutting force it bears in N: by its own pull test, else by class (guess). */
export const forceBorne = (machine: Machine): number => machine.ownForce ?? classForce[machine.class];

/** Spring between cutter and table in N/µm: by its own pull test, else by class (guess). */
export const springOf = (machine: Machine): number => machine.ownSpring ?? classSpring[machine.class];
