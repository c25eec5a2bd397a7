import { chakra } from "@chakra-ui/react";
import { twoAtOnce, type TwoAtOnce as TwoAtOnceFound } from "../../../core/plan/index.ts";
import { setupWith } from "../../../core/route/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Table } from "../../instruments/section.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Words } from "../../instruments/words.tsx";

const mayWords = { yes: "✓ yes", packed: "▲ with packing", no: "– no" } as const;

/** Where two pieces go into the vise at once, and whether it is planned so. */
export function TwoAtOnce() {
  const { job, plan, shop } = useJob();
  const { vise } = useEquipment();
  if (!vise || plan.setups.length === 0) return null;
  return (
    <chakra.details mt="14px" fontSize="14.5px">
      <summary>Two in the vise at once?</summary>
      <Table label="Two at once" head={["setup", "how", "two at once", "why", ""]}>
        {twoAtOnce(job, plan.setups, vise, shop).map((of) => (
          <TwoRow key={`${of.clamping} ${of.how}`} of={of} />
        ))}
      </Table>
    </chakra.details>
  );
}

function TwoRow({ of }: { of: TwoAtOnceFound }) {
  const { plan, reason } = useJob();
  const own = useOverrides(of.key);
  const report = own.reportOf("together");
  const wanted = report?.override.value === of.how;
  const setup = setupWith(plan.setups, of.key);
  const begun = plan.steps.some((s) => s.setup === setup?.number && (s.done || s.ticks.some((t) => t.done)));
  return (
    <tr>
      <th scope="row">{of.clamping}</th>
      <td>{of.how}</td>
      <td>{mayWords[of.may]}</td>
      <td>
        <Words of={wanted && report.state === "impossible" ? report.why : of.why} />
      </td>
      <td className="no-print">
        {wanted ? (
          <Button disabled={begun} onClick={() => own.takeBack("together")}>
            One at a time
          </Button>
        ) : (
          of.may !== "no" && (
            <Button disabled={begun} onClick={() => own.set([["together", of.how]], reason || "two at once")}>
              Hold two
            </Button>
          )
        )}
      </td>
    </tr>
  );
}
