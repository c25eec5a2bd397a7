import { chakra } from "@chakra-ui/react";
import { referenceGraph } from "../../../core/figure/index.ts";
import type { Face } from "../../../core/frame/index.ts";
import { errorKey } from "../../../core/plan/index.ts";
import { faceSetupsOf, hangingOn, locatedIn, referenceChain } from "../../../core/route/index.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { Section, Table } from "../../instruments/section.tsx";
import { Expected } from "./routes-compared.tsx";

/** What each face is cut from, what hangs on it, and what to expect of every pair of faces. */
export function ExpectedErrors({ face }: { face: Face }) {
  const { plan } = useJob();
  const { machine } = useEquipment();
  const elsewhere = new Set(faceSetupsOf(plan.setups).map((s) => s.machine)).size > 1;
  const links = referenceChain(locatedIn(faceSetupsOf(plan.setups)));
  const number = (of: Face) => links.findIndex((l) => l.face === of) + 1;
  const hanging = hangingOn(links, face);
  return (
    <Section title="What each face is cut from">
      <FigureView figure={referenceGraph(links)} maxHeight="240px" />
      <chakra.p fontSize="13px" color="quiet">
        Above: by the fixed jaw. Below: by the bed or a square.{" "}
        {hanging.length > 0
          ? `Recut the ${face} face, and faces ${hanging.map(number).join(", ")} need checking again.`
          : `No face was cut from the ${face} face.`}
      </chakra.p>
      {elsewhere && machine && (
        <Notice severity="warn">
          Faces are cut on more than one machine, and what to expect is worked with the head and the table of{" "}
          {machine.name} alone. Measure squareness after the part was carried over.
        </Notice>
      )}
      <details>
        <chakra.summary cursor="pointer" minH="32px" color="accent" textDecoration="underline">
          All {plan.errors.length} pairs of faces
        </chakra.summary>
        <Table label="Expected errors" figures={[2]} head={["faces", "", "expected (worst)"]}>
          {plan.errors.map((error) => (
            <tr key={error.faces.join()}>
              <th scope="row">{error.faces.map((f) => `${number(f) ?? ""} ${f}`).join(" and ")}</th>
              <td>{error.kind === "square" ? "square, over 100" : "parallel"}</td>
              <td>
                <Expected of={error} at={errorKey(error)} />
              </td>
            </tr>
          ))}
        </Table>
      </details>
    </Section>
  );
}
