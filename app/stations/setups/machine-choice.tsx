import { keyOfSetup, type Setup } from "../../../core/route/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { useSubmit } from "../../instruments/use-submit.ts";

/** The machine of a setup: of the whole job at the first one, at a later one of all that comes from there on. */
export function MachineChoice({ setup }: { setup: Setup }) {
  const { plan, shop, reason } = useJob();
  const submit = useSubmit();
  const own = useOverrides(keyOfSetup(setup));
  const before = plan.setups[plan.setups.indexOf(setup) - 1];
  const begun = plan.steps.some(
    (step) => step.setup === setup.number && (step.done || step.ticks.some((t) => t.done)),
  );
  const report = own.reportOf("machine");
  const choose = (id: string) => {
    if (!before) void submit.set("machine", id);
    else if (id === before.machine) own.takeBack("machine");
    else own.set([["machine", id]], reason || "by choice");
  };
  return (
    <>
      {report?.state === "impossible" && (
        <OverrideNotice report={report} onUndo={() => own.takeBack("machine")} />
      )}
      <Choice
        label={before ? "Machine from here on" : "Machine"}
        value={setup.machine}
        options={shop.machines
          .filter((m) => !m.retired || m.id === setup.machine)
          .map((m) => [m.id, m.name] as const)}
        disabled={begun || setup.entry !== "placed"}
        onChoose={choose}
      />
    </>
  );
}
