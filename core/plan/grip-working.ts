import { holdingSafety, type Material, strapHold } from "../handbook/index.ts";
import {
  cutterClearance,
  glueCapacity,
  type GripCapacity,
  gripCapacity,
  isGlued,
  parallelHeightNeeded,
  type Seat,
  strapCapacity,
  studsFor,
} from "../holding/index.ts";
import { count, mm, quantity, type Quantity, tidy } from "../quantity/index.ts";
import { faceOf, type FaceSetup } from "../route/index.ts";
import type { Aid, Shop, Vise } from "../shop/index.ts";
import { line, words, type WorkingBody } from "../working/index.ts";

/** What holds the part, against the force of the cut. */
function gripLines(grip: GripCapacity, vise: Vise, force: number | null): WorkingBody["lines"] {
  return [
    line("clamp force", quantity("force", grip.clamp), {
      formula: "screw-force",
      terms: [
        ["T", quantity("torque", vise.pull)],
        ["lead", mm(vise.screwLead)],
      ],
      source: grip.source,
    }),
    line("held along the jaws", quantity("force", grip.along / grip.safety), { formula: "friction-holds" }),
    ...(grip.arm > 0
      ? [
          line("held against tipping", quantity("force", grip.tipping / grip.arm / grip.safety), {
            formula: "tipping" as const,
            terms: [["height", mm(grip.arm)] as [string, Quantity]],
          }),
        ]
      : []),
    ...(force === null ? [] : [line("the cut pushes", quantity("force", force))]),
  ];
}

/** How a part is held while features are cut, by whatever holds it; a vise that is gone from the shop holds nothing that is known. */
export function heldWorking(
  seat: Seat,
  { shop, material }: { shop: Pick<Shop, "vises" | "aids">; material: Material },
): WorkingBody {
  if (seat.table) return tableWorking(seat, null, shop.aids);
  const vise = shop.vises.find((v) => v.id === seat.vise);
  return {
    lines: [
      line("gripped", mm(seat.grip)),
      line("held after chamfer and edge break", mm(seat.effectiveGrip)),
      line("stands above the jaws", mm(seat.projection), { sum: true }),
      ...(vise ? gripLines(gripCapacity(seat, vise, material.group), vise, null) : []),
    ],
  };
}

/** How deep a part is gripped in the vise, and what that holds. */
export function gripWorking(setup: FaceSetup, vise: Vise): WorkingBody {
  const { seat } = setup;
  const { cut, task, from, to } = faceOf(setup);
  const removal = tidy(from - to);
  return {
    lines: [
      line("jaw depth", mm(vise.jawDepth), { source: vise.name }),
      line("the part stands", mm(seat.standing)),
      line(
        "parallels needed, at least",
        mm(Math.max(0, parallelHeightNeeded(vise, cut.kind === "side" ? 0 : removal, seat.standing))),
        {
          formula: "parallel-height",
          terms: [
            ["cuts", mm(cut.kind === "side" ? 0 : removal)],
            ["clearance", mm(cutterClearance)],
          ],
        },
      ),
      line("nearest you own", mm(seat.parallels?.height ?? 0)),
      line("grip", mm(seat.grip), { sum: true, formula: "grip", terms: [] }),
      line("after jaw chamfer and edge break", mm(seat.effectiveGrip)),
      line("above the jaws after the cut", mm(seat.projection), { formula: "projection", terms: [] }),
      ...(task.grip ? gripLines(task.grip, vise, cut.force.peak) : []),
    ],
    notes: seat.parallels ? [] : [words("No parallels: it stands on the bed of the vise.")],
  };
}

/** What straps press and hold. */
export const strapWorking = (setup: FaceSetup, aids: readonly Aid[]): WorkingBody =>
  tableWorking(setup.seat, faceOf(setup).cut.force.peak, aids);

/**
 * What holds a part on the table.
 * @param peak what the cut pushes, N; null where several cuts are made
 */
export function tableWorking(seat: Seat, peak: number | null, aids: readonly Aid[]): WorkingBody {
  if (isGlued(seat)) return glueWorking(seat, peak);
  const studs = studsFor(seat, aids);
  const grip = strapCapacity(seat);
  const straps = seat.table?.straps ?? 0;
  return {
    lines: [
      line("straps", count(straps)),
      line("on the work, each", quantity("force", grip.clamp / straps), {
        formula: "strap-share" as const,
        terms: [
          ["to work", mm(strapHold.toWork)],
          ["to heel", mm(strapHold.toHeel)],
        ] as [string, Quantity][],
        source: grip.source,
      }),
      line("held on the packing", quantity("force", grip.along / grip.safety), {
        formula: "friction-holds" as const,
        sum: true,
      }),
      ...(peak === null ? [] : [line("the cut pushes", quantity("force", peak))]),
      line("reach in over the part", mm(seat.table?.reach ?? 0)),
      ...(studs
        ? [
            line("stud, at least", mm(studs.needed), {
              source: "slot lips, what lies under, the part, strap, nut and T-nut (guess: M12)",
            }),
            ...(studs.owned ? [line(`nearest you own: ${studs.owned.name}`, mm(studs.owned.length))] : []),
          ]
        : []),
    ],
    notes: [words(`Safety ${holdingSafety} (guess). Every strap over packing; a stop takes the push along.`)],
  };
}

/** What glue under the part holds. */
function glueWorking(seat: Seat, peak: number | null): WorkingBody {
  const grip = glueCapacity(seat);
  return {
    lines: [
      line("across", mm(seat.between)),
      line("along", mm(seat.along)),
      line("glue holds along", quantity("force", grip.along), { source: grip.source }),
      line("with safety", quantity("force", grip.along / grip.safety), { sum: true }),
      line("against lift, with safety", quantity("force", grip.lift / grip.safety)),
      ...(peak === null ? [] : [line("the cut pushes", quantity("force", peak))]),
    ],
    notes: [
      words(
        `Safety ${holdingSafety} (guess). Oil, a bowed part or a hot cut take much of it: light cuts, no dwell.`,
      ),
    ],
  };
}
