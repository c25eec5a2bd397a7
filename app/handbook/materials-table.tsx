import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link, useFetcher, useNavigate } from "react-router";
import { type MarkedMaterial, materialById, type Range, wordsFor } from "../../core/handbook/index.ts";
import { quantity, showParts } from "../../core/quantity/index.ts";
import { newId } from "../../store/index.ts";
import { Button } from "../instruments/button.tsx";
import { DataTable, type Sorted } from "../instruments/data-table.tsx";
import { Field } from "../instruments/field.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { Notice } from "../instruments/notice.tsx";
import { StationTitle } from "../instruments/section.tsx";
import { HandbookFrame } from "./handbook-frame.tsx";
import { materialPath } from "./material-path.ts";

const columns = ["hss", "cobalt", "carbide", "coatedCarbide"] as const;
const heads: Partial<Record<(typeof columns)[number], string>> = { hss: "HSS", cobalt: "cobalt, coated HSS" };

/** Workshop materials with speed ranges per tool material, force values, behavior and source. */
export function MaterialsTable({ materials }: { materials: MarkedMaterial[] }) {
  const [unit] = useUnit();
  const [search, setSearch] = useState("");
  const fetcher = useFetcher();
  const navigate = useNavigate();
  const [sorted, setSorted] = useState<Sorted>(null);
  const speed = ([low, high]: Range) => {
    const a = showParts(quantity("cuttingSpeed", low), unit, 0);
    const b = showParts(quantity("cuttingSpeed", high), unit, 0);
    return `${a.number}–${b.number}`;
  };
  const add = async () => {
    const id = newId();
    const material = { ...materialById("steel-unknown")!, id, name: "New material", source: "own" };
    await fetcher.submit({ id, material, leave: false } as never, {
      method: "post",
      action: "/handbook/materials/own",
      encType: "application/json",
    });
    void navigate(materialPath({ id, own: "added" }));
  };
  return (
    <HandbookFrame place="materials">
      <StationTitle above="Handbook">Materials</StationTitle>
      <chakra.p mb="10px" color="quiet">
        Cutting speeds, {unit === "mm" ? "m/min" : "ft/min"}, are conservative starting points: bands where
        handbooks overlap; published values spread by about 40 % either way. The cutter maker's data and your
        machine's manual come first. ◆ marks what is yours.
      </chakra.p>
      <Box display="flex" gap="10px" alignItems="flex-end" flexWrap="wrap" className="no-print">
        <Field
          label="Search"
          type="search"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
          width="min(320px, 100%)"
        />
        <Button onClick={() => void add()}>Add a material</Button>
      </Box>
      <DataTable
        label="Materials"
        rows={materials}
        keyOf={(m) => m.id}
        search={search}
        holds={(m, wanted) => `${m.name} ${m.group} ${m.behavior}`.toLowerCase().includes(wanted)}
        sorted={sorted}
        onSort={setSorted}
        none={
          <Notice severity="note">
            No material here has "{search}" in its name or behavior. Try a shorter word.
          </Notice>
        }
        maxH="calc(100vh - 270px)"
        columns={[
          { id: "name", head: "material", value: (m) => m.name, cell: (m) => <MaterialName of={m} /> },
          ...columns.map((t) => ({
            id: t,
            head: heads[t] ?? wordsFor.toolMaterial[t],
            value: (m: MarkedMaterial) => m.speeds[t][0],
            cell: (m: MarkedMaterial) => speed(m.speeds[t]),
            figure: true,
          })),
          {
            id: "kc11",
            head: "kc1.1, mc",
            value: (m) => m.kc11,
            cell: (m) => `${m.kc11}, ${m.mc}`,
            figure: true,
          },
          { id: "fluid", head: "fluid", value: (m) => m.fluid },
          {
            id: "behavior",
            head: "how it behaves",
            value: (m) => m.behavior,
            cell: (m) => (
              <>
                {m.behavior} {m.workHardens && <b>Work-hardens.</b>}{" "}
                {m.caution && <chakra.b color="warn">▲ {m.caution}</chakra.b>}
              </>
            ),
          },
        ]}
      />
    </HandbookFrame>
  );
}

/** A material by its name, marked where it is the person's own. */
function MaterialName({ of: m }: { of: MarkedMaterial }) {
  return (
    <>
      <Link to={materialPath(m)} style={{ textDecoration: "underline" }}>
        <chakra.span color="ink" fontSize="14.5px">
          {m.name}
        </chakra.span>
      </Link>
      {m.own && (
        <chakra.span color="accent" display="block" fontSize="12.5px">
          ◆ {m.own === "added" ? "added by you" : "changed by you"}
        </chakra.span>
      )}
    </>
  );
}
