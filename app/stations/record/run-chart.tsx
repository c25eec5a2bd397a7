import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { Series } from "../../../core/inspect/index.ts";
import type { SizeRun } from "../../../core/plan/index.ts";
import { type LengthUnit, mm, showParts, showQuantity } from "../../../core/quantity/index.ts";
import { capital, counted, phraseText } from "../../../core/working/index.ts";
import { Chart, type ChartColors } from "../../instruments/chart.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { Section } from "../../instruments/section.tsx";
import { Worked } from "../../instruments/worked-figure.tsx";
import { Figure } from "../../instruments/words.tsx";

/** How one size runs over the pieces, against its limits: where it drifts, how it scatters, and what to read again. */
export function RunChart({ of: runs }: { of: readonly SizeRun[] }) {
  const { unit } = useJob();
  const [asked, setOf] = useState<string>("");
  // What drifts is looked at first.
  const shown = runs.find((r) => r.of === asked) ?? runs.find(({ run }) => run.drift !== 0) ?? runs[0];
  if (!shown)
    return (
      <Section title="Size by piece">
        <p>Once two pieces are read, their sizes run here against the limits.</p>
      </Section>
    );
  const { run } = shown;
  const name = nameOf(shown, unit);
  return (
    <Section title="Size by piece">
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "minmax(0, 2fr) minmax(0, 1fr)" }}
        gap="6px 24px"
      >
        <Box>
          <Choice
            label="Size"
            value={shown.of}
            options={runs.map((r) => [r.of, capital(nameOf(r, unit))] as const)}
            onChoose={setOf}
          />
          <Chart
            label={`${name} of ${counted(run.pieces.length, "piece")} against its limits`}
            height={200}
            option={runOption({ series: run, limits: shown.limits, unit })}
          />
        </Box>
        <Told of={shown} name={name} />
      </Box>
    </Section>
  );
}

const nameOf = (r: SizeRun, unit: LengthUnit): string => (r.name ? phraseText(r.name, unit) : r.of);

const reasons = {
  past: "past a limit",
  near: "too near a limit to be sure",
  odd: "off the run of the others",
} as const;

/** What the run says, in words. */
function Told({ of: r, name }: { of: SizeRun; name: string }) {
  const { drift, outAt, spread, mean, recheck, pieces, scrapped } = r.run;
  return (
    <Box fontSize="14.5px">
      <p>
        Mean{" "}
        <Worked at={`run#${r.of}`}>
          <Figure of={mm(mean)} decimals={3} />
        </Worked>
        {spread > 0 && (
          <>
            , 95 % within ±
            <Figure of={mm(spread)} decimals={3} /> of the run
          </>
        )}
        , {counted(pieces.length, "piece")} read
        {scrapped.length > 0 && <>, {scrapped.length} scrapped and left out</>}.
      </p>
      {drift === 0 ? (
        <chakra.p color="quiet" mt="4px">
          {pieces.length < 4 ? "Four pieces show whether it drifts." : "No drift stands out of the scatter."}
        </chakra.p>
      ) : (
        <Notice severity="warn">
          It {drift > 0 ? "grows" : "shrinks"} by{" "}
          <Worked at={`run#${r.of}`}>
            <Figure of={mm(Math.abs(drift))} decimals={4} />
          </Worked>{" "}
          a piece.{" "}
          {outAt !== null && (
            <>
              At that rate piece {outAt} is out of limits: measure every piece from here, and change the
              cutter before then.
            </>
          )}{" "}
          {r.how === "inside" && drift < 0
            ? "A slot that narrows is a cutter that wears."
            : "A wearing cutter, or a zero that creeps."}
        </Notice>
      )}
      {recheck.length > 0 && (
        <Box mt="6px">
          <b>Read again:</b>
          <Box as="ul" pl="18px">
            {recheck.slice(0, 6).map(({ piece, why }) => (
              <li key={piece}>
                piece {piece}: {name} {reasons[why]}
              </li>
            ))}
            {recheck.length > 6 && <li>and {recheck.length - 6} more</li>}
          </Box>
        </Box>
      )}
    </Box>
  );
}

interface Drawn {
  series: Series;
  limits: { lower: number; upper: number };
  unit: LengthUnit;
}

/** The chart: limits as lines, every piece from its smallest to its largest place, the trend through their middles. */
const runOption =
  ({ series, limits, unit }: Drawn) =>
  (c: ChartColors) => {
    const at = (value: number) => Number(showParts(mm(value), unit, 5).number.replace("−", "-"));
    const text = { color: c.ink, fontSize: 12 };
    const { pieces, drift, start } = series;
    const [first, last] = [pieces[0]!.piece, pieces.at(-1)!.piece];
    const all = [limits.lower, limits.upper, ...pieces.flatMap((p) => [p.low, p.high])].filter(
      Number.isFinite,
    );
    const room = (Math.max(...all) - Math.min(...all)) * 0.12 || 0.01;
    const limit = (value: number, name: string) => ({
      yAxis: at(value),
      label: {
        formatter: `${name} ${showQuantity(mm(value), unit, unit === "mm" ? 3 : 4)}`,
        position: "end",
        color: c.ink,
      },
    });
    return {
      grid: { left: 62, right: 112, top: 14, bottom: 40 },
      xAxis: {
        type: "value",
        min: first - 1,
        max: last + 1,
        minInterval: 1,
        name: "piece",
        nameLocation: "middle",
        nameGap: 24,
        nameTextStyle: text,
        axisLabel: { ...text, showMinLabel: false, showMaxLabel: false },
        axisLine: { show: true, lineStyle: { color: c.ink } },
        splitLine: { show: false },
      },
      yAxis: {
        type: "value",
        min: at(Math.min(...all) - room),
        max: at(Math.max(...all) + room),
        axisLabel: { ...text, formatter: (v: number) => v.toFixed(unit === "mm" ? 3 : 4) },
        splitLine: { lineStyle: { color: c.rule } },
      },
      series: [
        // One broken line for all: a line each is slow with hundreds of pieces.
        {
          type: "line",
          data: pieces.flatMap((p) => [
            [p.piece, at(p.low)],
            [p.piece, at(p.high)],
            [p.piece, null],
          ]),
          connectNulls: false,
          showSymbol: false,
          lineStyle: { color: c.ink, width: 2 },
          silent: true,
        },
        {
          type: "scatter",
          data: pieces.map((p) => [p.piece, at((p.low + p.high) / 2)]),
          itemStyle: { color: c.ink },
          symbolSize: pieces.length > 60 ? 4 : 9,
          silent: true,
          markLine: {
            silent: true,
            symbol: "none",
            lineStyle: { color: c.stop, width: 1.5, type: "solid" },
            data: [limit(limits.upper, "upper"), limit(limits.lower, "lower")].filter((l) =>
              Number.isFinite(l.yAxis),
            ),
          },
        },
        ...(drift === 0
          ? []
          : [
              {
                type: "line",
                data: [first, last + 1].map((x) => [x, at(start + drift * x)]),
                showSymbol: false,
                lineStyle: { color: c.accent, width: 2, type: "dashed" },
                silent: true,
              },
            ]),
      ],
    };
  };
