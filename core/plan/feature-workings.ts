import { cuttingFigure, type Plunge } from "../cutting/index.ts";
import { handlingTimes, type Material } from "../handbook/index.ts";
import { type Locating, pickupErrors, touchWords } from "../locate/index.ts";
import { count, mm, quantity, tidy } from "../quantity/index.ts";
import { type FeatureOperation, type FeatureSetup, minutesOfOperation, placingTime } from "../route/index.ts";
import type { Machine, Shop } from "../shop/index.ts";
import { line, precise, say, words, type WorkingBody } from "../working/index.ts";
import { heldWorking } from "./grip-working.ts";

/** What carrying to another machine adds to a setup. */
export const carriedLines = ({ carried }: Pick<FeatureSetup, "carried">): WorkingBody["lines"] =>
  carried
    ? [
        line("carried there, vise indicated", quantity("time", handlingTimes.indicate), {
          source: "usual handling times (guess)",
        }),
      ]
    : [];

/** Figures of a feature's operation that have a working. */
export const featureFigures = [
  "speed",
  "feed",
  "depth",
  "power",
  "bending",
  "time",
  "places",
  "zero",
  "grip",
  "setup",
] as const;
export type FeatureFigure = (typeof featureFigures)[number];

/** How the cutter goes straight down into metal, and what that asks of the machine. */
const plungeLines = ({ vf, power }: Plunge) => [
  line("straight down into metal", quantity("feed", vf), {
    source: "half of the feed at most, less where power or force would be over 60 % (guess)",
  }),
  line("power of that, all of its end in metal", quantity("power", power)),
];

/** The working of a figure of an operation; null for one it has not. */
export function featureFigureWorking(
  figure: FeatureFigure,
  operation: FeatureOperation,
  setup: FeatureSetup,
  locating: Locating,
  { machine, material, shop }: { machine: Machine; material: Material; shop: Shop },
): WorkingBody | null {
  const cutter = shop.cutters.find((c) => c.id === operation.cutter);
  const { cut, set } = operation;
  switch (figure) {
    case "speed":
    case "feed":
    case "depth":
    case "power":
    case "bending":
      if (cut && cutter) {
        const working = cuttingFigure(figure, cut, { cutter, machine, material });
        return figure === "feed" && set?.plunge
          ? { ...working, lines: [...working.lines, ...plungeLines(set.plunge)] }
          : working;
      }
      return set && cutter && (figure === "speed" || figure === "feed")
        ? {
            lines: [
              line("spindle", quantity("spindleSpeed", set.rpm)),
              line(
                "cutting speed at its edge",
                quantity("cuttingSpeed", (Math.PI * operation.diameter * set.rpm) / 1000),
                {
                  source: "n = 1000 vc / (π D), the kind's share of the milling speed",
                  sum: figure === "speed",
                },
              ),
              ...(figure === "feed"
                ? [
                    line("feed per turn", mm(tidy(set.vf / set.rpm)), {
                      decimals: 3,
                      source: "feed bands by kind and diameter",
                    }),
                    line("table or quill feed", quantity("feed", set.vf), { sum: true }),
                  ]
                : []),
            ],
          }
        : null;
    case "time":
      return {
        lines: [
          line("cutting, with coming to each place", quantity("time", operation.minutes.cutting)),
          ...(operation.sameTool
            ? []
            : [
                line(
                  "cutter changed, touched off",
                  quantity("time", handlingTimes.cutterChange + handlingTimes.touchOff),
                  { source: "usual handling times (guess)" },
                ),
              ]),
          ...(operation.tilt === null
            ? []
            : [
                line("head tilted, and upright again", quantity("time", 2 * handlingTimes.indicate), {
                  source: "usual handling times (guess)",
                }),
              ]),
          ...(operation.opensFrom === null
            ? []
            : [
                line("head opened and locked", quantity("time", handlingTimes.openHead), {
                  source: "usual handling times (guess)",
                }),
              ]),
          ...(operation.measure ? [line("measured", quantity("time", handlingTimes.measure))] : []),
          line("this operation", quantity("time", minutesOfOperation(operation)), { sum: true }),
        ],
      };
    case "setup":
      return {
        lines: [
          ...setup.operations.map((o) => line(o.title, quantity("time", minutesOfOperation(o)))),
          ...(setup.entry === "stays"
            ? []
            : [line("set up", quantity("time", placingTime(setup.entry, setup.seat)))]),
          line("zero picked up, deburred", quantity("time", handlingTimes.indicate + handlingTimes.deburr), {
            source: "usual handling times (guess)",
          }),
          ...carriedLines(setup),
          line(
            setup.seat.together ? "this setup, for each of the two pieces half of it" : "this setup",
            quantity("time", setup.minutes.cutting + setup.minutes.handling),
            { sum: true },
          ),
        ],
      };
    case "places":
      return {
        lines: [
          line("cutter that cuts", mm(operation.diameter), { decimals: 3 }),
          line("its axis is half of it off a wall", mm(tidy(operation.diameter / 2)), {
            decimals: 3,
            sum: true,
          }),
          line("levels", count(Math.max(1, operation.levels.length))),
          line("floor below the face", mm(operation.floor), { decimals: 3 }),
        ],
        notes: [
          words("Every place is the axis of the cutter, counted from the one zero of the setup."),
          say`Places that cut must be within ${precise(mm(operation.exact), 2)}; what only moves in air need not.`,
        ],
      };
    case "zero":
      return {
        lines: [
          ...locating.pickups.flatMap((p) => [
            line(`half of what touches in ${p.axis.toUpperCase()}`, mm(tidy(p.tool / 2)), { decimals: 3 }),
            line("paper between", mm(p.medium), { decimals: 3 }),
            line("axis off the edge", mm(p.off), { decimals: 3, sum: true }),
            line("zero known within", mm(p.error), {
              decimals: 3,
              source: `${touchWords[p.way]} ±${pickupErrors[p.way]} mm${p.faces.length > 1 ? ", over √2 for two sides" : ""}, and half a step of the ${p.by} (guess)`,
            }),
          ]),
          line("both axes together", mm(tidy(locating.error)), { decimals: 3, sum: true }),
          ...(locating.closest === null
            ? []
            : [line("half the tightest tolerance of a place", mm(tidy(locating.closest)), { decimals: 3 })]),
        ],
        notes: [words("Independent errors add up as the root of the sum of their squares.")],
      };
    case "grip": {
      const held = heldWorking(setup.seat, { shop, material });
      return { ...held, notes: [...(held.notes ?? []), ...setup.reasons] };
    }
  }
}
