import { Box, chakra, Table as ChakraTable } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Input } from "./field.tsx";

/** The heading of a station: what it asks, in large letters. */
export function StationTitle({ above, children }: { above?: ReactNode; children: ReactNode }) {
  return (
    <Box mb="8px">
      {above && (
        <chakra.p fontSize="13.5px" color="quiet" fontWeight="600">
          {above}
        </chakra.p>
      )}
      <chakra.h1 fontSize={{ base: "20px", md: "24px" }}>{children}</chakra.h1>
    </Box>
  );
}

export function Section({ title, children }: { title: ReactNode; children: ReactNode }) {
  return (
    <Box as="section" mt="14px">
      <chakra.h2 fontSize="14px" color="quiet" mb="6px">
        {title}
      </chakra.h2>
      {children}
    </Box>
  );
}

/** A table that scrolls by itself when it is too wide. */
export function Table({
  head,
  children,
  label,
  maxH,
  figures = none,
  sorted = null,
}: {
  head: ReactNode[];
  children: ReactNode;
  label: string;
  /** A long one scrolls by itself on screen; printed it is whole. */
  maxH?: string;
  /** Columns of numbers, counted from 0: aligned at the right, so that points stand below each other. */
  figures?: readonly number[];
  /** The column it is sorted by. */
  sorted?: { column: number; down: boolean } | null;
}) {
  const atThePoint = figures.map((i) => `& tr > :nth-child(${i + 1})`).join(", ");
  return (
    <ChakraTable.ScrollArea
      whiteSpace="normal"
      // What is only heard is placed within it, and stretches no page.
      position="relative"
      overflow="auto"
      maxH={maxH ? { base: maxH, _print: "none" } : undefined}
      tabIndex={0}
      role="region"
      aria-label={label}
    >
      <ChakraTable.Root
        css={atThePoint ? { [atThePoint]: { textAlign: "right", whiteSpace: "nowrap" } } : {}}
      >
        {head.some((cell) => cell !== "") && (
          <ChakraTable.Header {...(maxH ? { position: "sticky", top: "0", bg: "ground", zIndex: "1" } : {})}>
            <tr>
              {head.map((cell, i) =>
                cell === "" ? (
                  <td key={i} />
                ) : (
                  <th
                    key={i}
                    scope="col"
                    aria-sort={sorted?.column === i ? (sorted.down ? "descending" : "ascending") : undefined}
                  >
                    {cell}
                  </th>
                ),
              )}
            </tr>
          </ChakraTable.Header>
        )}
        <ChakraTable.Body>{children}</ChakraTable.Body>
      </ChakraTable.Root>
    </ChakraTable.ScrollArea>
  );
}

const none: readonly number[] = [];

/** Once a cut was made, every change is logged with a reason. */
export function ReasonLine({ reason, onReason }: { reason: string; onReason: (reason: string) => void }) {
  return (
    <Box borderLeftWidth="5px" borderColor="accent" bg="accentSoft" px="12px" py="8px" mb="12px">
      <chakra.label fontSize="14px">
        Metal has been cut, so a change here is logged. Why the change?{" "}
        <Input
          value={reason}
          maxLength={200}
          onChange={(e) => onReason(e.target.value)}
          width="min(320px, 100%)"
        />
      </chakra.label>
    </Box>
  );
}
