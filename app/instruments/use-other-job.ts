import { useEffect, useState } from "react";
import type { Job } from "../../core/job/index.ts";
import { linkedInCircle } from "../../core/plan/index.ts";
import { database, type JobCard, type KeptJob, listJobs } from "../../store/index.ts";

const none: JobCard[] = [];
/** What cannot be read is as if it were not there: the place says so. */
const cards = (): Promise<JobCard[]> => listJobs(database()).catch(() => none);
/** What knows all that a job is made of comes when one is read. */
const readJob = async (jobId: string): Promise<KeptJob | null> => {
  try {
    return await (await import("../../store/jobs.ts")).loadJob(database(), jobId);
  } catch {
    return null;
  }
};

/** The jobs on the bench besides this one. */
export function useOtherJobs(jobId: string): JobCard[] {
  const [read, setRead] = useState(none);
  useEffect(() => {
    let current = true;
    void cards().then((all) => {
      if (current) setRead(all);
    });
    return () => {
      current = false;
    };
  }, []);
  return read.filter((card) => card.id !== jobId);
}

/** Reads another job with its records; undefined while it is read, null where it is not on the bench. */
export function useOtherJob(jobId: string): KeptJob | null | undefined {
  const [read, setRead] = useState<{ of: string; kept: KeptJob | null } | null>(null);
  useEffect(() => {
    if (jobId === "") return;
    let current = true;
    void readJob(jobId).then((kept) => {
      if (current) setRead({ of: jobId, kept });
    });
    return () => {
      current = false;
    };
  }, [jobId]);
  return read?.of === jobId ? read.kept : undefined;
}

/** More jobs than this are not looked through for a ring of links. */
const mostLinked = 40;

/** The names of jobs that wait for one another's measured sizes with this one among them; null where none do. */
export function useCircle(job: Job): string[] | null {
  const [found, setFound] = useState<string[] | null>(null);
  useEffect(() => {
    let current = true;
    void circleOf(job).then((names) => {
      if (current) setFound(names);
    });
    return () => {
      current = false;
    };
  }, [job]);
  return found;
}

const linksOf = ({ part: { mates } }: Job): string[] =>
  mates.order.flatMap((id) => {
    const mate = mates.byId[id];
    return mate?.kind === "fits" && mate.measured && mate.job !== "" ? [mate.job] : [];
  });

async function circleOf(job: Job): Promise<string[] | null> {
  const known = new Map<string, Job>([[job.id, job]]);
  const open = linksOf(job);
  while (open.length > 0 && known.size < mostLinked) {
    const id = open.pop()!;
    if (known.has(id)) continue;
    const kept = await readJob(id);
    if (!kept) continue;
    known.set(id, kept.job);
    open.push(...linksOf(kept.job));
  }
  return linkedInCircle(job, (id) => known.get(id))?.map((id) => known.get(id)!.name || "unnamed") ?? null;
}
