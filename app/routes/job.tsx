import {
  data,
  isRouteErrorResponse,
  type ShouldRevalidateFunctionArgs,
  useFetcher,
  useNavigate,
} from "react-router";
import { archivedCard, database } from "../../store/index.ts";
import { Failure } from "../frame/failure.tsx";
import { JobFrame } from "../frame/job-frame.tsx";
import { FrameSkeleton } from "../frame/skeleton.tsx";
import { Button } from "../instruments/button.tsx";
import type { Answer, JobIntent } from "../session/intent.ts";
import { openSession, theSession } from "../session/open-session.ts";
import type { Route } from "./+types/job.ts";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const session = await openSession(params.jobId);
  const archived = session ? null : await archivedCard(database(), params.jobId);
  if (archived)
    throw data(
      `"${archived.name || "Unnamed job"}" is archived. Nothing is lost: bring it back to look at it or work on it.`,
      { status: 410 },
    );
  if (!session)
    throw data(
      "There is no such job in this browser. It may be saved in another one: export it there, import it here.",
      { status: 404 },
    );
  return { session };
}
clientLoader.hydrate = true as const;

/** The session holds what is written and hears of what others write: only another job, or one asked for again, is loaded. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
  currentUrl,
  nextUrl,
  formMethod,
}: ShouldRevalidateFunctionArgs) =>
  currentParams.jobId !== nextParams.jobId || (!formMethod && currentUrl.href === nextUrl.href);

/** Decisions, undo and records of a job; everything a job needs works with the server gone. */
export async function clientAction({ request, params }: Route.ClientActionArgs): Promise<Answer> {
  const { ticket, ...intent } = (await request.json()) as JobIntent & { ticket: number };
  const session = (await theSession(params.jobId)) ?? (await openSession(params.jobId));
  return session ? session.commit(intent, ticket) : { ok: false, conflicts: [], notKept: "failed" };
}

export function HydrateFallback() {
  return <FrameSkeleton />;
}

export default function Job({ loaderData: { session } }: Route.ComponentProps) {
  return <JobFrame key={session.state.job.id} session={session} />;
}

export function ErrorBoundary({ error, params }: Route.ErrorBoundaryProps) {
  const fetcher = useFetcher();
  const navigate = useNavigate();
  const archived = isRouteErrorResponse(error) && error.status === 410;
  const bringBack = async () => {
    await fetcher.submit({ intent: "restore", id: params.jobId }, { method: "post", action: "/?index" });
    // What failed to load is asked for again by going there.
    await navigate(".", { replace: true });
  };
  return (
    <Failure
      error={error}
      kept={
        isRouteErrorResponse(error)
          ? "Nothing was changed."
          : "What was saved before is still there. Reload to go on."
      }
    >
      {archived && (
        <Button look="strong" onClick={() => void bringBack()} disabled={fetcher.state !== "idle"}>
          Bring it back
        </Button>
      )}
    </Failure>
  );
}
