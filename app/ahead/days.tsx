import { chakra } from "@chakra-ui/react";
import { CalendarPlus } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { Link, useFetcher } from "react-router";
import type { Job } from "../../core/job/index.ts";
import {
  type Ahead,
  calendarOf,
  type DayPlan,
  isWorked,
  partsByDay,
  sawMachine,
  type WorkingTimes,
} from "../../core/plan/index.ts";
import { quantity } from "../../core/quantity/index.ts";
import type { Record as JobRecord } from "../../core/steps/index.ts";
import type { Equipment } from "../../store/index.ts";
import { Button } from "../instruments/button.tsx";
import { Check } from "../instruments/check.tsx";
import { download } from "../instruments/download.ts";
import { Input } from "../instruments/field.tsx";
import { Icon } from "../instruments/icon.tsx";
import { Notice } from "../instruments/notice.tsx";
import { Section, StationTitle, Table } from "../instruments/section.tsx";
import { Figure } from "../instruments/words.tsx";
import type { DaysFound } from "../planner/planner.ts";
import { askDays, stopDays } from "../planner/use-plan.ts";
import { clock, dayName } from "./day-words.ts";
import { DayChart, type Names } from "./day-chart.tsx";
import { Sets } from "./sets.tsx";
import { Times } from "./working-times.tsx";
import type { AheadIntent } from "./ahead-intent.ts";

const underlined = { textDecoration: "underline" } as const;

/** Today as the person's calendar has it. */
const today = (): string => {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
};

interface Asked {
  jobs: { job: Job; records: JobRecord[] }[];
  equipment: Equipment;
  times: WorkingTimes;
}

/** The jobs of the bench laid over machines, people and days: what comes when, what waits, what is late. */
export function Days({ jobs, equipment, times }: Asked) {
  const fetcher = useFetcher<{ kept: boolean }>();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [start, setStart] = useState(today);
  const keep = (intent: AheadIntent) =>
    void fetcher.submit(JSON.stringify(intent), {
      method: "post",
      action: "/ahead/days",
      encType: "application/json",
    });
  // The same array while nothing of it changes: a new one asks for the plan again.
  const chosen = useMemo(() => jobs.filter(({ job }) => !left.has(job.id)), [jobs, left]);
  const { found, progress, stopped, again } = useDays({ jobs: chosen, equipment, times }, start);
  const names = {
    machine: (id: string) =>
      equipment.shop.machines.find((m) => m.id === id)?.name ??
      (id.startsWith("saw/")
        ? (equipment.shop.saws.find((s) => sawMachine(s.id) === id)?.name ?? "Saw")
        : "a machine"),
    job: (id: string) => jobs.find(({ job }) => job.id === id)?.job.name || "Unnamed job",
  };
  return (
    <>
      <StationTitle above="Work ahead">What comes when?</StationTitle>
      <Times
        times={times}
        start={start}
        onStart={setStart}
        onTimes={(next) => keep({ intent: "times", times: next })}
      />
      {fetcher.data?.kept === false && (
        <Notice severity="warn" role="alert">
          The job was changed in another tab meanwhile, so the day was not saved. It stands here as it is now.
        </Notice>
      )}
      {!found && !stopped && (
        <Notice severity="note" role="status">
          {progress ? `Planning job ${progress.done} of ${progress.of}.` : "Planning the jobs."}{" "}
          <Button onClick={stopDays}>Stop</Button>
        </Notice>
      )}
      {stopped && (
        <Notice severity="note">
          Stopped. <Button onClick={again}>Plan the days</Button>
        </Notice>
      )}
      {found && <Plan found={found} start={start} times={times} names={names} />}
      {found && <Sets jobs={chosen.map(({ job }) => job)} plan={found.plan} start={start} times={times} />}
      <Section title="Jobs">
        <Table
          label="Jobs"
          figures={[1]}
          maxH="270px"
          head={["job", "left", "not before", "due", "done", ""]}
        >
          {jobs.map(({ job }) => (
            <JobRow
              key={job.id}
              job={job}
              ahead={found?.ahead.find((a) => a.id === job.id)}
              done={found?.plan.jobs.find((j) => j.id === job.id)}
              start={start}
              times={times}
              planned={!left.has(job.id)}
              nameOf={names.job}
              onPlanned={(on) =>
                setLeft((now) => new Set(on ? [...now].filter((id) => id !== job.id) : [...now, job.id]))
              }
              onDate={(path, to) => keep({ intent: "date", jobId: job.id, path, from: job[path], to })}
            />
          ))}
        </Table>
        {found?.timed && (
          <chakra.p fontSize="14px" color="quiet" mt="4px">
            The pieces you finished took <Figure of={quantity("time", found.timed.taken)} /> where{" "}
            <Figure of={quantity("time", found.timed.planned)} /> were planned: one planned minute counts as{" "}
            {found.pace.toFixed(2)} here.
          </chakra.p>
        )}
      </Section>
    </>
  );
}

