import { chakra } from "@chakra-ui/react";
import { memo, type ReactNode, useId, useRef } from "react";
import { type Figure, type Ink, pathOf, type Shape } from "../../core/figure/index.ts";
import { showParts } from "../../core/quantity/index.ts";
import { download } from "./download.ts";
import { useUnit } from "./local-setting.ts";
import { svgText } from "./svg-text.ts";

const color = (name: string) => `var(--chakra-colors-${name})`;

interface Hatch {
  ground: string;
  line: string;
  pattern: "none" | "diagonal" | "coarse" | "cross" | "dots" | "fine";
}

/** Fill of each ink: condition of a face and part of a setup are told by hatch as well as by tint. */
const fills: Partial<Record<Ink, Hatch>> = {
  part: { ground: color("metal"), line: "", pattern: "none" },
  remove: { ground: color("chip"), line: color("accent"), pattern: "diagonal" },
  fixedJaw: { ground: color("jaw"), line: color("quiet"), pattern: "diagonal" },
  movingJaw: { ground: color("jaw"), line: "", pattern: "none" },
  bed: { ground: color("jaw"), line: color("quiet"), pattern: "diagonal" },
  parallel: { ground: color("accent-soft"), line: color("accent"), pattern: "fine" },
  rod: { ground: color("jaw"), line: color("quiet"), pattern: "cross" },
  cutter: { ground: color("band"), line: "", pattern: "none" },
  accent: { ground: color("accent"), line: "", pattern: "none" },
  void: { ground: color("ground"), line: "", pattern: "none" },
  ground: { ground: color("ground"), line: "", pattern: "none" },
  section: { ground: color("metal"), line: color("quiet"), pattern: "diagonal" },
  touch: { ground: "transparent", line: "", pattern: "none" },
  "face-ground": { ground: color("metal"), line: color("rule"), pattern: "fine" },
  "face-milled": { ground: color("metal"), line: "", pattern: "none" },
  "face-drawn": { ground: color("drawn"), line: "", pattern: "none" },
  "face-hotRolled": { ground: color("sawn"), line: color("warn"), pattern: "cross" },
  "face-sawn": { ground: color("sawn"), line: color("warn"), pattern: "coarse" },
  "face-flameCut": { ground: color("sawn"), line: color("stop"), pattern: "coarse" },
  "face-cast": { ground: color("sawn"), line: color("warn"), pattern: "dots" },
};

const strokes: Partial<Record<Ink, string>> = {
  thin: color("quiet"),
  dimension: color("quiet"),
  accent: color("accent"),
  ground: "none",
  touch: "none",
  erase: color("ground"),
  hidden: color("quiet"),
  center: color("accent"),
};

/** Hidden lines are dashed, center lines long and short, in widths of the line. */
const dashes: Partial<Record<Ink, readonly number[]>> = { hidden: [6, 4], center: [14, 3, 3, 3] };
const isFilled = (ink: Ink): boolean => fills[ink] !== undefined;
const dashOf = (ink: Ink, stroke: number): string | undefined =>
  dashes[ink]?.map((length) => length * stroke).join(" ");

interface FigureViewProps {
  figure: Figure;
  maxHeight?: string;
  /** Drawn at so many pixels a mm, not as wide as there is room. */
  perMm?: number;
  /** Name of the file it can be saved as. */
  saveAs?: string;
  /** Laid over the drawing itself, such as entry fields at its dimensions. */
  over?: ReactNode;
  /** The feature that stands out in every view, and what happens when another is pointed at or chosen. */
  lit?: string | null;
  onPoint?: (of: string | null) => void;
  onChoose?: (of: string) => void;
  /** A place pressed where no feature is, in mm of the drawing. */
  onSpot?: (x: number, y: number) => void;
}

