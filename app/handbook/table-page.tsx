import { chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { HandbookTable, TableCell } from "../../core/handbook/index.ts";
import { DataTable, type Sorted } from "../instruments/data-table.tsx";
import { Field } from "../instruments/field.tsx";
import { Notice } from "../instruments/notice.tsx";
import { StationTitle } from "../instruments/section.tsx";
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

/** What a cell is sorted by: a range by where it begins. */
function sortedBy(cell: TableCell): string | number | null {
  if (cell === null || typeof cell !== "object") return cell;
  return "upper" in cell ? cell.upper : "over" in cell ? cell.over : cell.from;
}

/** Limits stand above each other, as on a drawing; the rest is one line. */
const cellShown = (cell: TableCell) =>
  cell !== null && typeof cell === "object" && "upper" in cell ? (
    <>
      {signed(cell.upper)}
      <br />
      {signed(cell.lower)}
    </>
  ) : (
    cellText(cell)
  );

/** A row that a number falls into, or that has the text in it. */
function matches(row: readonly TableCell[], wanted: string): boolean {
  if (wanted === "") return true;
  const size = Number(wanted.replace(",", "."));
  const [first] = row;
  if (Number.isFinite(size) && first !== null && typeof first === "object" && "over" in first)
    return size > first.over && size <= first.to;
  return row.some((cell) => cellText(cell).toLowerCase().includes(wanted));
}

/** A row with what it is known by. */
interface Row {
  id: string;
  cells: readonly TableCell[];
}

/** One published table, searchable by text, or by a size that falls into a row. */
export function TablePage({ table }: { table: HandbookTable }) {
  const [search, setSearch] = useState("");
  const [sorted, setSorted] = useState<Sorted>(null);
  const rows = table.rows.map((cells, i) => ({ id: String(i), cells }));
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
      <DataTable<Row>
        label={table.title}
        rows={rows}
        keyOf={(row) => row.id}
        search={search}
        holds={(row, wanted) => matches(row.cells, wanted)}
        sorted={sorted}
        onSort={setSorted}
        none={
          <Notice severity="note">
            No row here for "{search}". Try another size, or the table in the other unit.
          </Notice>
        }
        maxH="calc(100vh - 270px)"
        columns={table.head.map((head, i) => ({
          id: String(i),
          head,
          value: (row) => sortedBy(row.cells[i] ?? null),
          figure: i > 0 && table.rows.every((r) => typeof r[i] !== "string"),
          cell: (row) => (
            <chakra.span {...(i === 0 ? { color: "ink", fontSize: "14.5px" } : {})} whiteSpace="nowrap">
              {cellShown(row.cells[i] ?? null)}
            </chakra.span>
          ),
        }))}
      />
      {table.notes.map((note) => (
        <chakra.p key={note} mt="8px">
          {note}
        </chakra.p>
      ))}
    </HandbookFrame>
  );
}
