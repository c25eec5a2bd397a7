import { useId, useState } from "react";
import { Input, Labeled, TextArea } from "./field.tsx";
import { useSubmit } from "./use-submit.ts";

/** A line or paragraph of plain text kept at a path; kept on leaving the field. */
export function TextEntry({
  label,
  path,
  value,
  lines = 1,
  type = "text",
}: {
  label: string;
  path: string;
  value: string;
  lines?: number;
  type?: "text" | "date";
}) {
  const id = useId();
  const submit = useSubmit();
  const [text, setText] = useState<string | null>(null);
  // What was sent stands here until it shows; what the browser did not keep stays, and leaving the field sends it again.
  const [sent, setSent] = useState<{ text: string; over: string } | null>(null);
  const refused = submit.answer !== undefined && !submit.answer.ok && !submit.lost && !submit.busy;
  const shown = text ?? (sent?.over === value && !refused ? sent.text : value);
  const keep = () => {
    if (shown !== value) {
      setSent({ text: shown, over: value });
      void submit.set(path, shown);
    }
    setText(null);
  };
  const shared = { id, value: shown, width: "100%", onBlur: keep } as const;
  return (
    <Labeled label={label} htmlFor={id}>
      {lines > 1 ? (
        <TextArea {...shared} rows={lines} py="6px" onChange={(e) => setText(e.target.value)} />
      ) : (
        <Input
          {...shared}
          type={type}
          maxLength={200}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
        />
      )}
    </Labeled>
  );
}
