import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type Material, toolMaterials, wordsFor } from "../../core/handbook/index.ts";
import { quantity, showParts } from "../../core/quantity/index.ts";
import { TopLine } from "../frame/top-line.tsx";
import { Field } from "../instruments/field.tsx";
import { useUnit } from "../instruments/local-setting.ts";
import { Notice } from "../instruments/notice.tsx";
import { StationTitle, Table } from "../instruments/section.tsx";

/** Workshop materials with speed ranges per tool material, force values, behavior and source. */
export function MaterialsTable({ materials }: { materials: Material[] }) {
  const [unit] = useUnit();
  const [search, setSearch] = useState("");
  const wanted = search.trim().toLowerCase();
  const shown = materials.filter((m) => `${m.name} ${m.group} ${m.behavior}`.toLowerCase().includes(wanted));
  const speed = ([low, high]: [number, number]) => {
    const a = showParts(quantity("cuttingSpeed", low), unit, 0);
    const b = showParts(quantity("cuttingSpeed", high), unit, 0);
    return `${a.number}–${b.number}`;
  };
  return (
    <>
      <TopLine place="Handbook: materials" />
      <Box as="main" px={{ base: "14px", md: "28px" }} py="18px" maxW="1240px">
        <StationTitle above="Handbook">Materials</StationTitle>
        <chakra.p mb="10px" color="quiet">
          Cutting speeds are conservative starting points in {unit === "mm" ? "m/min" : "ft/min"}; published
          values spread by about 40 % either way. The cutter maker's data and your machine's manual come
          first.
        </chakra.p>
        <Field
          label="Search"
          type="search"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
          width="min(320px, 100%)"
        />
        {shown.length === 0 ? (
          <Notice severity="note">
            No material here has "{search}" in its name or behavior. Try a shorter word.
          </Notice>
        ) : (
          <Table
            label="Materials"
            head={[
              "material",
              ...toolMaterials.map((t) => wordsFor.toolMaterial[t]),
              "kc1.1, mc",
              "density",
              "fluid",
              "how it behaves",
            ]}
          >
            {shown.map((m) => (
              <tr key={m.id} id={m.id}>
                <th scope="row">
                  <chakra.span color="ink" fontSize="14.5px">
                    {m.name}
                  </chakra.span>
                </th>
                {toolMaterials.map((t) => (
                  <chakra.td key={t} whiteSpace="nowrap">
                    {speed(m.speeds[t])}
                  </chakra.td>
                ))}
                <chakra.td whiteSpace="nowrap">
                  {m.kc11}, {m.mc}
                </chakra.td>
                <chakra.td whiteSpace="nowrap">{m.density} kg/m³</chakra.td>
                <td>{m.fluid}</td>
                <td>
                  {m.behavior} {m.workHardens && <b>Work-hardens.</b>}{" "}
                  {m.caution && <chakra.b color="warn">▲ {m.caution}</chakra.b>}
                  <chakra.span display="block" fontSize="12px" color="quiet">
                    {m.source}
                  </chakra.span>
                </td>
              </tr>
            ))}
          </Table>
        )}
      </Box>
    </>
  );
}
