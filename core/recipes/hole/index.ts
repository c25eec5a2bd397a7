import { axisOf } from "../../frame/index.ts";
import { boreOf, headOf, holeMiddles, middleOn, threadOf } from "../../part/index.ts";
import { type Mm, mm, tidy } from "../../quantity/index.ts";
import { cuttingDiameter } from "../../shop/index.ts";
import { note, rule, say, words } from "../../working/index.ts";
import { drillWorks, type HoleAsked, spotWork, toolWork } from "../drill-hole.ts";
import { boringWorks, openedFor } from "../bore.ts";
import {
  aimOf,
  depthsFrom,
  metalFrom,
  onSlope,
  type Measured,
  type OfKind,
  type Recipe,
  type RecipePlace,
  type Way,
  type Work,
} from "../recipe.ts";

/** A drilled hole may come out this much off its size where the drawing says no more, mm. */
const drilledWithin = 0.05;

/** Where the tip of a countersink stands when its cone is as wide as the head at the face, mm: in the air of the hole. */
const coneTip = (face: Mm, diameter: Mm, angle: number): Mm =>
  tidy(face + diameter / 2 / Math.tan((angle * Math.PI) / 360));

/** Spotted, drilled, then sized as the drawing asks: reamed, bored, tapped, or given a head. */
export const holeRecipe: Recipe<OfKind<"hole">> = (feature, place) => {
  const bore = boreOf(feature)!;
  const at = holeMiddles(feature, middleOn(feature, place.site)!, place.site)!;
  const up = feature.face;
  const main = place.cutout.prisms.find((p) => !p.thread && p.inset === undefined)!;
  const through = feature.sizes.depth === null;
  const { top: face, floor } = depthsFrom(up, main.span, place.sizes);
  // Within a pocket it begins at the floor of it.
  const starts = at.map((point) => metalFrom(up, point, place));
  const sunk = Math.min(...starts);
  const top = sunk < floor ? Math.max(face, sunk) : face;
  const exact = 0.1;
  const asked: HoleAsked = {
    at,
    top,
    floor,
    through,
    onSlope: at.some((point) => onSlope(up, point, place)),
    lowest: Math.max(top, ...starts.filter((start) => start < floor)),
    widest: bore,
    ends: place.sizes[axisOf(up)],
    exact,
  };
  const aim = aimOf(feature, "diameter", place.part);
  const measure: Measured | null = aim && {
    size: "diameter",
    name: words("the hole"),
    target: aim.target,
    limits: aim.limits,
    before: false,
    grows: true,
  };
  const finish = (works: Work[]): Work[] =>
    works.map((work, i) => (i === works.length - 1 && measure ? { ...work, measure } : work));
  const way = (name: string, why: Way["why"], works: Work[]): Way => ({
    name,
    why,
    up,
    works: finish([spotWork(asked), ...works]),
  });
  return waysOf(feature, place, asked, bore, face).map(({ name, why, works }) => way(name, why, works));
};

type Named = { name: string; why: Way["why"]; works: Work[] };