/** A drawn thing of core as SVG, to scale; some can be saved as a file. */
export function FigureView({
  figure,
  maxHeight,
  perMm,
  saveAs,
  over,
  lit,
  onPoint,
  onChoose,
  onSpot,
}: FigureViewProps) {
  const drawn = useRef<SVGSVGElement>(null);
  const prefix = useId().replace(/[^\w]/g, "");
  const inks = [...new Set(figure.shapes.map((s) => (s.kind === "dimension" ? "dimension" : s.ink)))].filter(
    (ink) => fills[ink] && fills[ink].pattern !== "none",
  );
  const scale = perMm === undefined ? figure.width / 100 : 1.6 / perMm;
  const stroke = perMm === undefined ? figure.width * 0.002 : 0.7 / perMm;
  const svg = (
    <chakra.svg
      ref={drawn}
      role="img"
      aria-label={figure.title}
      viewBox={`0 0 ${figure.width} ${figure.height}`}
      width={perMm === undefined ? "100%" : `${figure.width * perMm}px`}
      flexShrink={0}
      maxHeight={maxHeight ?? "none"}
      display="block"
      onPointerMove={onPoint && ((event) => onPoint(featureAt(event.target)))}
      onPointerLeave={onPoint && (() => onPoint(null))}
      onClick={(event) => {
        const of = featureAt(event.target);
        if (of !== null) return onChoose?.(of);
        const box = event.currentTarget.getBoundingClientRect();
        const scaled = figure.width / box.width;
        onSpot?.((event.clientX - box.left) * scaled, (event.clientY - box.top) * scaled);
      }}
    >
      <defs>
        {inks.map((ink) => (
          <Pattern key={ink} id={`${prefix}-${ink}`} hatch={fills[ink]!} scale={scale} />
        ))}
      </defs>
      {figure.shapes.map((shape, i) => (
        <g
          key={i}
          data-of={shape.of}
          className={shape.of !== undefined && shape.of === lit ? "lit" : undefined}
        >
          <ShapeView
            shape={shape}
            prefix={prefix}
            stroke={stroke}
            lit={shape.of !== undefined && shape.of === lit}
          />
        </g>
      ))}
    </chakra.svg>
  );
  if (saveAs === undefined) return svg;
  return (
    <>
      {over ? (
        // What is laid over may hang out below.
        <chakra.div position="relative" mb={{ base: "0", md: "44px" }}>
          {svg}
          {over}
        </chakra.div>
      ) : (
        svg
      )}
      <chakra.button
        type="button"
        className="no-print"
        fontSize="13px"
        color="accent"
        textDecoration="underline"
        cursor="pointer"
        minH="32px"
        onClick={() =>
          drawn.current && download(`${saveAs}.svg`, svgText(drawn.current, figure), "image/svg+xml")
        }
      >
        Save the drawing
      </chakra.button>
    </>
  );
}

/** The feature a shape under the pointer is drawn for. */
const featureAt = (target: EventTarget): string | null =>
  (target instanceof Element && target.closest("[data-of]")?.getAttribute("data-of")) || null;

function Pattern({ id, hatch, scale }: { id: string; hatch: Hatch; scale: number }) {
  const step =
    { none: 1, diagonal: 2.2, coarse: 3.6, cross: 2.4, dots: 2.6, fine: 1.4 }[hatch.pattern] * scale;
  const width = scale * 0.28;
  return (
    <pattern
      id={id}
      width={step}
      height={step}
      patternUnits="userSpaceOnUse"
      patternTransform={hatch.pattern === "dots" ? undefined : "rotate(45)"}
    >
      <rect width={step} height={step} fill={hatch.ground} />
      {hatch.pattern === "dots" ? (
        <circle cx={step / 2} cy={step / 2} r={step * 0.16} fill={hatch.line} />
      ) : (
        <path
          d={`M0 0V${step}${hatch.pattern === "cross" ? `M0 0H${step}` : ""}`}
          stroke={hatch.line}
          strokeWidth={width}
        />
      )}
    </pattern>
  );
}

