import { cutterKindFacts } from "../handbook/index.ts";
import { mm, type Mm, quantity, tidy } from "../quantity/index.ts";
import { type Cutter, cuttingDiameter } from "../shop/index.ts";
import { type Outcome, type Phrase, type Refusal, refused, rule, say, words } from "../working/index.ts";
import type { Work } from "../recipes/index.ts";

/** Whether a cutter leaves a square corner between wall and floor. */
const square = (cutter: Cutter): boolean =>
  cutter.kind !== "ballEnd" && cutter.kind !== "cornerRadius" && cutter.enteringAngle > 89.5;

/** M20: a milling cutter too wide, or not of the size that is to be made. */
export function wrongSize(
  tool: Extract<Work["tool"], { by: "mill" }>,
  cutter: Cutter,
  work: Work,
): Refusal | null {
  const d = cuttingDiameter(cutter);
  if (!cutterKindFacts[cutter.kind].cuts.includes(tool.kind) || (tool.kind !== "face" && !square(cutter)))
    return refused(say`${cutter.name} leaves no square floor and wall.`, words("Use an end mill."));
  if (tool.kind === "groove") return null;
  if (tool.most !== null && d > tool.most + 1e-6)
    return refused(
      rule("M20.wide")`${cutter.name} is ${mm(d)} wide; at most ${mm(tool.most)} goes in here.`,
      say`Use a cutter of at most ${mm(tool.most)}.`,
    );
  if (tool.least !== null && d < tool.least - 1e-6)
    return refused(
      rule("M20.corner")`${cutter.name} is ${mm(d)}; ${mm(tool.least)} or more is needed here.`,
      say`Use a cutter of ${mm(tool.most ?? tool.least)}.`,
    );
  if (tool.kind !== "side" && tool.kind !== "face" && cutter.fluteLength < work.floor - work.top)
    return refused(
      rule(
        "M20.flute",
      )`The flutes of ${cutter.name} are ${mm(cutter.fluteLength)} long; it goes ${mm(tidy(work.floor - work.top))} deep: the shank would rub.`,
      words("Use a longer cutter."),
    );
  return null;
}

/** Pitches nearer than this are one: a thread per inch rounded to mm. */
const samePitch = 0.01;

export function notThis(
  tool: Extract<Work["tool"], { by: "hole" | "form" }>,
  cutter: Cutter,
  /** How deep it goes from where it begins, mm. */
  deep: Mm = 0,
): Refusal | null {
  const d = cuttingDiameter(cutter);
  const no = (reason: Phrase) => refused(reason, say`${tool.wanted} would do.`);
  if (!tool.kinds.includes(cutter.kind)) return no(say`${cutter.name} is not the tool for this.`);
  if (cutter.kind === "boringHead" && tool.by === "hole") {
    if ((tool.enters ?? tool.diameter) < d - 1e-6)
      return no(
        rule(
          "M49.enters",
        )`The bar of ${cutter.name} goes into ${mm(d)} and wider; ${mm(tool.enters ?? tool.diameter)} is there.`,
      );
    if (cutter.opens !== null && tool.diameter > cutter.opens + 1e-6)
      return no(
        rule("M49.opens")`${cutter.name} opens to ${mm(cutter.opens)}; ${mm(tool.diameter)} is needed.`,
      );
  }
  // A boring head is set to the size.
  if (
    cutter.kind !== "boringHead" &&
    (d > tool.diameter + tool.over + 1e-6 || d < tool.diameter - tool.under - 1e-6)
  )
    return no(rule("M20.size")`${cutter.name} is ${mm(d)}; ${mm(tool.diameter)} is needed.`);
  if (tool.by === "hole" && tool.pitch !== undefined && cutter.kind === "tap" && cutter.pitch !== null)
    if (Math.abs(cutter.pitch - tool.pitch) > samePitch)
      return no(
        rule("M20.pitch")`${cutter.name} has a pitch of ${mm(cutter.pitch)}; ${mm(tool.pitch)} is needed.`,
      );
  if (cutter.kind === "tap" && deep > cutter.fluteLength && cutter.shank > d - (cutter.pitch ?? 0))
    return refused(
      rule(
        "M31.tapShank",
      )`${cutter.name} is threaded ${mm(cutter.fluteLength)} long, and its shank of ${mm(cutter.shank)} is too thick to follow into the hole: ${mm(deep)} deep is asked.`,
      say`Draw a thread depth of at most ${mm(cutter.fluteLength)}, or get a tap with a thinner shank.`,
    );
  if (tool.angle !== undefined && Math.abs(cutter.enteringAngle - tool.angle) > 0.5)
    return no(say`${cutter.name} has another angle: ${quantity("angle", cutter.enteringAngle)}.`);
  if (tool.width !== undefined && Math.abs(cutter.fluteLength - tool.width) > 0.06)
    return no(
      rule("M20.size")`${cutter.name} is ${mm(cutter.fluteLength)} wide; ${mm(tool.width)} is needed.`,
    );
  if (cutter.kind === "endMill" && tool.by === "hole" && !cutter.centerCutting)
    return no(rule("M20.plunge")`${cutter.name} is not center-cutting.`);
  return null;
}

