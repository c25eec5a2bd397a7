import { chakra } from "@chakra-ui/react";
import { referenceGraph } from "../../../core/figure/index.ts";
import type { Face } from "../../../core/frame/index.ts";
import { errorKey } from "../../../core/plan/index.ts";
import { faceSetupsOf, hangingOn, locatedIn, referenceChain } from "../../../core/route/index.ts";
import { FigureView } from "../../instruments/figure-view.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Section, Table } from "../../instruments/section.tsx";
import { Expected } from "./routes-compared.tsx";

/** What each face is cut from, what hangs on it, and what to expect of every pair of faces. */
export function ExpectedErrors({ face }: { face: Face }) {
  const { plan } = useJob();
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
