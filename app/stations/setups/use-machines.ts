import { type Change, changeOf, isMachineOverride, type MachineOverride } from "../../../core/job/index.ts";
import { breaksIn, type MachineSplit } from "../../../core/plan/index.ts";
import { keyOfSetup } from "../../../core/route/index.ts";
import { newId } from "../../../store/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";

/** On which machines the job is done: all of it on one, or from a setup on another. */
export function useMachines() {
  const { job, plan, reason } = useJob();
  const submit = useSubmit();
  const chosen = job.overrides.order.flatMap((id) => job.overrides.byId[id] ?? []).filter(isMachineOverride);

  /** Puts one choice in place of all those made for single setups. */
  const inPlaceOf = (machine: string, move: { at: MachineSplit["from"]; value: string } | null) => {
    const made: MachineOverride | null = move && {
      ...move,
      id: newId(),
      what: "machine",
      reason: reason.trim() || "by choice",
      since: new Date().toISOString(),
    };
    const plain = job.overrides.order.filter((id) => !chosen.some((o) => o.id === id));
    const changes: Change[] = [
      ...(machine === job.machine ? [] : [changeOf(job, "machine", machine)]),
      ...chosen.map((o) => changeOf(job, `overrides/byId/${o.id}`, null)),
      ...(made ? [changeOf(job, `overrides/byId/${made.id}`, made)] : []),
      ...(made || chosen.length > 0
        ? [changeOf(job, "overrides/order", [...plain, ...(made ? [made.id] : [])])]
        : []),
    ];
    if (changes.length > 0) void submit.change(changes);
  };
  const next = breaksIn(plan)[0];
  return {
    busy: submit.busy,
    /** All that is not begun yet on one machine. */
    allOn: (machine: string) =>
      plan.cutBegun
        ? next && inPlaceOf(job.machine, { at: keyOfSetup(next), value: machine })
        : inPlaceOf(machine, null),
    split: ({ first, from, then }: MachineSplit) =>
      inPlaceOf(plan.cutBegun ? job.machine : first, { at: from, value: then }),
  };
}
