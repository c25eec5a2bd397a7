import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Input } from "./field.tsx";

/** The heading of a station: what it asks, in large letters. */
export function StationTitle({ above, children }: { above?: ReactNode; children: ReactNode }) {
  return (
    <Box mb="12px">
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
    <Box as="section" mt="18px">
      <chakra.h2 fontSize="14px" color="quiet" mb="6px">
        {title}
      </chakra.h2>
      {children}
    </Box>
  );
}

/** A table that scrolls by itself when it is too wide. */
export function Table({ head, children, label }: { head: ReactNode[]; children: ReactNode; label: string }) {
  return (
    <Box overflowX="auto" tabIndex={0} role="region" aria-label={label}>
      <chakra.table
        width="100%"
        borderCollapse="collapse"
        fontSize="14.5px"
        css={{
          "& td, & th": {
            padding: "6px 10px 6px 0",
            borderBottom: "1px solid var(--chakra-colors-rule)",
            textAlign: "left",
            verticalAlign: "top",
          },
          "& th": { fontSize: "12.5px", color: "var(--chakra-colors-quiet)", fontWeight: 600 },
        }}
      >
        {head.some((cell) => cell !== "") && (
          <thead>
            <tr>
              {head.map((cell, i) =>
                cell === "" ? (
                  <td key={i} />
                ) : (
                  <th key={i} scope="col">
                    {cell}
                  </th>
                ),
              )}
            </tr>
          </thead>
        )}
        <tbody>{children}</tbody>
      </chakra.table>
    </Box>
  );
}

/** Once a cut was made, every change is logged with a reason. */
export function ReasonLine({ reason, onReason }: { reason: string; onReason: (reason: string) => void }) {
  return (
    <Box borderLeftWidth="5px" borderColor="accent" bg="accentSoft" px="12px" py="8px" mb="12px">
      <chakra.label fontSize="14px">
        Metal has been cut: a change here is logged. Why do you change it?{" "}
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
