import { type Mm, mm, tidy } from "../quantity/index.ts";
import { drillPoint, type Point } from "../part/index.ts";
import { cuttingDiameter, type Cutter, type Shop } from "../shop/index.ts";
import { note, type Phrase, rule, say, warn, type Warning, words } from "../working/index.ts";
import type { Work } from "./recipe.ts";

/** A drill goes so far out of the far side of a through hole, beyond its point, mm. */
const through = 1;
/** Wider than this a drill is led by a smaller one, mm. */
const pilotOver = 10;
/** How deep a spotting drill goes, mm. */
const spotDepth = 1.5;

export interface HoleAsked {
  at: readonly Point[];
  top: Mm;
  floor: Mm;
  /** Drawn out at the far side. */
  through: boolean;
  /** It begins on the slope of a round. */
  onSlope: boolean;
  /** Where the deepest of them begins, mm. */
  lowest: Mm;
  /** Diameter of the hole: a spot is no wider, mm. */
  widest: Mm;
  /** Depth at which the part ends, mm: what goes deeper comes out, drawn so or not. */
  ends: Mm;
  exact: Mm;
}

const hole = (asked: HoleAsked, work: Pick<Work, "task" | "title" | "tool"> & Partial<Work>): Work => ({
  sweep: { kind: "points", at: asked.at },
  top: asked.top,
  floor: asked.floor,
  exact: asked.exact,
  measure: null,
  notes: [],
  ...work,
});

const many = (asked: HoleAsked, one: string): string => (asked.at.length === 1 ? one : `${one}s`);

export const spotWork = (asked: HoleAsked): Work =>
  hole(asked, {
    task: "spot",
    title: say`Spot the ${many(asked, "hole")}`,
    // Every one of them is spotted where its own metal begins, and none wider than it is drilled.
    floor: tidy(
      Math.max(asked.top + spotDepth, Math.min(asked.lowest + spotDepth, asked.top + asked.widest / 2)),
    ),
    tool: {
      by: "hole",
      kinds: ["spotDrill"],
      diameter: 10,
      over: 30,
      under: 9,
      wanted: words("A spotting drill"),
    },
    notes: [
      note(words("The spot sets where the hole goes: come to each place from one side, table locked.")),
      ...(asked.onSlope
        ? [
            warn(
              rule(
                "M49.slope",
              )`It begins on the slope of the round, where a drill runs off downhill. Mill a small flat there first, or spot it a little at a time, the table locked.`,
            ),
          ]
        : []),
    ],
  });

/** How deep a drill goes so that its full diameter reaches the floor, or comes out. */
const drilledTo = (asked: HoleAsked, diameter: Mm): Mm =>
  asked.through
    ? tidy(asked.floor + drillPoint * diameter + through)
    : tidy(asked.floor + drillPoint * diameter);

/** Drilling to a size, led by a pilot where that is wide. */
export function drillWorks(
  asked: HoleAsked,
  diameter: Mm,
  tolerance: { over: Mm; under: Mm },
  shop: Shop,
  task = "drill",
): Work[] {
  const thin: Warning[] =
    drilledTo(asked, diameter) > asked.ends
      ? [
          note(
            rule(
              "M48.through",
            )`At break-through a drill grabs: hold the part down or back it with scrap, seat the drill firmly, ease the feed, hands off the part. Keep good work out from under the hole.`,
          ),
        ]
      : [];
  const pilots = shop.cutters.filter(
    (c) =>
      c.kind === "twistDrill" &&
      cuttingDiameter(c) >= 0.25 * diameter &&
      cuttingDiameter(c) <= 0.7 * diameter,
  );
  const reaching = pilots.filter((c) => c.fluteLength >= drilledTo(asked, cuttingDiameter(c)) - asked.top);
  const pilot = diameter >= pilotOver ? nearest(reaching, 0.4 * diameter) : null;
  const unled =
    diameter >= pilotOver && pilots.length > 0 && !pilot
      ? [
          note(
            rule(
              "M20.noPilot",
            )`No smaller drill reaches down here: it is drilled in one go. Spot it well, lean on the feed less than usual, and clear the chips often.`,
          ),
        ]
      : [];
  return [
    ...(pilot
      ? [
          hole(asked, {
            task: "pilot",
            title: say`Pilot the ${many(asked, "hole")}`,
            floor: drilledTo(asked, cuttingDiameter(pilot)),
            tool: drillWish(cuttingDiameter(pilot), { over: 0.01, under: 0.01 }),
            notes: thin,
          }),
        ]
      : []),
    hole(asked, {
      task,
      title: say`Drill the ${many(asked, "hole")} ${mm(diameter)}`,
      floor: drilledTo(asked, diameter),
      tool: drillWish(diameter, tolerance),
      notes: [...unled, ...thin],
    }),
  ];
}

const nearest = (cutters: readonly Cutter[], to: Mm): Cutter | null =>
  cutters.reduce<Cutter | null>(
    (best, c) =>
      !best || Math.abs(cuttingDiameter(c) - to) < Math.abs(cuttingDiameter(best) - to) ? c : best,
    null,
  );

const drillWish = (diameter: Mm, { over, under }: { over: Mm; under: Mm }): Work["tool"] => ({
  by: "hole",
  kinds: ["twistDrill"],
  diameter,
  over,
  under,
  wanted: say`A drill of ${mm(diameter)}`,
});

/** One more tool down the same holes. */
export const toolWork = (
  asked: HoleAsked,
  task: string,
  title: Phrase,
  tool: Work["tool"],
  more: Partial<Work> = {},
): Work => hole(asked, { task, title, tool, ...more });
