import { type Stroke } from "../recipes/index.ts";
import { axisOf, circle, type Outline, rectangle, type Sizes } from "../frame/index.ts";
import { outlineInSetup, rectInSetup, type SetupFrame } from "../locate/index.ts";
import type { Cutout, Site } from "../part/index.ts";
import { type Mm } from "../quantity/index.ts";
import type { FeatureOperation, FeatureSetup } from "../route/index.ts";
import type { Figure } from "./figure.ts";
import { heldFromAbove, planView } from "./plan-view.ts";

/** What the plan view of an operation is drawn from. */
export interface MovesDrawn {
  setup: FeatureSetup;
  frame: SetupFrame;
  site: Site;
  /** What all features of the part take out, by id. */
  cutouts: ReadonlyMap<string, Cutout>;
  operation: FeatureOperation;
  moves: readonly Stroke[];
  /** The move to do now: it stands out, the cutter is drawn at its end; null for all alike. */
  at: number | null;
  fixedJaw: "back" | "front";
}

/** What a cutout shows from above in a setup: its outlines where it is cut straight down, else the box around it. */
function shown(frame: SetupFrame, cutout: Cutout): { outline: Outline; island?: Outline }[] {
  const axis = axisOf(frame.up);
  const order = (["length", "width", "height"] as const).filter((a) => a !== axis);
  const straight = cutout.prisms.filter((p) => p.axis === axis && !p.thread);
  if (straight.length > 0)
    return straight.map(({ outline, island }) => ({
      outline: outlineInSetup(frame, outline),
      ...(island ? { island: outlineInSetup(frame, island) } : {}),
    }));
  const rect = rectInSetup(frame, { x: cutout.box[order[0]!], y: cutout.box[order[1]!] });
  return [{ outline: rectangle(rect.x, rect.y) }];
}

/** Where the part lies in a setup, as the readout counts. */
export function partInSetup({ frame, site }: Pick<MovesDrawn, "frame" | "site">): {
  x: readonly [Mm, Mm];
  y: readonly [Mm, Mm];
} {
  const axis = axisOf(frame.up);
  const [a, b] = (["length", "width", "height"] as const).filter((s) => s !== axis) as [
    keyof Sizes,
    keyof Sizes,
  ];
  return rectInSetup(frame, { x: [0, site.sizes[a]], y: [0, site.sizes[b]] });
}

/** An operation of a setup of features from above. */
export function movesView(drawn: MovesDrawn): Figure {
  const { frame, cutouts, operation, moves, at, setup, fixedJaw } = drawn;
  const r = operation.diameter / 2;
  const now = at === null ? null : (moves.find((m) => m.number === at) ?? null);
  // At the machine the ways of this level; on paper those of the last, which are all there are at most.
  const level = now?.level ?? Math.max(0, ...moves.map((m) => m.level));
  const own = cutouts.get(operation.feature);
  const others = setup.features.flatMap((id) => (id === operation.feature ? [] : (cutouts.get(id) ?? [])));
  const disc = operation.sweep.kind === "disc";
  return planView({
    part: partInSetup(drawn),
    held: heldFromAbove(setup, fixedJaw),
    inside: [
      ...others.flatMap((cutout) =>
        shown(frame, cutout).map(({ outline }) => ({ outlines: [outline], ink: "hidden" as const })),
      ),
      ...(own ? shown(frame, own) : []).map(({ outline, island }) => ({
        outlines: [outline, ...(island ? [island] : [])],
        ink: "remove" as const,
      })),
    ],
    strokes: moves,
    shown: (move) => move.level === level || operation.sweep.kind === "tracks",
    at,
    // A disc comes in from the side: its edge lies at the place.
    cutter: (x, y) => circle(x, disc ? y - r : y, Math.max(r, 0.5)),
    reach: { x: r, y: r },
    zero: true,
    title: titleWords(operation, moves, now),
    foot: footWords(operation, moves),
    words: [],
  });
}

/** How a stroke cuts, in a word or two. */
export const cutsWords = {
  conventional: "conventional",
  climb: "climb",
  full: "full width",
  down: "straight down",
  over: "over the face",
  air: "in air",
} as const;

const footWords = (operation: FeatureOperation, moves: readonly Stroke[]): string[] => {
  const cuts = [...new Set(moves.filter((m) => m.kind === "feed").map((m) => cutsWords[m.cuts]))];
  const how = operation.by === "hole" ? "straight down" : cuts.join(", ") || "straight down";
  return ["Seen from above, X right, Y back.", `Cut ${how}.`];
};

const titleWords = (operation: FeatureOperation, moves: readonly Stroke[], now: Stroke | null): string =>
  `Plan view of ${operation.key.replace("/", ", ")}: ${moves.length} moves from the datum${now ? `, move ${now.number} now` : ""}. ${footWords(operation, moves).join(" ")}`;
