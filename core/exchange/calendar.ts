import ical from "ical-generator";
import { type DayPlan, partsByDay, type WorkingTimes } from "../plan/index.ts";

/**
 * A day plan as iCalendar: an event for every part of a job on a day, in the time of wherever it is opened.
 * @param names of machines and jobs by their ids
 */
export function calendarFile(
  made: Pick<DayPlan, "stretches">,
  start: string,
  times: WorkingTimes,
  names: { machine: (id: string) => string; job: (id: string) => string },
  /** ISO time it is written. */
  at: string,
): string {
  const calendar = ical({ name: "Work ahead", prodId: { company: "Firm Arbor", product: "Firm Arbor" } });
  for (const stretch of made.stretches)
    for (const { day, from, to } of partsByDay(stretch, start, times))
      calendar.createEvent({
        id: `${stretch.jobId}-${stretch.name.replaceAll(" ", "-")}-${day}@firm-arbor`,
        stamp: new Date(at),
        start: localTime(day, from),
        end: localTime(day, to),
        floating: true,
        summary: `${names.job(stretch.jobId)}: ${stretch.name}`,
        location: names.machine(stretch.machine),
      });
  return calendar.toString();
}

/** A time of the clock on the wall, whatever zone this runs in. */
const localTime = (day: string, minute: number): Date => {
  const [year, month, date] = day.split("-").map(Number) as [number, number, number];
  return new Date(year, month - 1, date, 0, Math.round(minute));
};
