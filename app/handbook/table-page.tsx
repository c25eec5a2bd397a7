import { chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { HandbookTable, TableCell } from "../../core/handbook/index.ts";
import { Field } from "../instruments/field.tsx";
import { Notice } from "../instruments/notice.tsx";
import { StationTitle, Table } from "../instruments/section.tsx";
import { HandbookFrame } from "./handbook-frame.tsx";

const unitWords = { mm: "All in mm, as published.", in: "All in inches, as published.", µm: "Limits in µm." };

/** Up to four decimals, no zeros that say nothing. */
const figure = (value: number): string => String(Math.round(value * 1e4) / 1e4).replace("-", "−");
const signed = (value: number): string => (value > 0 ? `+${figure(value)}` : figure(value));

function cellText(cell: TableCell): string {
  if (cell === null) return "–";
  if (typeof cell === "string") return cell;
  if (typeof cell === "number") return figure(cell);
  if ("upper" in cell) return `${signed(cell.upper)} / ${signed(cell.lower)}`;
  return "over" in cell
    ? `over ${figure(cell.over)} to ${figure(cell.to)}`
    : `${figure(cell.from)} to ${figure(cell.to)}`;
}

/** A row that a number falls into, or that has the text in it. */
function matches(row: readonly TableCell[], wanted: string): boolean {
  if (wanted === "") return true;
  const size = Number(wanted.replace(",", "."));
  const [first] = row;
  if (Number.isFinite(size) && first !== null && typeof first === "object" && "over" in first)
    return size > first.over && size <= first.to;
  return row.some((cell) => cellText(cell).toLowerCase().includes(wanted));
}

/** One published table, searchable by text, or by a size that falls into a row. */
export function TablePage({ table }: { table: HandbookTable }) {
  const [search, setSearch] = useState("");
  const wanted = search.trim().toLowerCase();
  const shown = table.rows.filter((row) => matches(row, wanted));
  return (
    <HandbookFrame place={table.title.toLowerCase()}>
      <StationTitle above="Handbook · Tables">{table.title}</StationTitle>
      <chakra.p mb="10px" color="quiet">
        {table.what} {unitWords[table.unit]} Source: {table.source}; your own copy of the standard comes
        first.
      </chakra.p>
      <Field
        label="Search, or a size"
        type="search"
        value={search}
        onChange={(e) => setSearch(e.target.value)}
        width="min(320px, 100%)"
      />
      {shown.length === 0 ? (
        <Notice severity="note">
          No row here for "{search}". Try another size, or the table in the other unit.
        </Notice>
      ) : (
        <Table label={table.title} head={[...table.head]}>
          {shown.map((row, i) => (
            <tr key={i}>
              {row.map((cell, k) =>
                k === 0 ? (
                  <chakra.th key={k} scope="row" whiteSpace="nowrap">
                    <chakra.span color="ink" fontSize="14.5px">
                      {cellText(cell)}
                    </chakra.span>
                  </chakra.th>
                ) : (
                  <chakra.td key={k} whiteSpace="nowrap">
                    {cellText(cell)}
                  </chakra.td>
                ),
              )}
            </tr>
          ))}
        </Table>
      )}
      {table.notes.map((note) => (
        <chakra.p key={note} mt="8px">
          {note}
        </chakra.p>
      ))}
    </HandbookFrame>
  );
}
