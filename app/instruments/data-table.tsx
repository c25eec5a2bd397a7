import { chakra } from "@chakra-ui/react";
import {
  columnFilteringFeature,
  createFilteredRowModel,
  createSortedRowModel,
  FlexRender,
  globalFilteringFeature,
  rowSortingFeature,
  type SortingState,
  tableFeatures,
  useTable,
} from "@tanstack/react-table";
import { ChevronDown, ChevronUp } from "lucide-react";
import type { ReactNode } from "react";
import { Table } from "./section.tsx";

const features = tableFeatures({
  rowSortingFeature,
  columnFilteringFeature,
  globalFilteringFeature,
  sortedRowModel: createSortedRowModel(),
  filteredRowModel: createFilteredRowModel(),
});

/** What a cell is sorted by; null stands last. */
type Value = string | number | null;

/** A column of a table that sorts and filters. */
export interface DataColumn<Row> {
  id: string;
  head: string;
  value: (row: Row) => Value;
  /** How it is shown; its value where nothing is said. */
  cell?: (row: Row) => ReactNode;
  /** A number: aligned at the point. */
  figure?: boolean;
}

/** By which column a table is sorted, and whether from the top down; null leaves the order as given. */
export type Sorted = { by: string; down: boolean } | null;

/** Numbers by size, words as people sort them, what is not known last in either direction. */
function compared(a: Value, b: Value): number {
  return typeof a === "number" && typeof b === "number"
    ? a - b
    : String(a).localeCompare(String(b), undefined, { numeric: true });
}

/**
 * A table that sorts by the press of a head and shows the rows that hold what is searched. The first cell of a row names it;
 * what can be done with a row stands in its last one.
 */
export function DataTable<Row extends object>({
  label,
  rows,
  columns,
  keyOf,
  search,
  holds,
  sorted,
  onSort,
  actions,
  none,
  maxH,
  rowProps,
}: {
  label: string;
  rows: Row[];
  columns: readonly DataColumn<Row>[];
  keyOf: (row: Row) => string;
  search: string;
  /** Whether a row holds what is searched, in small letters. */
  holds: (row: Row, wanted: string) => boolean;
  sorted: Sorted;
  onSort: (sorted: Sorted) => void;
  actions?: (row: Row) => ReactNode;
  /** What is said when no row holds what is searched. */
  none: ReactNode;
  maxH?: string;
  rowProps?: (row: Row) => { opacity?: number; bg?: string };
}) {
  const wanted = search.trim().toLowerCase();
  const sorting: SortingState = sorted ? [{ id: sorted.by, desc: sorted.down }] : [];
  const table = useTable({
    features,
    data: rows,
    columns: columns.map((column) => ({
      id: column.id,
      // What is not known has no value: it stands last whichever way is sorted.
      accessorFn: (row: Row) => column.value(row) ?? undefined,
      header: () => column.head,
      cell: ({ row }: { row: { original: Row } }) =>
        column.cell ? column.cell(row.original) : (column.value(row.original) ?? "–"),
      sortUndefined: "last" as const,
      sortFn: (a: { original: Row }, b: { original: Row }) =>
        compared(column.value(a.original), column.value(b.original)),
      enableGlobalFilter: true,
    })),
    getRowId: keyOf,
    globalFilterFn: (row: { original: Row }) => holds(row.original, wanted),
    getColumnCanGlobalFilter: () => true,
    enableSortingRemoval: false,
    state: { sorting, globalFilter: wanted },
    onSortingChange: (next) => {
      const [first] = typeof next === "function" ? next(sorting) : next;
      onSort(first ? { by: first.id, down: first.desc } : null);
    },
  });
  const shown = table.getRowModel().rows;
  if (shown.length === 0) return <>{none}</>;
  const heads = table.getHeaderGroups()[0]?.headers ?? [];
  return (
    <Table
      label={label}
      {...(maxH ? { maxH } : {})}
      figures={columns.flatMap((c, i) => (c.figure ? [i] : []))}
      head={[
        ...heads.map((header, i) => {
          const by = sorted?.by === header.id ? sorted : null;
          const Arrow = by?.down ? ChevronDown : ChevronUp;
          return (
            <chakra.button
              key={header.id}
              type="button"
              fontWeight="600"
              color="quiet"
              cursor="pointer"
              minH="28px"
              textAlign="inherit"
              aria-label={`Sort by ${columns[i]?.head ?? header.id}`}
              onClick={() => onSort({ by: header.id, down: by !== null && !by.down })}
            >
              <FlexRender header={header} />
              {by && <Arrow size={13} aria-hidden="true" style={{ display: "inline", marginLeft: 3 }} />}
            </chakra.button>
          );
        }),
        ...(actions ? [""] : []),
      ]}
      sorted={sorted && { column: heads.findIndex((h) => h.id === sorted.by), down: sorted.down }}
    >
      {shown.map((row) => (
        <chakra.tr key={row.id} id={row.id} {...rowProps?.(row.original)}>
          {row.getAllCells().map((cell, i) =>
            i === 0 ? (
              <th key={cell.id} scope="row">
                <FlexRender cell={cell} />
              </th>
            ) : (
              <td key={cell.id}>
                <FlexRender cell={cell} />
              </td>
            ),
          )}
          {actions && (
            <chakra.td className="no-print" whiteSpace="nowrap" textAlign="right">
              {actions(row.original)}
            </chakra.td>
          )}
        </chakra.tr>
      ))}
    </Table>
  );
}
