import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { mm } from "../../../core/quantity/index.ts";
import { faceOf, faceSetupsOf, readiness, type Setup } from "../../../core/route/index.ts";
import { useJob } from "../../instruments/job-context.tsx";
import { useEquipment } from "../../instruments/use-equipment.ts";
import { Section, Table } from "../../instruments/section.tsx";
import { Figure, Words } from "../../instruments/words.tsx";

const today = () => new Date().toISOString();

const marks = { ready: "● ready", tooMuch: "■ too large", unknown: "▲ not known" };
const inks = { ready: "good", tooMuch: "stop", unknown: "warn" };

/** "Ready for ±0.01?": what was checked of machine, vise and instruments, and what should be before this job. */
export function ReadinessSheet({ setup }: { setup: Setup }) {
  const { plan, shop } = useJob();
  const { machine, vise } = useEquipment(setup);
  const faces = faceSetupsOf(plan.setups).map(faceOf);
  const within = Math.min(
    ...faces.filter((f) => f.sized).map(({ limits }) => (limits.upper - limits.lower) / 2),
    ...plan.errors.flatMap((e) => e.tolerance ?? []),
  );
  const sizes = faces.map((f) => f.to);
  const serving = shop.instruments.filter((i) => sizes.some((s) => s >= i.from && s <= i.to));
  if (!machine || !vise || !Number.isFinite(within)) return null;
  return (
    <Section
      title={
        <>
          Ready for ±
          <Figure of={mm(within)} decimals={3} />?
        </>
      }
    >
      <Table label="Readiness" maxH="300px" head={["what", "", "found", "to do"]}>
        {readiness(machine, vise, { instruments: serving, aids: shop.aids }, within, today()).map((item) => (
          <tr key={item.what}>
            <th scope="row">{item.what}</th>
            <chakra.td whiteSpace="nowrap" color={inks[item.state]}>
              {marks[item.state]}
            </chakra.td>
            <td>
              <Words of={item.found} />
            </td>
            <td>
              {item.todo && <Words of={item.todo} />}{" "}
              {item.check && (
                <Link to={`/sums/${item.check}`} style={{ textDecoration: "underline" }}>
                  Try it
                </Link>
              )}
            </td>
          </tr>
        ))}
      </Table>
    </Section>
  );
}
