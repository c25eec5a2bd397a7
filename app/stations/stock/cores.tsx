import { Box, chakra } from "@chakra-ui/react";
import { axesAcross, faceNames } from "../../../core/frame/index.ts";
import type { Core } from "../../../core/stock/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Check } from "../../instruments/check.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { NumberEntry, plainLength } from "../../instruments/number-entry.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { useOrdered } from "../../instruments/use-ordered.ts";
import { useSubmit } from "../../instruments/use-submit.ts";
import { signedEntry } from "../../instruments/signed-entry.ts";

/** Cored holes and raw bosses that stay: where they were found, where they are drawn, and whether the walls are kept even. */
export function Cores() {
  const { job } = useJob();
  const submit = useSubmit();
  const list = useOrdered("stock/cores");
  const { cores, evenWalls } = job.stock;
  const all = cores.order.map((id) => cores.byId[id]!);
  const add = () => {
    const id = newId();
    const core: Core = {
      id,
      face: all.at(-1)?.face ?? "top",
      diameter: null,
      first: null,
      second: null,
      drawnFirst: null,
      drawnSecond: null,
    };
    list.add(id, core);
  };
  return (
    <Section title="Cores that stay raw">
      {all.length === 0 ? (
        <chakra.p fontSize="13.5px" color="quiet">
          A cored hole or a raw boss: where its middle was found and where it is drawn, counted as the points
          are. The walls beside it are told.
        </chakra.p>
      ) : (
        <Table
          label="Cores"
          maxH="200px"
          head={["seen from", "⌀", "found along", "found across", "drawn along", "drawn across", ""]}
        >
          {all.map((core, i) => (
            <CoreRow key={core.id} core={core} number={i + 1} onRemove={() => list.remove(core.id)} />
          ))}
        </Table>
      )}
      <Box display="flex" gap="10px" alignItems="center" flexWrap="wrap" mt="8px" className="no-print">
        <Button onClick={add}>Add a core</Button>
        {all.length > 0 && (
          <Check checked={evenWalls} onCheck={(on) => void submit.set("stock/evenWalls", on)}>
            keep the walls beside it even
          </Check>
        )}
      </Box>
    </Section>
  );
}

function CoreRow({ core, number, onRemove }: { core: Core; number: number; onRemove: () => void }) {
  const submit = useSubmit();
  const path = `stock/cores/byId/${core.id}`;
  const [along, across] = axesAcross(core.face);
  const place = (what: "first" | "second" | "drawnFirst" | "drawnSecond", label: string) => (
    <td>
      <NumberEntry
        bare
        label={`${label}, core ${number}`}
        path={`${path}/${what}`}
        kind={signedEntry}
        value={core[what]}
        width="64px"
      />
    </td>
  );
  return (
    <tr>
      <td>
        <Choice
          label={`Face of core ${number}`}
          hideLabel
          value={core.face}
          options={faceNames.map((face) => [face, face] as const)}
          onChoose={(face) => void submit.set(`${path}/face`, face)}
        />
      </td>
      <td>
        <NumberEntry
          bare
          label={`Diameter, core ${number}`}
          path={`${path}/diameter`}
          kind={plainLength}
          value={core.diameter}
          width="64px"
          optional
        />
      </td>
      {place("first", `found along the ${along}`)}
      {place("second", `found along the ${across}`)}
      {place("drawnFirst", `drawn along the ${along}`)}
      {place("drawnSecond", `drawn along the ${across}`)}
      <td>
        <Button look="quiet" onClick={onRemove} aria-label={`Remove core ${number}`}>
          ×
        </Button>
      </td>
    </tr>
  );
}
