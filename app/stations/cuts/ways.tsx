import { chakra } from "@chakra-ui/react";
import { quantity } from "../../../core/quantity/index.ts";
import type { FeatureOperation } from "../../../core/route/index.ts";
import { Button } from "../../instruments/button.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { useOverrides } from "../../instruments/use-overrides.ts";
import { Figure, Words } from "../../instruments/words.tsx";

/** The other ways of making this feature: what they would take, or why not. */
export function Ways({ operation }: { operation: FeatureOperation }) {
  const { plan, reason, job } = useJob();
  const { way } = operation;
  const others = plan.features?.routes.find((r) => r.feature === operation.feature)?.others ?? [];
  const own = useOverrides(`${operation.feature}/way`);
  const route = useOverrides("route");
  const taken = own.reportOf("way");
  const firstIs = job.overrides.order.some((id) => {
    const o = job.overrides.byId[id];
    return o?.what === "first" && o.value === operation.feature;
  });
  const first = plan.overrides.find((o) => o.override.what === "first");
  return (
    <Section title="Ways to make it">
      {taken && <OverrideNotice report={taken} onUndo={() => own.takeBack("way")} />}
      {first && <OverrideNotice report={first} onUndo={() => route.takeBack("first")} />}
      <chakra.p mb="6px">
        Taken: <b>{way}</b>.{" "}
        {!firstIs && (
          <Button onClick={() => route.set([["first", operation.feature]], reason || "by choice")}>
            Cut this feature first
          </Button>
        )}
      </chakra.p>
      {others.length > 0 && (
        <Table label="Other ways" figures={[3]} head={["way", "from", "why", "time", ""]}>
          {others.map((o) => (
            <tr key={`${o.name} ${o.up}`}>
              <td>{o.name}</td>
              <td>{o.up}</td>
              <td>
                <Words of={o.refusal ? o.refusal.reason : o.why} />
              </td>
              <td>{o.minutes !== null && <Figure of={quantity("time", o.minutes)} />}</td>
              <td>
                {o.refusal ? (
                  "not possible"
                ) : (
                  <Button onClick={() => own.set([["way", o.name]], reason || "by choice")}>
                    Use this way
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </Table>
      )}
    </Section>
  );
}
