import { discHeight } from "../recipes/index.ts";
import { opposite } from "../frame/index.ts";
import { type Mm, mm, tidy } from "../quantity/index.ts";
import type { Machine } from "../shop/index.ts";
import { note, type Phrase, precise, rule, say, warn, words } from "../working/index.ts";
import {
  type LocateRequest,
  movesToTouch,
  type Pickup,
  touchError,
  setBy,
  slackOf,
  type Toucher,
} from "./pickup.ts";
import type { Floor } from "./highest-left.ts";
import { type SetupFrame, sideInSetup, sweepInSetup } from "./setup-frame.ts";
import { depthScrew } from "./quill.ts";
import { topSetting } from "./touch.ts";

/** A disc cutter touches the crown with its edge: zero is there, and its depth counts from it. */
export function crownPickup(frame: SetupFrame, request: LocateRequest): Pickup {
  const { machine, setup, paper } = request;
  const screw = machine.axes.y;
  const cutter = setup.operations.find((o) => o.sweep.kind === "disc")!;
  const by = setBy(screw);
  const face = opposite(setup.at.fixed);
  const where = sideInSetup(frame, face)!;
  const before = -movesToTouch[where] * paper;
  const sweep = sweepInSetup(frame, cutter.sweep);
  const near = { x: sweep.kind === "disc" ? sweep.along : 0, y: null, z: discHeight(sweep) };
  return {
    axis: "y",
    datum: face,
    faces: [face],
    way: "paper",
    toucher: { kind: "cutter", id: cutter.cutter!, name: cutter.toolName },
    from: [where],
    slack: slackOf(screw),
    tool: cutter.diameter,
    medium: paper,
    side: before < 0 ? "minus" : "plus",
    settings: [before],
    off: paper,
    by,
    near,
    there: false,
    error: touchError("paper", screw, false),
    title: say`Touch the side of the shaft in Y with ${cutter.toolName} and paper`,
    order: [
      say`Clear beside the shaft bring the cutter to X ${precise(mm(near.x), 3)} and Z ${precise(mm(near.z), 3)}: its center is level with the center of the shaft there. Then its edge to the ${where} side through paper, the spindle turned by hand.`,
      by === "readout"
        ? say`Set Y to ${precise(mm(before), 2)}: the side of the shaft then reads 0.`
        : say`Set the Y collar to 0, back off, move ${precise(mm(paper), 2)} further in than the touch beside the shaft, and set it to 0 again: the paper is counted.`,
      words("Back off clear of the shaft before the spindle starts, and stay beside it."),
    ],
    warnings: [
      note(rule("M23.crown")`The depth of the seat counts from the crown, and the paper counts too.`),
    ],
  };
}

/** What Z is touched on: the face that is up, or where that is not to be had. */
export type TouchedOn =
  | { what: "top" }
  /** The crown of a shaft; at X where it stands for good, null where it does not. */
  | { what: "crown"; at: Mm | null }
  /** Straps left a ledge standing on the face that is up. */
  | { what: "beside a ledge" }
  /** Nothing is left of the face that is up, or of the crown. */
  | { what: "floor"; of: "top" | "crown"; floor: Floor };

function nearOf(on: TouchedOn): Pickup["near"] {
  if (on.what === "floor") return { x: on.floor.at.x, y: on.floor.at.y, z: null };
  return on.what === "crown" && on.at !== null ? { x: on.at, y: null, z: null } : null;
}

/** How the tool comes to what it touches. */
function comeDown(on: TouchedOn): Phrase {
  switch (on.what) {
    case "crown":
      return say`Come down on the crown of the section that is cut, over the center of the shaft${on.at === null ? say`` : say` at X ${precise(mm(on.at), 1)}, where nothing is cut`}, until the paper just drags, the spindle turned by hand.`;
    case "beside a ledge":
      return words(
        "Come down over what was cut, beside the straps and the ledge they hold, until the paper just drags, the spindle turned by hand.",
      );
    case "floor":
      return say`Nothing is left of the ${on.of}. Come down on the floor that was cut at X ${precise(mm(on.floor.at.x), 1)} Y ${precise(mm(on.floor.at.y), 1)}, ${precise(mm(on.floor.below), 3)} below it, until the paper just drags, the spindle turned by hand.`;
    default:
      return words("Come down over the part until the paper just drags, the spindle turned by hand.");
  }
}

/**
 * What Z is set to when a tool touches the face that is up through paper: every new tool anew.
 * @param quill whether the quill goes down, knee or head locked
 */
export function topPickup(
  { machine, paper }: { machine: Machine; paper: Mm },
  toucher: Toucher,
  on: TouchedOn,
  quill = false,
): Pickup {
  const floor = on.what === "floor" ? on.floor : null;
  const setting = precise(mm(topSetting(-(floor?.below ?? 0), paper)), floor ? 3 : 2);
  const would = floor ? "would then read" : "then reads";
  const screw = depthScrew(quill, machine);
  const tool = toucher.name;
  const by = setBy(screw);
  return {
    axis: "z",
    datum: "top",
    faces: ["top"],
    way: "paper",
    toucher,
    from: ["above"],
    // The weight of knee or head keeps its slack on one side.
    slack: 0,
    tool: 0,
    medium: paper,
    side: null,
    settings: [topSetting(-(floor?.below ?? 0), paper)],
    off: tidy(paper - (floor?.below ?? 0)),
    by,
    near: nearOf(on),
    there: on.what !== "top",
    error: touchError("paper", screw, false),
    title: say`Touch the ${on.what === "beside a ledge" ? "top" : on.what} in Z with ${tool} and paper${quill ? ", by the quill" : ""}`,
    order: [
      ...(quill
        ? [
            words(
              "Quill up at its stop: bring the part up until the point stands a little over it, then lock the knee or the head. From here the quill alone goes down.",
            ),
          ]
        : []),
      comeDown(on),
      quill
        ? say`Set the scale of the quill to ${setting}: the top ${would} 0, and the stop is set from there.`
        : by === "readout"
          ? say`Set Z to ${setting}: the top ${would} 0.`
          : floor
            ? say`Set the Z collar to 0, lift ${precise(mm(tidy(floor.below - paper)), 3)} and set it to 0 again: there the top would be.`
            : say`Set the Z collar to 0, lift clear, go ${precise(mm(paper), 2)} on and set it to 0 again: the paper is counted.`,
      words(
        quill
          ? "Let the quill up clear before the table is moved."
          : "Lower the knee or lift the head clear before the table is moved.",
      ),
    ],
    warnings: [
      note(rule("M23.top")`Paper counts in Z too.`),
      warn(rule("M24.down")`After the touch go clear of the part, then to the place, then down to depth.`),
      note(
        rule("M26.one")`Keep the quill locked at its stop; if you used it, its travel adds to the knee's.`,
      ),
    ],
  };
}
