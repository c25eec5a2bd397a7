import { database } from "../../store/index.ts";
import { JobSession } from "./job-session.ts";

let open: { jobId: string; session: Promise<JobSession | null> } | null = null;

/** The session of a job that is open; null where none is. What was asked through it is answered by it, whatever became of the job. */
export const theSession = async (jobId: string): Promise<JobSession | null> =>
  open?.jobId === jobId ? open.session : null;

/** The session of a job, opened when first asked for; one job is open at a time. Null when there is no such job on the bench. */
export async function openSession(jobId: string): Promise<JobSession | null> {
  const known = open?.jobId === jobId ? await open.session : null;
  if (known && !known.state.gone) return known;
  const before = open;
  const mine = { jobId, session: JobSession.open(database(), jobId) };
  open = mine;
  void before?.session.then((session) => session?.close()).catch(() => undefined);
  return mine.session;
}
