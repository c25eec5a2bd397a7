import { Alert, type AlertRootProps } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { Severity, Warning } from "../../core/working/index.ts";
import { Words } from "./words.tsx";

const looks: Record<Severity | "good", { status: AlertRootProps["status"]; shape: string; word: string }> = {
  note: { status: "info", shape: "●", word: "Note" },
  warn: { status: "warning", shape: "▲", word: "Take care" },
  stop: { status: "error", shape: "■", word: "Stop" },
  good: { status: "success", shape: "✓", word: "Good" },
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
  const { status, shape, word } = looks[severity];
  return (
    <Alert.Root status={status} role={role}>
      <Alert.Indicator>
        <span aria-hidden="true">{shape} </span>
        {word}.
      </Alert.Indicator>
      <Alert.Content>{children}</Alert.Content>
    </Alert.Root>
  );
}

export function Warnings({ of }: { of: Warning[] }) {
  return of.map((warning, i) => (
    <Notice key={`${warning.phrase.id ?? ""}${i}`} severity={warning.severity}>
      <Words of={warning.phrase} />
    </Notice>
  ));
}
