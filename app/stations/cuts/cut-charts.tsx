import { Box, chakra } from "@chakra-ui/react";
import { useCallback } from "react";
import type { CutComparison } from "../../../core/plan/index.ts";
import { type LengthUnit, mm, type QuantityKind, quantity, showParts } from "../../../core/quantity/index.ts";
import type { Cut } from "../../../core/cutting/index.ts";
import type { Phrase } from "../../../core/working/index.ts";
import { Chart, type ChartColors } from "../../instruments/chart.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

/** A value in the person's unit as a number, for an axis. */
const inUnit = (kind: QuantityKind, value: number, unit: LengthUnit): number =>
  Number(showParts(quantity(kind, value), unit, 4).number.replace("−", "-"));

const dashes = ["solid", "dashed", "dotted", [8, 3, 2, 3]] as const;
const toneNames = ["warn", "stop", "accent", "quiet"] as const;

/** Which line is which: drawn as in the chart, named beside it. */
function Legend({ names }: { names: Phrase[] }) {
  return (
    <Box as="ul" listStyleType="none" display="flex" flexWrap="wrap" gap="2px 16px" fontSize="13px" mb="4px">
      {names.map((name, i) => (
        <Box as="li" key={i} display="flex" alignItems="center" gap="6px">
          <svg width="30" height="8" aria-hidden="true">
            <line
              x1="0"
              x2="30"
              y1="4"
              y2="4"
              stroke={`var(--chakra-colors-${toneNames[i]})`}
              strokeWidth="2.5"
              strokeDasharray={["", "6 4", "2 3", "8 3 2 3"][i]}
            />
          </svg>
          <Words of={name} />
        </Box>
      ))}
    </Box>
  );
}

/** Limits against depth: the feed each allows, the region all leave, the point chosen in it. */
export function LimitsChart({ comparison, unit }: { comparison: CutComparison; unit: LengthUnit }) {
  const { chart } = comparison;
  const option = useCallback(
    (c: ChartColors) => {
      const at = ([depth, feed]: [number, number]) => [
        inUnit("length", depth, unit),
        inUnit("feed", feed, unit),
      ];
      const text = { color: c.ink, fontSize: 12 };
      const tones = toneNames.map((name) => c[name]);
      return {
        grid: { left: 52, right: 18, top: 16, bottom: 42 },
        xAxis: {
          type: "value",
          name: `depth per pass, ${unit}`,
          nameLocation: "middle",
          nameGap: 26,
          nameTextStyle: text,
          axisLabel: { ...text, showMaxLabel: false },
          axisLine: { show: true, lineStyle: { color: c.ink } },
          splitLine: { show: false },
          max: inUnit("length", chart.curves[0]?.points.at(-1)?.[0] ?? 1, unit),
        },
        yAxis: {
          type: "value",
          name: `feed, ${unit}/min`,
          nameTextStyle: { ...text, align: "left" },
          axisLabel: text,
          splitLine: { lineStyle: { color: c.rule } },
        },
        series: [
          {
            type: "line",
            data: chart.envelope.map(at),
            showSymbol: false,
            lineStyle: { width: 0 },
            areaStyle: { color: c.goodSoft, opacity: 1 },
            silent: true,
          },
          ...chart.curves.map((curve, i) => ({
            type: "line",
            data: curve.points.map(at),
            showSymbol: false,
            lineStyle: { color: tones[i], width: 2, type: dashes[i] },
            silent: true,
          })),
          {
            type: "scatter",
            z: 10,
            data: [at(chart.chosen)],
            symbol: "diamond",
            symbolSize: 16,
            itemStyle: { color: c.accent, borderColor: c.sheet, borderWidth: 2 },
            label: {
              show: true,
              formatter: "this cut",
              position: "right",
              distance: 8,
              color: c.ink,
              backgroundColor: c.sheet,
              padding: [2, 4],
              fontSize: 12,
              fontWeight: 700,
            },
            silent: true,
            markLine: {
              silent: true,
              symbol: "none",
              label: {
                formatter: "deepest for the cutter",
                color: c.ink,
                fontSize: 11,
                position: "insideEndTop",
              },
              lineStyle: { color: c.ink, type: "solid", width: 1.5 },
              data: [{ xAxis: inUnit("length", chart.deepest, unit) }],
            },
          },
        ],
      };
    },
    [chart, unit],
  );
  return (
    <Box>
      <Legend names={chart.curves.map((curve) => curve.name)} />
      <Chart height={300} option={option} label="Feed each limit allows, by depth per pass" />
      <chakra.p fontSize="13px" color="quiet">
        Each line is the fastest feed a limit allows at that depth; the tinted region is inside all of them.
        This cut: <Figure of={mm(chart.chosen[0])} /> at <Figure of={quantity("feed", chart.chosen[1])} />.
        The chip leaves its range below <Figure of={quantity("feed", chart.slowest)} />.
      </chakra.p>
    </Box>
  );
}

