import { useEffect, useState } from "react";
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