/** Asks for the plan of the days whenever what it is made of changes. */
function useDays({ jobs, equipment, times }: Asked, start: string) {
  const [state, setState] = useState<{
    found: DaysFound | null;
    progress: { done: number; of: number } | null;
    stopped: boolean;
  }>({ found: null, progress: null, stopped: false });
  const [asked, setAsked] = useState(0);
  const { shop, rack, own } = equipment;
  useEffect(() => {
    let current = true;
    void askDays(jobs, { shop, rack, own }, { start, times }, (progress) => {
      if (current) setState((s) => ({ ...s, progress }));
    })
      .catch(() => null)
      .then((found) => {
        if (current) setState({ found, progress: null, stopped: found === null });
      });
    return () => {
      current = false;
    };
  }, [jobs, shop, rack, own, start, times, asked]);
  return {
    ...state,
    again: () => {
      setState({ found: null, progress: null, stopped: false });
      setAsked((n) => n + 1);
    },
  };
}

/** What writes a calendar comes when it is asked for. */
async function saveCalendar(plan: DayPlan, start: string, times: WorkingTimes, names: Names): Promise<void> {
  const { calendarFile } = await import("../../core/exchange/index.ts");
  download(
    "work-ahead.ics",
    calendarFile(plan, start, times, names, new Date().toISOString()),
    "text/calendar",
  );
}

function Plan({
  found,
  start,
  times,
  names,
}: {
  found: DaysFound;
  start: string;
  times: WorkingTimes;
  names: Names;
}) {
  const { plan } = found;
  if (!times.days.includes(true)) return null;
  if (plan.stretches.length === 0)
    return <Notice severity="note">Nothing is left to do, or nothing can be planned yet.</Notice>;
  const ends = calendarOf(plan.ends, start, times, true);
  const late = plan.jobs.filter((j) => j.late > 0);
  return (
    <>
      {late.map((j) => (
        <Notice key={j.id} severity="warn">
          {names.job(j.id)} is late by <Figure of={quantity("time", j.late)} /> of work. Work longer, begin it
          earlier, or say so to whoever waits.
        </Notice>
      ))}
      <chakra.p fontSize="15px">
        All of it is done on <b>{ends ? `${dayName(ends.day)} at ${clock(ends.minute)}` : "no day"}</b>, after{" "}
        <Figure of={quantity("time", plan.ends)} /> of work.{" "}
        {plan.ends > plan.bound + 1 ? (
          <>
            No plan is done before <Figure of={quantity("time", plan.bound)} />.
          </>
        ) : (
          "No plan is done sooner."
        )}{" "}
        <Button className="no-print" onClick={() => void saveCalendar(plan, start, times, names)}>
          <Icon of={CalendarPlus} /> Save as calendar (.ics)
        </Button>
      </chakra.p>
      <DayChart plan={plan} start={start} times={times} names={names} />
      <Section title="Day by day">
        <Table label="Day by day" maxH="220px" head={["day", "from", "to", "machine", "job", "what"]}>
          {plan.stretches
            .flatMap((s) => partsByDay(s, start, times).map((part) => ({ ...part, s })))
            .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : a.from - b.from))
            .map(({ day, from, to, s }) => (
              <tr key={`${s.jobId} ${s.name} ${day} ${from}`}>
                <th scope="row">{dayName(day)}</th>
                <td>{clock(from)}</td>
                <td>{clock(to)}</td>
                <td>{names.machine(s.machine)}</td>
                <td>
                  <Link to={`/jobs/${s.jobId}/setups`} style={underlined}>
                    {names.job(s.jobId)}
                  </Link>
                </td>
                <td>{s.name}</td>
              </tr>
            ))}
        </Table>
      </Section>
    </>
  );
}

function JobRow({
  job,
  ahead,
  done,
  start,
  times,
  planned,
  nameOf,
  onPlanned,
  onDate,
}: {
  job: Job;
  ahead: Ahead | undefined;
  done: DayPlan["jobs"][number] | undefined;
  start: string;
  times: WorkingTimes;
  planned: boolean;
  nameOf: (id: string) => string;
  onPlanned: (on: boolean) => void;
  onDate: (path: "due" | "ready", to: string) => void;
}) {
  const ends = done ? calendarOf(done.ends, start, times, true) : null;
  const date = (path: "due" | "ready", label: string) => (
    <Input
      type="date"
      aria-label={`${job.name || "Unnamed job"}: ${label}`}
      defaultValue={job[path]}
      key={job[path]}
      onBlur={(e) => {
        const to = e.target.value;
        if (to !== job[path] && (to === "" || /^2\d{3}-\d\d-\d\d$/.test(to))) onDate(path, to);
      }}
    />
  );
  return (
    <tr>
      <th scope="row">
        <Check checked={planned} onCheck={onPlanned}>
          {job.name || "Unnamed job"}
        </Check>
      </th>
      <td>{ahead ? <Figure of={quantity("time", ahead.left)} /> : "–"}</td>
      <td>{date("ready", "not before")}</td>
      <td>{date("due", "due")}</td>
      <td>
        {ends ? `${dayName(ends.day)}, ${clock(ends.minute)}` : planned && ahead ? "nothing left" : "–"}
      </td>
      <td>
        {ahead?.blocked && (
          <Link to={`/jobs/${job.id}/setups`} style={underlined}>
            not planned to its end
          </Link>
        )}
        {ahead?.after?.map((id) => (
          <span key={id}>waits for {nameOf(id)} </span>
        ))}
        {job.due !== "" && job.due < start && " due already"}
        {job.due !== "" && job.due >= start && !isWorked(job.due, times) && " due on a day off"}
      </td>
    </tr>
  );
}