/** The machine's speeds against the recommended range. */
export function SpeedsChart({
  comparison,
  cut,
  unit,
}: {
  comparison: CutComparison;
  cut: Cut;
  unit: LengthUnit;
}) {
  const { speeds } = comparison;
  const { vcRange, vcWanted } = cut;
  const option = useCallback(
    (c: ChartColors) => {
      const v = (value: number) => inUnit("cuttingSpeed", value, unit);
      const text = { color: c.ink, fontSize: 12 };
      return {
        grid: { left: 64, right: 24, top: 22, bottom: 40 },
        xAxis: {
          type: "log",
          name: unit === "mm" ? "cutting speed, m/min" : "cutting speed, ft/min",
          nameLocation: "middle",
          nameGap: 26,
          nameTextStyle: text,
          axisLabel: { ...text, formatter: (value: number) => String(Math.round(value)) },
          splitLine: { show: false },
          min: v(Math.min(vcRange[0], ...speeds.map((s) => s.vc)) * 0.8),
          max: v(Math.max(vcRange[1], ...speeds.map((s) => s.vc)) * 1.25),
        },
        yAxis: {
          type: "category",
          data: speeds.map((s) => String(s.rpm)),
          name: "rpm",
          nameTextStyle: text,
          axisLabel: text,
          axisTick: { show: false },
        },
        series: [
          {
            type: "scatter",
            data: speeds.map((s) => ({
              value: [v(s.vc), String(s.rpm)],
              symbol: s.chosen ? "diamond" : "rect",
              symbolSize: s.chosen ? 16 : 9,
              itemStyle: { color: s.chosen ? c.accent : c.quiet },
            })),
            silent: true,
            markArea: {
              silent: true,
              itemStyle: { color: c.goodSoft },
              label: { color: c.good, fontSize: 11.5, position: "top" },
              data: [[{ name: "range", xAxis: v(vcRange[0]) }, { xAxis: v(vcRange[1]) }]],
            },
            markLine: {
              silent: true,
              symbol: "none",
              label: { formatter: "aim", color: c.ink, fontSize: 11, position: "start" },
              lineStyle: { color: c.good, type: "dashed" },
              data: [{ xAxis: v(vcWanted) }],
            },
          },
        ],
      };
    },
    [speeds, vcRange, vcWanted, unit],
  );
  return (
    <Box>
      <Chart
        height={60 + 22 * speeds.length}
        option={option}
        label="Spindle speeds against the recommended cutting speed"
      />
      <chakra.p fontSize="13px" color="quiet">
        Range <Figure of={quantity("cuttingSpeed", vcRange[0])} /> to{" "}
        <Figure of={quantity("cuttingSpeed", vcRange[1])} />, aimed at{" "}
        <Figure of={quantity("cuttingSpeed", vcWanted)} />; {cut.rpm} rpm gives{" "}
        <Figure of={quantity("cuttingSpeed", cut.vc)} />.
      </chakra.p>
    </Box>
  );
}

/** Share of each limit the cut uses: bars with their figure; full is the suggestion, not the hard end. */
export function LimitShares({ comparison }: { comparison: CutComparison }) {
  return (
    <Box as="ul" listStyleType="none" display="grid" gap="5px">
      {comparison.shares.map(({ id, name, share }) => {
        const over = share > 1.001;
        return (
          <Box
            as="li"
            key={id}
            display="grid"
            gridTemplateColumns="minmax(0, 1fr) minmax(80px, 1fr) 52px"
            gap="10px"
          >
            <chakra.span fontSize="13.5px">
              <Words of={name} />
            </chakra.span>
            <Box bg="accentSoft" height="14px" alignSelf="center" overflow="hidden" aria-hidden="true">
              <Box
                height="100%"
                width={`${Math.min(100, share * 100)}%`}
                bg={over ? "stop" : share > 0.9 ? "warn" : "accent"}
              />
            </Box>
            <chakra.span
              fontSize="13.5px"
              fontWeight={over ? 700 : 500}
              color={over ? "stop" : "ink"}
              textAlign="right"
            >
              {over && <span aria-hidden="true">■ </span>}
              {Math.round(share * 100)} %
            </chakra.span>
          </Box>
        );
      })}
    </Box>
  );
}
