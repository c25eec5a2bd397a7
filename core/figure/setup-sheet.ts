import { type Stroke } from "../recipes/index.ts";
import type { Cutout, Site } from "../part/index.ts";
import { setupMoves, type Locating } from "../locate/index.ts";
import { type LengthUnit, type Mm, mm, quantity, showQuantity } from "../quantity/index.ts";
import { faceOf, type FaceSetup, type FeatureSetup } from "../route/index.ts";
import type { Cutter, Machine, Vise } from "../shop/index.ts";
import { depthAxis, laneWords, type LivePass, returnWords, strokesOfPass } from "../steps/index.ts";
import { phraseText } from "../working/index.ts";
import { featuresHeld } from "./setup-section.ts";
import type { Figure, Shape } from "./figure.ts";
import { faceView } from "./face-view.ts";
import { jawSection } from "./jaw-section.ts";
import { movesView } from "./moves-view.ts";

/** Room on a page that A4 and Letter both have, mm. */
export const sheetSize = { width: 190, height: 252 } as const;

const cautionsLine =
  "Cautions: glasses on, spindle stopped before measuring or reaching in, chips with a brush. The machine's manual and the shop's rules come first.";

/** What stands on the page of a setup. */
interface Page {
  title: string;
  /** What is done, in a sentence. */
  says: string;
  section: Figure;
  plan: Figure | null;
  /** How zero is picked up. */
  zeros: readonly string[];
  /** What is done, in order: the lines of each. */
  blocks: readonly SheetLine[][];
}

interface SheetLine {
  text: string;
  bold: boolean;
}

export interface SheetDrawn {
  title: string;
  setup: FeatureSetup;
  locating: Locating;
  site: Site;
  cutouts: ReadonlyMap<string, Cutout>;
  vise: Vise;
  unit: LengthUnit;
}

/** A figure put into another: scaled into a box, upper left corner at a place. */
function placedIn(figure: Figure, x: number, y: number, w: number, h: number): Shape[] {
  const k = Math.min(w / figure.width, h / figure.height);
  const px = (v: number) => x + v * k;
  const py = (v: number) => y + v * k;
  return figure.shapes.map((shape): Shape => {
    switch (shape.kind) {
      case "rect":
        return { ...shape, x: px(shape.x), y: py(shape.y), w: shape.w * k, h: shape.h * k };
      case "circle":
        return { ...shape, x: px(shape.x), y: py(shape.y), r: shape.r * k };
      case "line":
        return { ...shape, points: shape.points.map(([a, b]) => [px(a), py(b)]) };
      case "text":
        return { ...shape, x: px(shape.x), y: py(shape.y), size: Math.max(2.2, shape.size * k) };
      case "path":
        return {
          ...shape,
          outlines: shape.outlines.map((o) => o.map((c) => ({ ...c, x: px(c.x), y: py(c.y) }))),
        };
      case "dimension":
        return {
          ...shape,
          from: [px(shape.from[0]), py(shape.from[1])],
          to: [px(shape.to[0]), py(shape.to[1])],
          size: Math.max(2.4, shape.size * k),
        };
    }
  });
}

/** Lines of words no longer than so many letters. */
function wrapped(text: string, letters: number): string[] {
  const lines: string[] = [];
  let now = "";
  for (const part of text.split(" ")) {
    if (now && now.length + part.length + 1 > letters) {
      lines.push(now);
      now = part;
    } else now = now ? `${now} ${part}` : part;
  }
  return now ? [...lines, now] : lines;
}

/** A place as it is written in a list: the axes that move. */
const placeText = ({ to }: Stroke, unit: LengthUnit): string =>
  (["x", "y"] as const)
    .flatMap((axis) =>
      to[axis] === undefined ? [] : [`${axis.toUpperCase()} ${showQuantity(mm(to[axis]), unit)}`],
    )
    .join("  ");

/** More places of one operation than this are not listed one by one: the machine walks them. */
const mostPlaces = 24;

