import type { Job } from "../../core/job/index.ts";
import { calendarOf, type DayPlan, setsOf, type WorkingTimes } from "../../core/plan/index.ts";
import { counted } from "../../core/working/index.ts";
import { Section, Table } from "../instruments/section.tsx";
import { clock, dayName } from "./day-words.ts";

/** Different parts of one order: when all of them are done, and which of them that waits for. */
export function Sets({
  jobs,
  plan,
  start,
  times,
}: {
  jobs: readonly Job[];
  plan: DayPlan;
  start: string;
  times: WorkingTimes;
}) {
  const sets = setsOf(jobs, plan.jobs);
  if (sets.length === 0) return null;
  const called = (id: string) => jobs.find((job) => job.id === id)?.name || "Unnamed job";
  return (
    <Section title="What belongs together">
      <Table label="Sets" head={["order", "parts", "complete", "the last of it"]}>
        {sets.map(({ order, jobs: ids, last }) => {
          const ends = last && calendarOf(last.ends, start, times, true);
          return (
            <tr key={order}>
              <th scope="row">{order}</th>
              <td>{counted(ids.length, "job")}</td>
              <td>
                {ends ? `${dayName(ends.day)}, ${clock(ends.minute)}` : last ? "no day" : "nothing left"}
              </td>
              <td>{last ? called(last.id) : ""}</td>
            </tr>
          );
        })}
      </Table>
    </Section>
  );
}
