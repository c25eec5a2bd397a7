import { calendarOf, type DayPlan, type WorkingTimes } from "../../core/plan/index.ts";
import { Chart, type ChartColors } from "../instruments/chart.tsx";
import { dayName } from "./day-words.ts";

/** What things of the plan are called, by their ids. */
export interface Names {
  machine: (id: string) => string;
  job: (id: string) => string;
}

/** Machines as rows, hours of work as the width: a bar for every stretch. */
export function DayChart({
  plan,
  start,
  times,
  names,
}: {
  plan: DayPlan;
  start: string;
  times: WorkingTimes;
  names: Names;
}) {
  const machines = plan.loads.map((l) => l.machine);
  const perDay = times.hours * 60;
  const option = (c: ChartColors) => {
    const text = { color: c.ink, fontSize: 12 };
    const fills = [c.accent, c.warn, c.good, c.quiet];
    const jobIds = [...new Set(plan.stretches.map((s) => s.jobId))];
    return {
      grid: { left: 150, right: 16, top: 8, bottom: 30 },
      xAxis: {
        type: "value",
        min: 0,
        max: Math.max(perDay, Math.ceil(plan.ends / perDay) * perDay),
        interval: perDay,
        axisLabel: {
          ...text,
          formatter: (value: number) => {
            const at = calendarOf(value, start, times);
            return at ? dayName(at.day) : "";
          },
        },
        splitLine: { lineStyle: { color: c.rule } },
      },
      yAxis: {
        type: "category",
        inverse: true,
        data: machines.map(names.machine),
        axisLabel: { ...text, width: 140, overflow: "truncate" },
      },
      series: [
        {
          type: "custom",
          data: plan.stretches.map((s) => [
            machines.indexOf(s.machine),
            s.from,
            s.to,
            jobIds.indexOf(s.jobId),
          ]),
          encode: { x: [1, 2], y: 0 },
          renderItem: (
            _: unknown,
            api: {
              value: (i: number) => number;
              coord: (at: [number, number]) => [number, number];
              size: (of: [number, number]) => [number, number];
            },
          ) => {
            const row = api.value(0);
            const [x, y] = api.coord([api.value(1), row]);
            const [to] = api.coord([api.value(2), row]);
            const high = Math.min(28, api.size([0, 1])[1] * 0.7);
            const job = api.value(3);
            const width = Math.max(1, to - x);
            const name = names.job(jobIds[job]!);
            return {
              type: "group",
              children: [
                {
                  type: "rect",
                  shape: { x, y: y - high / 2, width, height: high },
                  style: { fill: c.sheet, stroke: fills[job % fills.length], lineWidth: 2 },
                },
                ...(width > name.length * 6.5
                  ? [
                      {
                        type: "text",
                        x: x + 6,
                        y,
                        style: { text: name, fill: c.ink, fontSize: 12, verticalAlign: "middle" },
                      },
                    ]
                  : []),
              ],
            };
          },
        },
      ],
    };
  };
  return (
    <Chart
      label={`Stretches of ${plan.jobs.length} jobs over ${machines.length} machines; the table below tells each`}
      height={60 + machines.length * 44}
      option={option}
    />
  );
}