function waysOf(
  feature: OfKind<"hole">,
  place: RecipePlace,
  asked: HoleAsked,
  bore: number,
  face: number,
): Named[] {
  const { shop, part } = place;
  const aim = aimOf(feature, "diameter", part);
  const within = aim
    ? { over: Math.max(0.001, aim.limits.upper - bore), under: Math.max(0.001, bore - aim.limits.lower) }
    : { over: drilledWithin, under: drilledWithin };
  const drilled = { over: Math.max(within.over, 0.001), under: Math.max(within.under, 0.001) };
  // The largest owned drill that leaves something for a tool after it.
  const under = (least: number, most: number) =>
    shop.cutters
      .filter((c) => c.kind === "twistDrill")
      .map(cuttingDiameter)
      .filter((d) => d <= bore - least + 1e-9 && d >= bore - most)
      .sort((a, b) => b - a)[0] ?? tidy(bore - (least + most) / 2);
  const before = (least: number, most: number) =>
    drillWorks(asked, under(least, most), { over: 0.01, under: 0.01 }, shop);
  const boring: Named = {
    name: "drilled and bored",
    why: words("A boring head makes any size, true to the spindle."),
    works: boringWorks(asked, bore, { opened: openedFor(asked, bore, shop), aim }),
  };
  switch (feature.form) {
    case "drilled":
      return [
        {
          name: "drilled",
          why: words("One drill makes it to size."),
          works: drillWorks(asked, bore, drilled, shop),
        },
        boring,
      ];
    case "bored":
      return [boring];
    case "reamed":
      return [
        {
          name: "drilled and reamed",
          why: words("A reamer follows the drilled hole and gives it its fit."),
          works: [
            ...before(0.1, 0.5),
            toolWork(
              asked,
              "ream",
              say`Ream ${mm(bore)}`,
              {
                by: "hole",
                kinds: ["reamer"],
                diameter: bore,
                over: 0.01,
                under: 0.01,
                wanted: say`A reamer of ${mm(bore)}`,
              },
              {
                ...(asked.through ? { floor: tidy(asked.floor + 3) } : {}),
                notes: [
                  note(
                    words(
                      "Half the drilling speed, twice the feed, oil; back it out still turning forward, never in reverse.",
                    ),
                  ),
                ],
              },
            ),
          ],
        },
        boring,
      ];
    case "tapped": {
      const thread = threadOf(feature)!;
      const deep = feature.sizes.threadDepth?.nominal;
      return [
        {
          name: "drilled and tapped",
          why: words("Start the tap in the spindle, so it goes in square."),
          works: [
            ...drillWorks(asked, bore, { over: drilledWithin, under: drilledWithin }, shop),
            toolWork(
              asked,
              "tap",
              say`Tap ${thread.name}`,
              {
                by: "hole",
                kinds: ["tap"],
                diameter: thread.diameter,
                over: 0.05,
                under: 0.05,
                pitch: thread.pitch,
                wanted: say`A tap ${thread.name}`,
              },
              {
                floor: deep === undefined ? asked.floor : tidy(face + deep),
                notes: [
                  note(
                    rule(
                      "M31.tap",
                    )`Turn the spindle by hand, oil, back every half turn; its pitch is ${mm(thread.pitch)}: check it against what is marked on the tap, or with a thread gauge.`,
                  ),
                ],
              },
            ),
          ],
        },
      ];
    }
    case "counterbored":
    case "countersunk": {
      const head = headOf(feature);
      if (!head || head === "unfinished") return [];
      const drill = drillWorks(asked, bore, { over: 0.2, under: drilledWithin }, shop);
      const floor = tidy(face + head.depth);
      const work = (
        task: string,
        kinds: ("counterbore" | "endMill" | "countersink")[],
        more: object,
        wanted: Way["why"],
      ): Work =>
        toolWork(
          asked,
          task,
          say`${head.tapers ? "Countersink" : "Counterbore"} ${mm(head.diameter)}`,
          { by: "hole", kinds, diameter: head.diameter, over: 0.5, under: 0.2, wanted, ...more },
          { floor: head.tapers ? coneTip(face, head.diameter, feature.numbers.headAngle ?? 90) : floor },
        );
      if (head.tapers) {
        const angle = 90 - (feature.numbers.headAngle ?? 90) / 2;
        return [
          {
            name: "drilled and countersunk",
            why: words("The countersink runs in the hole drilled before it."),
            works: [
              ...drill,
              work(
                "sink",
                ["countersink"],
                { over: 30, under: 0, angle },
                say`A countersink of ${String(180 - 2 * angle)}° and at least ${mm(head.diameter)}`,
              ),
            ],
          },
        ];
      }
      return [
        {
          name: "drilled and counterbored",
          why: words("The pilot of the counterbore keeps it on the hole."),
          works: [
            ...drill,
            work("counterbore", ["counterbore"], {}, say`A counterbore of ${mm(head.diameter)}`),
          ],
        },
        {
          name: "counterbored with an end mill",
          why: words("An end mill of that size, plunged before the table is moved off the hole."),
          works: [...drill, work("counterbore", ["endMill"], {}, say`An end mill of ${mm(head.diameter)}`)],
        },
      ];
    }
  }
}
