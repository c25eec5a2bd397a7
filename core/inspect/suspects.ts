import { type Mm, mm } from "../quantity/index.ts";
import { capital, say, words } from "../working/index.ts";
import type { Seen, Suspect } from "./detective.ts";

/** What a job's own things can have done to its sizes. All lengths in mm. */
export interface SuspectFacts {
  /** Of each axis: lead a turn, one division, slack. */
  axes: Record<"x" | "y" | "z", { lead: Mm; division: Mm; slack: Mm }>;
  cutters: { id: string; name: string; diameter: Mm }[];
  /** Tip of the edge finder; null where none is used. */
  finder: Mm | null;
  paper: Mm;
  setups: { id: string; name: string }[];
}

const isAt = (r: Seen, side: "x" | "y"): number => (r.at ? r.at[side] : 0);
const cut = (r: Seen) => r.kind !== "square";
/** A width and a depth grow by what is cut too far; what stands shrinks. */
const grows = (r: Seen): number => (r.kind === "size" ? -1 : 1);

/**
 * Suspects of a job from the dials, cutters and setups it really uses, each with the test that would prove it.
 * Sources: domain.md 5 (backlash), 6 (bending, run-out), 10 (measuring) and mistakes M03 to M41; ranges are guesses.
 */
export function suspectsOf(
  { axes, cutters, finder, paper, setups }: SuspectFacts,
  readings: readonly Seen[],
): Suspect[] {
  const ops = [...new Set(readings.filter(cut).map((r) => r.op))];
  const opName = (op: string) => readings.find((r) => r.op === op)?.id ?? op;
  const both = (...sizes: Mm[]) => ({ of: sizes.flatMap((s) => [s, -s]) });
  return [
    ...ops.flatMap((op): Suspect[] => {
      const mine = (r: Seen) => (cut(r) && r.op === op && r.kind !== "place" ? 1 : 0);
      const { axis, kind } = readings.find((r) => r.op === op)!;
      // Which of the table's two dials sets a width is not known here: either may be it.
      const dials = kind === "width" ? [axes.x, axes.y] : [axes[axis]];
      const dial = kind === "width" ? "a table" : `the ${axis.toUpperCase()}`;
      const leads = [...new Set(dials.map((d) => d.lead))];
      const divisions = [...new Set(dials.map((d) => d.division))];
      return [
        {
          id: `turn ${op}`,
          says: say`One turn of ${dial} dial, ${mm(leads[0]!)}, was counted wrong at ${opName(op)}.`,
          test: words("Go back to zero and count the turns again, or check the position with a rule."),
          shows: mine,
          amount: both(...leads),
        },
        {
          id: `division ${op}`,
          says: say`${capital(dial)} dial was set one or two divisions of ${mm(divisions[0]!)} off at ${opName(op)}.`,
          test: words("Set zero again on the finished face and read the collar: it shows the divisions."),
          shows: mine,
          amount: both(...divisions.flatMap((d) => [d, 2 * d])),
        },
        {
          id: `unit ${op}`,
          says: say`An inch figure was taken for mm, or the other way round, at ${opName(op)}.`,
          test: words("Look at the unit of the instrument and of the readout, and read once more."),
          shows: (r) => (mine(r) ? r.nominal : 0),
          amount: { of: [24.4, -0.9606] },
        },
      ];
    }),
    ...setups.flatMap(({ id, name }): Suspect[] => {
      const here = (r: Seen) => (r.setup === id ? 1 : 0);
      const inPlane = (r: Seen) => r.kind === "place" && r.axis !== "z";
      return [
        ...(finder === null
          ? []
          : [
              ...(["x", "y"] as const).map((axis) => ({
                id: `finder ${id} ${axis}`,
                says: say`Half the finder, ${mm(finder / 2)}, was forgotten or counted the wrong way in ${axis.toUpperCase()}, ${name}.`,
                test: say`Touch the same edge again in ${axis.toUpperCase()}: the readout must show half the finder, not 0.`,
                shows: (r: Seen) => (here(r) && inPlane(r) && r.axis === axis ? 1 : 0),
                amount: both(finder / 2, finder),
              })),
            ]),
        {
          id: `paper ${id}`,
          says: say`The paper, ${mm(paper)}, was not counted at the touch, or counted twice, in ${name}.`,
          test: words(
            "Touch the finished face once more through the paper: the axis shows the paper, or it was not counted.",
          ),
          shows: (r) => (here(r) && cut(r) && r.axis === "z" && r.kind !== "width" ? grows(r) : 0),
          amount: both(paper),
        },
        {
          id: `datum ${id}`,
          says: say`Places were counted from the opposite edge in ${name}.`,
          test: words("Measure one place from both edges: one of the two is the drawn figure."),
          shows: (r) => (here(r) && r.mirrored !== null ? r.mirrored : 0),
          amount: { of: [1] },
        },
        ...([1, -1] as const).map((way) => ({
          id: `chip ${id} ${way === 1 ? "one way" : "the other"}`,
          says: say`A chip or burr lay under the ${way === 1 ? "right back or left front" : "right front or left back"} corner of the part in ${name}.`,
          test: words(
            "Look at the face that was below for a mark: the part is thin over the chip and thick across from it.",
          ),
          shows: (r: Seen) => (here(r) && r.kind === "size" && r.at ? (r.at.x + way * r.at.y) / 2 : 0),
          amount: { from: -0.2, to: 0.2 },
        })),
        {
          id: `end ${id}`,
          says: say`One end of the part was not down in ${name}: a chip or burr under it, or a parallel that was loose there.`,
          test: words(
            "Look at both ends of the face that was below for a mark, and try a feeler of 0.03 under each when it is clamped again.",
          ),
          shows: (r) => (here(r) && r.kind === "size" ? isAt(r, "x") : 0),
          amount: { from: -0.2, to: 0.2 },
        },
        {
          id: `parallels ${id}`,
          says: say`The parallels were of unlike height, or one stood on a chip, in ${name}.`,
          test: words("Measure both parallels with one micrometer, and try each by hand under the part."),
          shows: (r) => (here(r) && r.kind === "size" ? isAt(r, "y") : 0),
          amount: { from: -0.15, to: 0.15 },
        },
        {
          id: `seat ${id}`,
          says: say`The part lifted, or the vise gave, after zero was set in ${name}.`,
          test: words(
            "Set an indicator on the part and tighten as you do in work: it shows how much it moves.",
          ),
          shows: (r) => (here(r) && r.kind === "size" ? 1 : 0),
          amount: { from: 0, to: 0.12 },
        },
        {
          id: `springs ${id}`,
          says: say`What was left standing is thin and sprang away from the cutter in ${name}.`,
          test: words("Take the last pass once more at the same setting: a wall that springs loses more."),
          shows: (r) => (here(r) ? r.slender : 0),
          amount: { from: 0, to: 0.06 },
        },
      ];
    }),
    ...cutters.flatMap(({ id, name, diameter }): Suspect[] => {
      const mine = (r: Seen) => (r.cutter === id ? 1 : 0);
      return [
        {
          id: `half ${id}`,
          says: say`Half the ${name}, ${mm(diameter / 2)}, was forgotten or counted the wrong way.`,
          test: words("Put the cutter over a finished wall: its edge, not its center, must touch there."),
          shows: (r) => (mine(r) && r.kind === "place" ? 1 : 0),
          amount: both(diameter / 2, diameter),
        },
        {
          id: `runs out ${id}`,
          says: say`The ${name} runs out and cuts wider than it is.`,
          test: words(
            "Turn the spindle by hand with an indicator on the edge: it shows twice what a wall gets.",
          ),
          shows: (r) => (mine(r) && r.kind === "width" ? 1 : 0),
          amount: { from: 0, to: 0.12 },
        },
        {
          id: `worn ${id}`,
          says: say`The ${name} is worn or was sharpened: it cuts narrower, and more so with every cut.`,
          test: words("Cut a slot in scrap and measure it: it is as wide as the cutter really cuts."),
          shows: (r) => (mine(r) && r.kind === "width" ? -(1 + r.after) : 0),
          amount: { from: 0, to: 0.08 },
        },
      ];
    }),
    ...(["x", "y", "z"] as const).map((axis): Suspect => ({
      id: `slack ${axis}`,
      says: say`The slack of ${axis.toUpperCase()}, ${mm(axes[axis].slack)}, came in: stops were come to against the way it was zeroed.`,
      test: say`Come to the same stop from the other side and read it: ${axis.toUpperCase()} shows the slack.`,
      shows: (r) => (cut(r) && r.axis === axis && r.against ? 1 : 0),
      amount: both(axes[axis].slack),
    })),
    {
      id: "tram",
      says: words("The head is out of tram along X: every face cut flat slopes the same way."),
      test: words("Sweep an indicator in the spindle over the table, left and right."),
      shows: (r) => (r.kind === "size" && r.axis === "z" ? isAt(r, "x") : 0),
      amount: { from: -0.12, to: 0.12 },
    },
    {
      id: "jaw",
      says: words("The fixed jaw leans: every face cut against it is out of square the same way."),
      test: words("Run an indicator up a ground block held at the fixed jaw."),
      shows: (r) => (r.kind === "square" ? 1 : 0),
      amount: { from: -0.2, to: 0.2 },
    },
    {
      id: "warm",
      says: words("The part or the instrument was warm: every size is off in proportion to its length."),
      test: words("Let both lie on the plate for an hour, and measure again."),
      // 11.5 µm a meter and degree: the amount is in mm over a meter.
      shows: (r) => (cut(r) ? r.nominal / 1000 : 0),
      amount: { from: -0.6, to: 0.6 },
    },
    {
      id: "bent",
      says: words("The part is bent: it was flat while it was held, and sprang when it was released."),
      test: words("Lay it on a plate and try a feeler under its middle, then turn it over."),
      shows: (r) => (r.kind === "size" && r.at ? 1 - r.at.x * r.at.x - 0.5 : 0),
      amount: { from: -0.3, to: 0.3 },
    },
    {
      id: "instrument",
      says: words("The instrument was off at zero: everything read with it is off by the same."),
      test: words("Close it and read zero, then read a gauge block near the size."),
      shows: (r) => (r.kind === "square" || r.kind === "place" ? 0 : 1),
      amount: { from: -0.08, to: 0.08 },
    },
  ];
}
