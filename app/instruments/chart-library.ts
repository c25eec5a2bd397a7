import { CustomChart, LineChart, ScatterChart } from "echarts/charts";
import { GridComponent, LegendComponent, MarkAreaComponent, MarkLineComponent } from "echarts/components";
import { type EChartsType, init, use as register } from "echarts/core";
import { LabelLayout } from "echarts/features";
import { SVGRenderer } from "echarts/renderers";

register([
  CustomChart,
  LineChart,
  ScatterChart,
  GridComponent,
  LegendComponent,
  MarkAreaComponent,
  MarkLineComponent,
  LabelLayout,
  SVGRenderer,
]);

/** A chart drawn as SVG: sharp on paper and at any zoom. */
export const makeChart = (element: HTMLElement): EChartsType => init(element, null, { renderer: "svg" });