/** How near a tool of the wrong size is to what is wanted: smaller is nearer. */
const offBy = (tool: Work["tool"], cutter: Cutter): number =>
  tool.by === "hole" || tool.by === "form"
    ? (tool.kinds.includes(cutter.kind) ? 0 : 1e6) + Math.abs(cuttingDiameter(cutter) - tool.diameter)
    : 0;

/** Why no owned tool does a work: the one that came closest, and what would do. */
export function nothingDoes(
  work: Work,
  made: readonly { cutter: Cutter; outcome: Outcome<unknown> }[],
): Refusal {
  const { tool } = work;
  /** The nearest of those that were refused for one reason: the narrowest that is too wide, the longest that is too short. */
  const said = (id: string, nearest: (c: Cutter) => number = () => 0) =>
    made
      .filter(({ outcome }) => !outcome.ok && outcome.reason.id === id)
      .sort((a, b) => nearest(b.cutter) - nearest(a.cutter))[0];
  const noRoom = said("M43.daylight") ?? said("M43.travel");
  if (noRoom && !noRoom.outcome.ok)
    return refused(
      say`${work.title} with ${noRoom.cutter.name}: ${noRoom.outcome.reason}`,
      noRoom.outcome.suggestion,
    );
  if (tool.by === "hole" || tool.by === "form") {
    const near = made
      .map(({ cutter }) => cutter)
      .filter((c) => tool.kinds.includes(c.kind))
      .sort((a, b) => offBy(tool, a) - offBy(tool, b))[0];
    const fitting = made.find(({ outcome, cutter }) => !outcome.ok && cutter === near);
    return refused(
      rule(
        "M20.none",
      )`${work.title}: you own none that can do it.${near && fitting && !fitting.outcome.ok ? say` ${fitting.outcome.reason}` : say``}`,
      say`${tool.wanted} would do${near ? say`; nearest you own is ${near.name}` : say``}.`,
    );
  }
  const closest =
    said("M21.nothing") ??
    said("M20.plunge") ??
    said("M20.flute", (c) => c.fluteLength) ??
    said("M20.stickout") ??
    said("M20.corner", cuttingDiameter) ??
    said("M20.wide", (c) => -cuttingDiameter(c)) ??
    made[0];
  const most = tool.by === "mill" ? tool.most : null;
  return closest && !closest.outcome.ok
    ? refused(
        say`${work.title}: ${closest.outcome.reason}`,
        most === null
          ? closest.outcome.suggestion
          : say`An end mill of at most ${mm(most)} with flutes of ${mm(tidy(work.floor - work.top))} would do.`,
      )
    : refused(words("There is no cutter in the shop for this."), words("Enter one in the shop."));
}
