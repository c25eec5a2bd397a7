import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { spotWords } from "../../../core/inspect/index.ts";
import { cleanShare } from "../../../core/plan/index.ts";
import { type LengthUnit, mm, showQuantity } from "../../../core/quantity/index.ts";
import { setupWith } from "../../../core/route/index.ts";
import type { Shop } from "../../../core/shop/index.ts";
import type { Record as JobRecord } from "../../../core/steps/index.ts";
import { DataTable, type Sorted } from "../../instruments/data-table.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { PersonName } from "../../instruments/person-name.tsx";
import { setupLabel } from "../../instruments/setup-place.ts";

interface Happened {
  id: string;
  seq: number;
  at: string;
  by: string;
  setup: string;
  what: string;
  why: string;
  takenBack: boolean;
}

/** Everything that was cut, read, set, changed and noted, in its order; what was taken back stays and says so. */
export function WhatHappened({ when }: { when: (iso: string) => string }) {
  const { plan, piece, records, shop, unit } = useJob();
  const [search, setSearch] = useState("");
  const [sorted, setSorted] = useState<Sorted>(null);
  const gone = new Map(
    records.flatMap((r) => (r.type === "withdrawn" ? [[r.of, r.reason ?? ""] as const] : [])),
  );
  const rows = records
    // A change of a decision is of all pieces.
    .filter((r) => r.type === "changed" || r.piece === piece)
    .flatMap((r): Happened[] => {
      const what = whatWords(r, shop, unit);
      if (what === null) return [];
      const setup = "op" in r ? setupWith(plan.setups, r.op) : undefined;
      return [
        {
          id: r.id,
          seq: r.seq,
          at: r.at,
          by: r.by,
          setup: setup ? setupLabel(setup, plan) : "",
          what,
          why: gone.get(r.id) || ("reason" in r ? r.reason || "no reason given" : ""),
          takenBack: gone.has(r.id),
        },
      ];
    });
  return (
    <>
      <Box display="flex" gap="16px" flexWrap="wrap" alignItems="flex-end" mb="8px">
        <PersonName />
        {rows.length > 0 && (
          <Field label="Search" type="search" value={search} onChange={(e) => setSearch(e.target.value)} />
        )}
      </Box>
      {rows.length === 0 ? (
        <chakra.p color="quiet">Nothing was cut, read, changed or noted yet.</chakra.p>
      ) : (
        <DataTable
          label="What happened"
          rows={rows}
          keyOf={(row) => row.id}
          search={search}
          holds={(row, wanted) =>
            `${row.by} ${row.setup} ${row.what} ${row.why}`.toLowerCase().includes(wanted)
          }
          sorted={sorted}
          onSort={setSorted}
          none={<Notice severity="note">Nothing here matches "{search}". Try a shorter word.</Notice>}
          maxH="calc(100vh - 330px)"
          rowProps={(row) => (row.takenBack ? { opacity: 0.7 } : {})}
          columns={[
            { id: "when", head: "when", value: (row) => row.seq, cell: (row) => when(row.at) },
            { id: "setup", head: "setup", value: (row) => row.setup || null },
            {
              id: "what",
              head: "what",
              value: (row) => row.what,
              cell: (row) => (row.takenBack ? `${row.what} (taken back)` : row.what),
            },
            { id: "who", head: "who", value: (row) => row.by || null },
            { id: "why", head: "why", value: (row) => row.why || null },
          ]}
        />
      )}
    </>
  );
}

/** What a record says happened; null for what is only a step on the way. */
function whatWords(r: JobRecord, shop: Shop, unit: LengthUnit): string | null {
  const size = (value: number) => showQuantity(mm(value), unit, unit === "mm" ? 3 : 4);
  switch (r.type) {
    case "cut":
      return `pass ${r.pass}${r.last ? ", the last," : ""} cut at ${size(r.stop)} from zero`;
    case "touched":
      return `zero ${r.keptFrom === undefined ? "set" : `kept from piece ${r.keptFrom}`}, the size then ${size(r.sizeAtZero)}`;
    case "tick": {
      const axis = /^zero-([xyz])$/.exec(r.tick)?.[1];
      return r.keptFrom === undefined || !axis
        ? null
        : `${axis.toUpperCase()} zero kept from piece ${r.keptFrom}`;
    }
    case "reading": {
      const by = shop.instruments.find((i) => i.id === r.instrument)?.name;
      const spot = r.spot ? ` at the ${spotWords(r.spot)}` : "";
      return `${r.of.replace("/", " ")} read ${size(r.value)}${spot}${by ? `, ${by}` : ""}`;
    }
    case "measured":
      return r.skipped ? "a reading was left out" : null;
    case "cleanup":
      if (r.clean) return "clean all over";
      if (!r.raw?.length) return "not clean yet";
      return `clean to about ${cleanShare(r.raw)} %, raw at the ${r.raw.map(spotWords).join(", ")}${r.deep === undefined ? "" : `, ${size(r.deep)} deep`}`;
    case "stale":
      return `zero stale: ${r.cause}`;
    case "changed":
      return r.changes.map((c) => `${c.path.replaceAll("/", " ")} changed`).join("; ");
    case "note":
      return r.text;
    case "accepted":
      return `${r.of.replace("/", " ")} accepted as it is`;
    case "stopAt":
      return `stop noted at X ${size(r.value)}`;
    case "aligned":
      return `indicator ${size(r.start)} at one end, ${size(r.end)} at the other`;
    case "gauged":
      return `${r.of.replace("/", " ")} tried: ${r.answer === "passes" ? "passes" : `too ${r.answer}`}${r.where ? `, ${r.where}` : ""}${r.play === undefined ? "" : `, play ${size(r.play)}`}`;
    case "byHand":
      return `${r.of.replace("/", " ")} ${r.how} by hand`;
    case "scrapped":
      return "scrapped";
    case "rework":
      return `${r.of.replace("/", " ")} cut once more: ${size(r.left)} was left`;
    default:
      return null;
  }
}
