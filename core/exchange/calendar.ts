import ical from "ical-generator";
import { dayNumber, dayOfNumber } from "../quantity/index.ts";
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
        stamp: at,
        start: localTime(day, from),
        end: localTime(day, to),
        floating: true,
        summary: `${names.job(stretch.jobId)}: ${stretch.name}`,
        location: names.machine(stretch.machine),
      });
  return calendar.toString();
}

/** A time of the clock on the wall, whatever zone this runs in. */
function localTime(day: string, minute: number): string {
  const whole = Math.round(minute);
  const two = (n: number) => String(n).padStart(2, "0");
  // What ends at midnight ends on the next day.
  const on = dayOfNumber(dayNumber(day) + Math.floor(whole / 1440));
  return `${on}T${two(Math.floor((whole % 1440) / 60))}:${two(whole % 60)}:00`;
}
