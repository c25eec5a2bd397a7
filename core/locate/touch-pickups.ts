import { opposite } from "../frame/index.ts";
import { mm, tidy } from "../quantity/index.ts";
import type { Machine } from "../shop/index.ts";
import { note, precise, rule, say, warn, words } from "../working/index.ts";
import { type LocateRequest, paper, type Pickup, pickupErrors, setBy, stepOf } from "./pickup.ts";
import { topSetting } from "./touch.ts";

/** A disc cutter touches the crown with its edge: zero is there, and its depth counts from it. */
export function crownPickup(request: LocateRequest): Pickup {
  const { machine, setup } = request;
  const screw = machine.axes.y;
  const cutter = setup.operations.find((o) => o.sweep.kind === "disc")!;
  const by = setBy(screw);
  return {
    axis: "y",
    datum: opposite(setup.at.fixed),
    faces: [opposite(setup.at.fixed)],
    way: "paper",
    tool: cutter.diameter,
    medium: paper,
    side: "minus",
    settings: [-paper],
    off: paper,
    by,
    error: tidy(Math.hypot(pickupErrors.paper, stepOf(screw) / 2)),
    title: say`Touch the side of the shaft in Y with ${cutter.toolName} and paper`,
    order: [
      words(
        "Bring the cutter to the middle of the shaft in Z first, then its edge to the side through paper, the spindle turned by hand.",
      ),
      by === "readout"
        ? say`Set Y to ${precise(mm(-paper), 2)}: the side of the shaft then reads 0.`
        : say`Set the Y collar to 0, back off, move ${precise(mm(paper), 2)} further in than the touch beside the shaft, and set it to 0 again: the paper is counted.`,
      words("Back off before the spindle starts."),
    ],
    warnings: [
      note(rule("M23.crown")`The depth of the seat counts from the crown, and the paper counts too.`),
    ],
  };
}

/** What Z is set to when a tool touches the face that is up through paper: every new tool anew. */
export function topPickup(machine: Machine, tool: string, tilted: boolean, round: boolean): Pickup {
  const screw = machine.axes.z;
  const by = setBy(screw);
  return {
    axis: "z",
    datum: "top",
    faces: ["top"],
    way: "paper",
    tool: 0,
    medium: paper,
    side: null,
    settings: [topSetting(0, paper)],
    off: paper,
    by,
    error: tidy(Math.hypot(pickupErrors.paper, stepOf(screw) / 2)),
    title: say`Touch the ${round ? "crown" : "top"} in Z with ${tool} and paper`,
    order: [
      round
        ? words(
            "Come down on the crown of the section that is cut, over the middle of the shaft, until the paper just drags, the spindle turned by hand.",
          )
        : words("Come down over the part until the paper just drags, the spindle turned by hand."),
      by === "readout"
        ? say`Set Z to ${precise(mm(paper), 2)}: the top then reads 0.`
        : say`Set the Z collar to 0, lift clear, go ${precise(mm(paper), 2)} on and set it to 0 again: the paper is counted.`,
      words("Lower the knee or lift the head clear before the table is moved."),
    ],
    warnings: [
      note(rule("M23.top")`Paper counts in Z too.`),
      warn(rule("M24.down")`After the touch go clear of the part, then to the place, then down to depth.`),
      ...(tilted
        ? [
            note(
              words(
                "With the head tilted touch the highest corner that is left; the zero in X and Y holds no more.",
              ),
            ),
          ]
        : [
            note(
              rule(
                "M26.one",
              )`Depth is one Z: if the quill was moved, bring it back to its stop and lock it; what knee and quill moved adds up.`,
            ),
          ]),
    ],
  };
}
