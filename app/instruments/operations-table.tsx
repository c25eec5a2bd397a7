import { chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { mm, quantity } from "../../core/quantity/index.ts";
import { type AnyKey, conditionsOf, keySlug, type Operation, type Setup } from "../../core/route/index.ts";
import { useJob } from "./job-context.tsx";
import { Table } from "./section.tsx";
import { setupLabel } from "./setup-place.ts";
import { Figure, Words } from "./words.tsx";

/** What is done in setups, in order: every operation with its tool and conditions, to choose one. */
export function OperationsTable({
  label,
  setups,
  chosen = null,
}: {
  label: string;
  setups: readonly Setup[];
  chosen?: AnyKey | null;
}) {
  return (
    <Table
      label={label}
      figures={[3, 4, 5, 6, 7]}
      head={["", "operation", "tool", "speed", "feed", "depth", "passes", "time"]}
    >
      {setups.flatMap((setup) =>
        setup.operations.map((o) => (
          <OperationRow key={o.key} setup={setup} operation={o} chosen={o.key === chosen} />
        )),
      )}
    </Table>
  );
}

function OperationRow({ setup, operation, chosen }: { setup: Setup; operation: Operation; chosen: boolean }) {
  const { job, plan, shop } = useJob();
  const { cut, key } = operation;
  const face = operation.by === "face";
  const set = conditionsOf(operation);
  const own = cut?.own;
  const passes = face ? (plan.ladders[operation.key]?.length ?? 0) : operation.levels.length;
  // The minutes of a face are those of its passes as they are told, which its setup carries.
  const minutes = (face ? setup : operation).minutes.cutting;
  return (
    <chakra.tr bg={chosen ? "accentSoft" : "transparent"}>
      <td>{setupLabel(setup, plan)}</td>
      <td>
        <Link
          to={`/jobs/${job.id}/cuts/${keySlug(key)}`}
          style={{ textDecoration: "underline" }}
          aria-current={chosen ? "true" : undefined}
        >
          {face ? `${operation.face} face` : <Words of={operation.title} />}
        </Link>
      </td>
      <td>{face ? shop.cutters.find((c) => c.id === operation.cut.cutter)?.name : operation.toolName}</td>
      <td>
        {set && <Figure of={quantity("spindleSpeed", set.rpm)} />}
        {own?.speed && " ◆"}
      </td>
      <td>
        {set && <Figure of={quantity("feed", set.vf)} />}
        {own?.feed && " ◆"}
      </td>
      <td>
        {cut && <Figure of={mm(cut.depth)} />}
        {own?.depth && " ◆"}
      </td>
      <td>{passes || ""}</td>
      <td>
        <Figure of={quantity("time", minutes)} />
      </td>
    </chakra.tr>
  );
}