/** An operation in lines: tool and speed, its depths, then its places in order. */
function operationLines(
  operation: FeatureSetup["operations"][number],
  moves: readonly Stroke[],
  unit: LengthUnit,
): SheetLine[] {
  const { set } = operation;
  const head = `${phraseText(operation.title, unit)}: ${operation.toolName}${
    set
      ? `, ${showQuantity(quantity("spindleSpeed", set.rpm), unit)}, ${showQuantity(quantity("feed", set.vf), unit)} ${set.feedBy}`
      : ""
  }`;
  if (operation.tilt !== null)
    return [
      ...wrapped(head, 62).map((text) => ({ text, bold: true })),
      { text: "over the stairs by eye, down until they are just gone", bold: false },
    ];
  const last = Math.max(0, ...moves.map((m) => m.level));
  const depths = [
    ...new Set(moves.flatMap((m) => (m.to.z === undefined ? [] : [showQuantity(mm(m.to.z), unit)]))),
  ];
  const places = moves.filter((m) => m.level === last && (m.to.x !== undefined || m.to.y !== undefined));
  const list = places
    .slice(0, mostPlaces)
    .map(
      (m) =>
        `${m.kind === "go" ? "go" : "to"} ${placeText(m, unit)}${m.notPast && m.kind === "feed" ? " stop" : ""}`,
    );
  const more =
    places.length > mostPlaces ? [`and ${places.length - mostPlaces} more, shown at the machine`] : [];
  return [
    ...wrapped(head, 62).map((text) => ({ text, bold: true })),
    ...(depths.length > 0
      ? wrapped(`Z ${depths.join(", ")}`, 66).map((text) => ({ text, bold: false }))
      : []),
    ...wrapped([...list, ...more].join(";  "), 66).map((text) => ({ text, bold: false })),
    ...(operation.measure
      ? [
          {
            text: `measure ${phraseText(operation.measure.name, unit)}: ${showQuantity(mm(operation.measure.limits.lower), unit, 3)} to ${showQuantity(mm(operation.measure.limits.upper), unit, 3)}`,
            bold: false,
          },
        ]
      : []),
  ];
}

/** A setup of features on one page: how it is held, how zero is picked up, and every operation with its places. */
export function setupSheet({ title, setup, locating, site, cutouts, vise, unit }: SheetDrawn): Figure {
  const movesOf = setupMoves(setup, locating);
  const first = setup.operations.find((o) => o.by !== "hand");
  return sheetOf({
    title,
    says: phraseText(setup.title, unit),
    section: featuresHeld(setup, vise, false),
    plan: first
      ? movesView({
          setup,
          frame: locating.frame,
          site,
          cutouts,
          operation: first,
          moves: movesOf.get(first.key) ?? [],
          at: null,
          fixedJaw: vise.fixedJaw,
        })
      : null,
    zeros: [
      ...locating.pickups.map(
        (pickup) =>
          `${phraseText(pickup.title, unit)}. ${pickup.order.map((p) => phraseText(p, unit)).join(" ")}`,
      ),
      "Z: touch the top with every new tool through paper, and count the paper.",
    ],
    blocks: setup.operations.map((o) => operationLines(o, movesOf.get(o.key) ?? [], unit)),
  });
}

export interface FaceSheetDrawn {
  title: string;
  setup: FaceSetup;
  /** Its passes, where each stops as it is told now. */
  passes: readonly LivePass[];
  cutter: Cutter;
  machine: Machine;
  vise: Vise;
  unit: LengthUnit;
}

