import { useEffect, useRef } from "react";
import { type Change, changeOf, type Override } from "../../core/job/index.ts";
import type { OverrideReport } from "../../core/plan/index.ts";
import type { AnyKey } from "../../core/route/index.ts";
import { newId } from "../../store/index.ts";
import { useJob } from "./job-context.tsx";
import { useSubmit } from "./use-submit.ts";

export type OverrideWhat = Override["what"];

/** What the person set at a cut (or at the route), what became of it, and how to set it or take it back. */
export function useOverrides(at: AnyKey | "route") {
  const { job, plan } = useJob();
  const submit = useSubmit();
  const kept = useRef<(() => void) | null>(null);
  const { answer, busy } = submit;
  // Only what was kept is cleared from its field: a refused change leaves what was typed.
  useEffect(() => {
    if (busy || !kept.current || !answer) return;
    if (answer.ok) kept.current();
    kept.current = null;
  }, [busy, answer]);

  const reportOf = (what: OverrideWhat): OverrideReport | undefined =>
    plan.overrides.find((o) => o.override.at === at && o.override.what === what);

  const overrideOf = (id: string, what: OverrideWhat, value: Override["value"], reason: string) => ({
    id,
    at,
    what,
    value,
    reason: reason.trim() || "no reason given",
    since: new Date().toISOString(),
  });

  /** Sets one or several in one change; `onKept` runs when it was kept, not when another tab was first. */
  const set = (
    wanted: readonly (readonly [what: OverrideWhat, value: Override["value"]])[],
    reason: string,
    onKept?: () => void,
  ) => {
    const made = wanted.map(([what, value]) =>
      overrideOf(reportOf(what)?.override.id ?? newId(), what, value, reason),
    );
    const fresh = made.map((m) => m.id).filter((id) => !job.overrides.order.includes(id));
    const changes: Change[] = made.map((m) => changeOf(job, `overrides/byId/${m.id}`, m));
    if (fresh.length > 0) changes.push(changeOf(job, "overrides/order", [...job.overrides.order, ...fresh]));
    kept.current = onKept ?? null;
    void submit.change(changes);
  };
  /** Sets some and takes back the others of a group, in one change. */
  const replace = (
    wanted: readonly (readonly [what: OverrideWhat, value: Override["value"]])[],
    group: readonly OverrideWhat[],
    reason: string,
  ) => {
    const old = group.flatMap((what) => reportOf(what)?.override ?? []);
    const made = wanted.map(([what, value]) => overrideOf(newId(), what, value, reason));
    const order = job.overrides.order.filter((id) => !old.some((o) => o.id === id));
    void submit.change([
      ...old.map((o) => changeOf(job, `overrides/byId/${o.id}`, null)),
      ...made.map((m) => changeOf(job, `overrides/byId/${m.id}`, m)),
      changeOf(job, "overrides/order", [...order, ...made.map((m) => m.id)]),
    ]);
  };
  const takeBack = (what: OverrideWhat) => {
    const old = reportOf(what)?.override;
    if (!old) return;
    void submit.change([
      changeOf(job, `overrides/byId/${old.id}`, null),
      changeOf(
        job,
        "overrides/order",
        job.overrides.order.filter((o) => o !== old.id),
      ),
    ]);
  };
  return { reportOf, set, replace, takeBack };
}
