import { Box, chakra } from "@chakra-ui/react";
import type { EChartsCoreOption, EChartsType } from "echarts/core";
import { useEffect, useRef, useState } from "react";

/** Colors of the theme as they stand, for a drawing that cannot read CSS. */
export interface ChartColors {
  ink: string;
  quiet: string;
  rule: string;
  accent: string;
  good: string;
  goodSoft: string;
  warn: string;
  stop: string;
  sheet: string;
}

const names: Record<keyof ChartColors, string> = {
  ink: "ink",
  quiet: "quiet",
  rule: "rule",
  accent: "accent",
  good: "good",
  goodSoft: "good-soft",
  warn: "warn",
  stop: "stop",
  sheet: "sheet",
};

function colorsOf(element: Element): ChartColors {
  const style = getComputedStyle(element);
  return Object.fromEntries(
    Object.entries(names).map(([key, name]) => [
      key,
      style.getPropertyValue(`--chakra-colors-${name}`).trim() || "#888",
    ]),
  ) as unknown as ChartColors;
}

let library: Promise<{ makeChart: (element: HTMLElement) => EChartsType }> | undefined;
const theLibrary = () => (library ??= import("./chart-library.ts"));

/** A chart, loaded when one is looked at. What it shows is said in words beside it: `label` says what it is. */
export function Chart({
  label,
  height,
  option,
}: {
  label: string;
  height: number;
  /** The chart in the colors of the theme; a new function draws anew. */
  option: (colors: ChartColors) => EChartsCoreOption;
}) {
  const box = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let gone = false;
    const watch = new ResizeObserver(() => chart.current?.resize());
    theLibrary()
      .then(({ makeChart }) => {
        const element = box.current;
        if (gone || !element) return;
        const drawn = chart.current ?? makeChart(element);
        chart.current = drawn;
        const began = performance.now();
        const finished = () => {
          drawn.off("finished", finished);
          performance.measure("chart", { start: began });
        };
        drawn.on("finished", finished);
        drawn.setOption(
          {
            animation: false,
            textStyle: { fontFamily: getComputedStyle(element).fontFamily },
            ...option(colorsOf(element)),
          },
          true,
        );
        watch.observe(element);
      })
      .catch(() => {
        library = undefined;
        setFailed(true);
      });
    return () => {
      gone = true;
      watch.disconnect();
    };
  }, [option]);
  useEffect(
    () => () => {
      chart.current?.dispose();
      chart.current = null;
    },
    [],
  );
  return failed ? (
    <chakra.p color="quiet">
      The chart could not be loaded. Its figures stand beside it; reload to see it.
    </chakra.p>
  ) : (
    <Box ref={box} role="img" aria-label={label} height={`${height}px`} width="100%" />
  );
}
