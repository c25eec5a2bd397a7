import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Severity, Warning } from "../../core/working/index.ts";
import { Words } from "./words.tsx";

const looks: Record<Severity | "good", { bar: string; ground: string; shape: string; word: string }> = {
  note: { bar: "accent", ground: "accentSoft", shape: "●", word: "Note" },
  warn: { bar: "warn", ground: "warnSoft", shape: "▲", word: "Take care" },
  stop: { bar: "stop", ground: "stopSoft", shape: "■", word: "Stop" },
  good: { bar: "good", ground: "goodSoft", shape: "✓", word: "Good" },
};

/** A boxed message: never by color alone, always with a shape and a word. */
export function Notice({
  severity,
  children,
  role,
}: {
  severity: Severity | "good";
  children: ReactNode;
  role?: "alert" | "status";
}) {
  const look = looks[severity];
  return (
    <Box
      role={role}
      borderLeftWidth="5px"
      borderColor={look.bar}
      bg={look.ground}
      px="12px"
      py="8px"
      my="6px"
    >
      <chakra.span color={look.bar} fontWeight="700" mr="8px">
        <span aria-hidden="true">{look.shape} </span>
        {look.word}.
      </chakra.span>
      {children}
    </Box>
  );
}

export function Warnings({ of }: { of: Warning[] }) {
  return of.map((warning, i) => (
    <Notice key={`${warning.phrase.id ?? ""}${i}`} severity={warning.severity}>
      <Words of={warning.phrase} />
    </Notice>
  ));
}
