import { chakra } from "@chakra-ui/react";
import { axesAcross } from "../../../core/frame/index.ts";
import { pickupErrors, rectInSetup } from "../../../core/locate/index.ts";
import { featureNames, featuresOf } from "../../../core/part/index.ts";
import { mm } from "../../../core/quantity/index.ts";
import type { FeatureSetup } from "../../../core/route/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { useDrawnSetup } from "../../instruments/use-drawn-setup.ts";
import { Figure } from "../../instruments/words.tsx";

/** Lines to scribe before the first cut, from the same edges as the readout: a turn of the dial too many shows at once. */
export function LayoutLines({ setup }: { setup: FeatureSetup }) {
  const { job } = useJob();
  const { drawn, locating } = useDrawnSetup(setup);
  const names = featureNames(featuresOf(job.part));
  const [a, b] = axesAcross(setup.at.up);
  return (
    <Section title="Lines to scribe first, as a check">
      <Table
        label="Lines to scribe"
        figures={[1, 2, 3, 4]}
        head={["feature", "X from", "to", "Y from", "to"]}
      >
        {setup.features.flatMap((id) => {
          const cutout = drawn.cutouts.get(id);
          if (!cutout) return [];
          const { x, y } = rectInSetup(locating.frame, { x: cutout.box[a], y: cutout.box[b] });
          return [
            <tr key={id}>
              <td>{names.get(id)}</td>
              {[x[0], x[1], y[0], y[1]].map((at, i) => (
                <td key={i}>
                  <Figure of={mm(at)} />
                </td>
              ))}
            </tr>,
          ];
        })}
      </Table>
      <chakra.p fontSize="13.5px" color="quiet">
        Scribed lines are good to about <Figure of={mm(pickupErrors.line)} />: a cutter that comes down off
        its line is out by a turn of the dial, or by half its own diameter.
      </chakra.p>
    </Section>
  );
}
