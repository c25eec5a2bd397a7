import { handlingTimes } from "../handbook/index.ts";
import { topPickup, topSetting } from "../locate/index.ts";
import { mm, tidy } from "../quantity/index.ts";
import { extentOf } from "../squaring/index.ts";
import { faceOf, type FaceSetup } from "../route/index.ts";
import { note, precise, rule, say, warn, words } from "../working/index.ts";
import { depthAxis, intoPart } from "./live-passes.ts";
import type { FaceProgress } from "./face-progress.ts";
import { type MakeFaceStep, standsOn } from "./face-step.ts";
import type { WalkPlace } from "./spindle-ticks.ts";
import { type FaceStep, staleWords } from "./step.ts";

const backOffWords = {
  down: "Drop the knee clear",
  up: "Raise the spindle clear",
  sideways: "Back off sideways",
} as const;

/** For a cut with the side of the cutter Z is touched on the top first: from there the cutter hangs as far down as it cuts. */
export function endHeight(
  setup: FaceSetup,
  state: FaceProgress | null,
  place: WalkPlace,
  tool: string,
  make: MakeFaceStep,
): FaceStep {
  const { cut } = faceOf(setup);
  const { seat, before } = setup;
  // Straps that hold the face that is up leave a ledge of it standing.
  const ledge = seat.table !== null && before.faces[seat.up].rest !== null;
  const pickup = topPickup(
    place,
    { kind: "cutter", id: cut.cutter, name: tool },
    {
      what: ledge ? "beside a ledge" : "top",
    },
  );
  return make("pickup", "zero-z", pickup.title, {
    pickup: { ...pickup, stale: state?.stale ? (staleWords[state.stale] ?? null) : null },
    notes: pickup.warnings,
    done: (state?.ticks.has("zero-z") ?? false) || (state?.zeroed ?? false),
    minutes: handlingTimes.touchOff,
  });
}

/** A cutter that touches a wall anew stands so far above its depth: a new zero must not bring it onto the ledge below, mm. */
const clearOfLedge = 0.5;

/** Touch-off through paper, its thickness counted on the axis it touches (M23): on a raw face at the highest of three spots. */
export function touchStep(
  setup: FaceSetup,
  state: FaceProgress | null,
  { machine, paper }: WalkPlace,
  make: MakeFaceStep,
): FaceStep {
  const op = faceOf(setup);
  const axis = depthAxis(op);
  const screw = machine.axes[axis];
  const surface = state?.present ?? op.from;
  const name = axis.toUpperCase();
  const backOff = axis !== "z" ? "sideways" : machine.depthBy === "knee" ? "down" : "up";
  const setting = screw.readout === null ? 0 : tidy(-intoPart(op) * topSetting(0, paper));
  const sizeAtZero = tidy(screw.readout === null ? surface + paper : surface);
  const { down } = op.sweep;
  const end = op.looks === null ? null : -tidy(Math.max(down / 2, down - clearOfLedge));
  const beside = standsOn(op) === "cut" && (state?.cuts.length ?? 0) > 0;
  const raw =
    setup.before.faces[op.face].condition !== "milled" && setup.before.faces[op.face].condition !== "ground";
  return make(
    "touch",
    "touch",
    axis === "z"
      ? say`Touch off the face in ${name} with paper`
      : say`Touch off the ${op.face} ${setup.seat.overhang !== null ? "end" : "face"} in ${name} with paper`,
    {
      touch: {
        axis,
        setting,
        sizeAtZero,
        medium: paper,
        from: op.looks ?? "above",
        end,
        ...(beside ? { on: "cut" as const } : {}),
        stale: state?.stale ? (staleWords[state.stale] ?? null) : null,
        backOff,
      },
      notes: [
        note(
          extentOf(op.key) === "again" && (state?.cuts.length ?? 0) === 0
            ? say`Zero at the place that read ${mm(op.from)}, the thickest: over the others the cutter must run free.`
            : raw && (state?.cuts.length ?? 0) === 0
              ? words(
                  "The face is raw: try at least three spots and zero at the highest, where the paper drags first.",
                )
              : beside
                ? rule(
                    "M44.beside",
                  )`Touch where it is cut by now, the whole cutter over it: what is left standing beside is higher, and no zero for this.`
                : words("Zero where the paper just drags."),
        ),
        ...(end === null
          ? []
          : [
              note(
                say`Its end at Z ${precise(mm(end), 2)}, a little above the depth of the cut: it must not touch what stands out further down.`,
              ),
            ]),
        warn(
          words(
            "A long strip of paper, fingers well away from the cutter; better, turn the spindle by hand.",
          ),
        ),
        note(
          screw.readout === null
            ? rule(
                "M23.paper",
              )`Set the ${name} collar to 0 as the paper drags. The paper, ${precise(mm(paper), 2)}, is counted in every stop below.`
            : rule(
                "M23.readout",
              )`Set ${name} to ${precise(mm(setting), 2)} as the paper drags: then 0 is the face itself.`,
        ),
        warn(rule("M24.back")`${backOffWords[backOff]} first, then move off the part, then go to depth.`),
      ],
      done: state?.zeroed ?? false,
      minutes: handlingTimes.touchOff,
    },
  );
}
