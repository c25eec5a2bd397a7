import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Link, useFetcher, useNavigate } from "react-router";
import { type MarkedMaterial, materialById, type Range, wordsFor } from "../../core/handbook/index.ts";
import { quantity, showParts } from "../../core/quantity/index.ts";
import { newId } from "../../store/index.ts";
import { Button } from "../instruments/button.tsx";
import { Field } from "../instruments/field.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { Notice } from "../instruments/notice.tsx";
import { StationTitle, Table } from "../instruments/section.tsx";
import { HandbookFrame } from "./handbook-frame.tsx";
import { materialPath } from "./material-path.ts";

const columns = ["hss", "cobalt", "carbide", "coatedCarbide"] as const;

/** Workshop materials with speed ranges per tool material, force values, behavior and source. */
export function MaterialsTable({ materials }: { materials: MarkedMaterial[] }) {
  const [unit] = useUnit();
  const [search, setSearch] = useState("");
  const fetcher = useFetcher();
  const navigate = useNavigate();
  const wanted = search.trim().toLowerCase();
  const shown = materials.filter((m) => `${m.name} ${m.group} ${m.behavior}`.toLowerCase().includes(wanted));
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
      {shown.length === 0 ? (
        <Notice severity="note">
          No material here has "{search}" in its name or behavior. Try a shorter word.
        </Notice>
      ) : (
        <Table
          label="Materials"
          head={[
            "material",
            "HSS",
            "cobalt, coated HSS",
            ...columns.slice(2).map((t) => wordsFor.toolMaterial[t]),
            "kc1.1, mc",
            "fluid",
            "how it behaves",
          ]}
        >
          {shown.map((m) => (
            <tr key={m.id} id={m.id}>
              <th scope="row">
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
              </th>
              {columns.map((t) => (
                <chakra.td key={t} whiteSpace="nowrap">
                  {speed(m.speeds[t])}
                </chakra.td>
              ))}
              <chakra.td whiteSpace="nowrap">
                {m.kc11}, {m.mc}
              </chakra.td>
              <td>{m.fluid}</td>
              <td>
                {m.behavior} {m.workHardens && <b>Work-hardens.</b>}{" "}
                {m.caution && <chakra.b color="warn">▲ {m.caution}</chakra.b>}
              </td>
            </tr>
          ))}
        </Table>
      )}
    </HandbookFrame>
  );
}