/** The setup of a face on one page: how it is held, where zero is touched, and every pass with its stop and its lanes. */
export function faceSheet({ title, setup, passes, cutter, machine, vise, unit }: FaceSheetDrawn): Figure {
  const op = faceOf(setup);
  const { cut, sweep } = op;
  const axis = depthAxis(op);
  const name = axis.toUpperCase();
  const show = (value: Mm, decimals?: number) => showQuantity(mm(value), unit, decimals);
  const speed = `${showQuantity(quantity("spindleSpeed", cut.rpm), unit)}, ${showQuantity(quantity("feed", cut.vf), unit)} ${cut.feedBy}`;
  const first = passes[0];
  const strokes = first ? strokesOfPass(op, first) : [];
  const lanes = strokes.length > 0 ? [...laneWords(sweep), returnWords(sweep, machine)] : [];
  const dial = ({ dial }: LivePass) =>
    machine.axes[axis].readout === null && dial
      ? `, dial ${dial.turns} + ${dial.divisions} of ${dial.divisionsPerTurn}`
      : "";
  return sheetOf({
    title,
    says: phraseText(setup.title, unit),
    section: jawSection(setup, vise, cutter, { small: false }),
    plan: strokes.length > 0 ? faceView(setup, strokes, vise) : null,
    zeros:
      passes.length === 0
        ? ["Nothing comes off here."]
        : [
            ...(sweep.side
              ? [`Z: touch the top through paper, then Z ${show(-sweep.down)} for all passes.`]
              : []),
            `${name}: touch the face through paper, at the highest of three spots where it is raw. All stops count from there.`,
          ],
    blocks: [
      [
        {
          text: `${cutter.name}, ${speed}${cut.finishVf === cut.vf ? "" : `, last pass ${showQuantity(quantity("feed", cut.finishVf), unit)}`}`,
          bold: true,
        },
        ...lanes
          .flatMap((words) => wrapped(phraseText(words, unit), 66))
          .map((text) => ({ text, bold: false })),
      ],
      ...passes.map((pass): SheetLine[] => [
        {
          text: `pass ${pass.number}: ${name} ${show(pass.reads)}${dial(pass)}, leaves ${show(pass.sizeAfter)}${pass.last && cut.spring ? ", then a spring pass" : ""}`,
          bold: pass.last,
        },
      ]),
      ...(op.sized
        ? [
            [
              {
                text: `measure the ${op.axis}: ${show(op.limits.lower, 3)} to ${show(op.limits.upper, 3)}`,
                bold: false,
              },
            ],
          ]
        : []),
    ],
  });
}

/** A page of a setup, to print or to save. What would not fit is set smaller, never left out without saying so. */
function sheetOf({ title, says, section, plan, zeros, blocks }: Page): Figure {
  const { width, height } = sheetSize;
  const shapes: Shape[] = [];
  const text = (x: number, y: number, words: string, size: number, bold = false) =>
    shapes.push({
      kind: "text",
      x,
      y,
      text: words,
      size,
      anchor: "start",
      ink: "edge",
      ...(bold ? { bold } : {}),
    });
  const rule = (y: number) =>
    shapes.push({
      kind: "line",
      points: [
        [0, y],
        [width, y],
      ],
      ink: "edge",
    });
  text(0, 6, title, 5, true);
  wrapped(says, 88)
    .slice(0, 2)
    .forEach((l, i) => text(0, 11.5 + 4.4 * i, l, 3.8));
  rule(18);
  shapes.push(...placedIn(section, 0, 20, 72, 52));
  if (plan) shapes.push(...placedIn(plan, 76, 20, 114, 52));
  rule(74);
  let y = 78.5;
  text(0, y, "Pick up zero", 3.6, true);
  for (const zero of zeros) for (const l of wrapped(zero, 138)) text(0, (y += 3.6), l, 2.9);
  y += 2;
  rule(y);
  const rows = blocks.reduce((sum, b) => sum + b.length + 1, 0);
  const room = height - y - 10;
  const columns = rows * 3.6 > room ? 2 : 1;
  const step = Math.min(columns === 1 ? 5 : 3.8, (room * columns) / (rows + 4));
  let [column, at] = [0, y + step];
  for (const block of blocks) {
    if (column === 0 && columns === 2 && at - y + block.length * step > room) [column, at] = [1, y + step];
    for (const { text: words, bold } of block) text(column * 96, (at += step), words, step * 0.78, bold);
    at += step * 0.5;
  }
  wrapped(cautionsLine, 130).forEach((l, i) => text(0, height - 5 + i * 3, l, 2.5));
  return { title: `${title} on one page`, width, height, shapes };
}
