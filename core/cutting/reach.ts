import { cutterKindFacts, wordsFor } from "../handbook/index.ts";
import { mm, tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter, type Holder, type Machine, noseRadius } from "../shop/index.ts";
import { type Refusal, refused, rule, say, words } from "../working/index.ts";
import { stickoutFactor } from "./speed.ts";
import type { CutTask } from "./task.ts";

/** Clear of the wall below the flutes, mm. */
const clearOfWall = 1;

/** Between a spindle nose and a stud, mm: straps are set by eye, and what they cover is not cut down yet. */
const clearOfStud = 5;

const chooseAnother = words("Use another cutter.");

/**
 * Why a cutter cannot do a task at all (M20): wrong kind or machine, too short, too wide, too big for the corner, not
 * center-cutting, out too far. Null when it can.
 * @param insisted the person chose this cutter: a long stickout is then warned of, not refused
 */
export function cannotCut(
  task: CutTask,
  cutter: Cutter,
  holder: Holder | null,
  machine: Machine,
  insisted = false,
): Refusal | null {
  const { mount, cuts } = cutterKindFacts[cutter.kind];
  const kind = wordsFor.cutterKind[cutter.kind];
  const d = cuttingDiameter(cutter);
  if (!cuts.includes(task.kind)) {
    return task.kind === "side"
      ? refused(say`${cutter.name} does not cut with its side.`, say`Take an end mill.`)
      : refused(say`A ${kind} cannot do this: ${wordsFor.cutKind[task.kind]}.`, chooseAnother);
  }
  const upright = mount !== "arbor";
  if (upright && machine.kind === "horizontal")
    return refused(
      say`${cutter.name} needs a vertical spindle; ${machine.name} has none.`,
      words("Choose another machine, or a cutter for the arbor."),
    );
  if (!upright && machine.kind === "vertical")
    return refused(
      say`${cutter.name} runs on an arbor; ${machine.name} has a vertical spindle.`,
      words("Choose another machine, or an end mill."),
    );
  if (task.kind === "side" && cutter.fluteLength < task.across + task.proud + clearOfWall)
    return refused(
      rule(
        "M20.flute",
      )`The flutes of ${cutter.name} are ${mm(cutter.fluteLength)} long; the wall is ${mm(task.across + task.proud)} high: the shank would rub.`,
      say`Take a longer cutter, or stand the part upright.`,
    );
  if ((task.kind === "slot" || task.kind === "groove") && wide(task, cutter) > task.across + 1e-6)
    return refused(
      rule(
        "M20.wide",
      )`${cutter.name} cuts ${mm(wide(task, cutter))} wide; the ${task.kind} is ${mm(task.across)}.`,
      say`Take a cutter of at most ${mm(task.across)}.`,
    );
  if (task.kind === "slot" && cutter.fluteLength < task.total)
    return refused(
      rule(
        "M20.flute",
      )`The flutes of ${cutter.name} are ${mm(cutter.fluteLength)} long; the slot is ${mm(task.total)} deep: the shank would rub.`,
      say`Take a longer cutter.`,
    );
  if (task.kind === "groove" && holder?.collar && task.total > (d - holder.collar) / 2 - clearOfWall)
    return refused(
      rule(
        "M20.collar",
      )`${cutter.name} on collars of ${mm(holder.collar)} reaches ${mm((d - holder.collar) / 2)} deep; the groove is ${mm(task.total)}.`,
      say`Take a larger cutter or smaller collars.`,
    );
  if (task.insideRadius !== null && d / 2 > task.insideRadius + 1e-6)
    return refused(
      rule(
        "M20.corner",
      )`${cutter.name} leaves a corner of ${mm(d / 2)}; the drawing asks for ${mm(task.insideRadius)}.`,
      say`Take a cutter of at most ${mm(2 * task.insideRadius)}.`,
    );
  if (task.plunges && !cutter.centerCutting)
    return refused(
      rule("M20.plunge")`${cutter.name} is not center-cutting: it cannot plunge into solid metal.`,
      say`Drill a start hole first, or use a center-cutting one.`,
    );
  // At the floor of the wall the nose passes over the studs, or clear of them, with every pass a little nearer.
  const { stud } = task;
  if (task.kind === "side" && stud && holder && stud.away + d / 2 - task.total < noseRadius + clearOfStud) {
    const over = tidy(task.across + clearOfStud + stud.rise);
    if (cutter.stickout + holder.reach < over)
      return refused(
        rule(
          "M47.nose",
        )`With ${cutter.name} the spindle nose would hit a stud beside the cut: from nose to cutter end ${mm(over)} is needed to pass over it.`,
        say`Take a longer cutter or holder, or put the straps elsewhere.`,
      );
  }
  const long = stickoutFactor(cutter);
  if (!long && !insisted)
    return refused(
      rule(
        "M20.stickout",
      )`${cutter.name} sticks ${mm(cutter.stickout)} out of its holder, over 6 times its diameter: it will chatter and bend.`,
      say`Set it shorter, or use a thicker one.`,
    );
  return null;
}

/** Width a slot or groove comes out at least, mm. */
const wide = (task: CutTask, cutter: Cutter) =>
  task.kind === "groove" ? cutter.fluteLength : cuttingDiameter(cutter);