const ShapeView = memo(function ShapeView({
  shape,
  prefix,
  stroke: usual,
  lit,
}: {
  shape: Shape;
  prefix: string;
  stroke: number;
  lit: boolean;
}) {
  const [unit] = useUnit();
  const stroke = lit ? usual * 2 : usual;
  const fill = (ink: Ink) => {
    const hatch = fills[ink];
    if (!hatch) return "none";
    return hatch.pattern === "none" ? hatch.ground : `url(#${prefix}-${ink})`;
  };
  switch (shape.kind) {
    case "rect":
      return (
        <rect
          x={shape.x}
          y={shape.y}
          width={Math.max(shape.w, 0)}
          height={Math.max(shape.h, 0)}
          rx={shape.round}
          fill={fill(shape.ink)}
          stroke={strokes[shape.ink] && !isFilled(shape.ink) ? strokes[shape.ink] : color("ink")}
          strokeDasharray={dashOf(shape.ink, stroke)}
          strokeWidth={
            shape.ink === "ground" || shape.ink === "touch" ? 0 : shape.strong ? stroke * 1.8 : stroke
          }
        />
      );
    case "path":
      return (
        <path
          d={shape.outlines.map(pathOf).join("")}
          fillRule="evenodd"
          fill={fill(shape.ink)}
          stroke={lit ? color("accent") : (strokes[shape.ink] ?? color("ink"))}
          strokeDasharray={dashOf(shape.ink, stroke)}
          strokeWidth={shape.ink === "part" ? stroke * 1.8 : stroke}
        />
      );
    case "circle":
      return (
        <circle
          cx={shape.x}
          cy={shape.y}
          r={shape.r}
          fill={shape.ink === "balloon" ? color("sheet") : fill(shape.ink)}
          stroke={
            shape.ink === "balloon" ? color("accent") : shape.ink === "hidden" ? strokes.hidden : color("ink")
          }
          strokeDasharray={dashOf(shape.ink, stroke)}
          strokeWidth={stroke}
        />
      );
    case "line": {
      const end = shape.points.at(-1)!;
      const before = shape.points.at(-2)!;
      const erases = shape.ink === "erase";
      const ink = lit && !erases ? color("accent") : (strokes[shape.ink] ?? color("ink"));
      return (
        <g
          stroke={ink}
          fill={ink}
          strokeWidth={erases ? usual * 3 : shape.ink === "accent" ? stroke * 2 : stroke}
          strokeLinecap={erases ? "square" : undefined}
        >
          <polyline
            points={shape.points.map((p) => p.join(",")).join(" ")}
            fill="none"
            strokeDasharray={dashOf(shape.ink, stroke)}
            strokeWidth={shape.ink === "center" ? stroke * 0.7 : undefined}
          />
          {shape.arrow && <Arrow from={before} to={end} size={stroke * 9} />}
          {shape.arrow && shape.ink === "dimension" && (
            <Arrow from={end} to={shape.points[0]!} size={stroke * 9} />
          )}
        </g>
      );
    }
    case "text":
      return (
        <text
          x={shape.x}
          y={shape.y}
          style={{ fontSize: shape.size, fontWeight: shape.bold ? 700 : 400 }}
          textAnchor={shape.anchor}
          fill={shape.ink === "edge" ? color("ink") : (strokes[shape.ink] ?? color("ink"))}
        >
          {shape.text}
        </text>
      );
    case "dimension": {
      const parts = showParts(shape.value, unit);
      const [x1, y1] = shape.from;
      const [x2, y2] = shape.to;
      const mx = (x1 + x2) / 2;
      const my = (y1 + y2) / 2;
      const flat = shape.bare ? shape.side === "below" : Math.abs(y1 - y2) < Math.abs(x1 - x2);
      const gap = shape.size * 0.5;
      const anchor = flat ? "middle" : shape.side === "right" ? "start" : "end";
      const x = flat ? mx : mx + (shape.side === "right" ? gap : -gap);
      return (
        <g stroke={color("quiet")} strokeWidth={stroke}>
          {!shape.bare && (
            <>
              <line x1={x1} y1={y1} x2={x2} y2={y2} />
              <Arrow from={[x1, y1]} to={[x2, y2]} size={stroke * 8} />
              <Arrow from={[x2, y2]} to={[x1, y1]} size={stroke * 8} />
            </>
          )}
          <text
            x={x}
            y={flat ? my - gap * 2.4 : my}
            style={{ fontSize: shape.size * 1.05, fontWeight: 600 }}
            textAnchor={anchor}
            fill={color("ink")}
            stroke="none"
          >
            {parts.number}
            {shape.value.kind !== "length" && parts.unit && (
              <tspan style={{ fontSize: shape.size * 0.8, fontWeight: 400 }}>
                {parts.unit === "°" ? parts.unit : ` ${parts.unit}`}
              </tspan>
            )}
          </text>
          <text
            x={x}
            y={(flat ? my - gap * 2.4 : my) + shape.size * 1.05}
            style={{ fontSize: shape.size * 0.85 }}
            textAnchor={anchor}
            fill={color("quiet")}
            stroke="none"
          >
            {shape.label}
          </text>
        </g>
      );
    }
  }
});

/** An arrow head at `to`, coming from `from`. */
function Arrow({ from, to, size }: { from: [number, number]; to: [number, number]; size: number }) {
  const angle = Math.atan2(to[1] - from[1], to[0] - from[0]);
  const wing = (turn: number) =>
    `${to[0] - size * Math.cos(angle + turn)},${to[1] - size * Math.sin(angle + turn)}`;
  return <polyline points={`${wing(0.35)} ${to.join(",")} ${wing(-0.35)}`} fill="none" />;
}
