import { chakra } from "@chakra-ui/react";
import { useId, useState } from "react";
import { useSubmit } from "./use-submit.ts";

/** A line or paragraph of plain text kept at a path; kept on leaving the field. */
export function TextEntry({
  label,
  path,
  value,
  lines = 1,
  width = "100%",
}: {
  label: string;
  path: string;
  value: string;
  lines?: number;
  width?: string;
}) {
  const id = useId();
  const submit = useSubmit();
  const [text, setText] = useState<string | null>(null);
  const keep = () => {
    if (text !== null && text !== value) void submit.set(path, text);
    setText(null);
  };
  const shared = {
    id,
    value: text ?? value,
    width,
    px: "8px",
    bg: "sheet",
    borderWidth: "1px",
    borderStyle: "solid",
    borderColor: "quiet",
    borderRadius: "sm",
    onBlur: keep,
  } as const;
  return (
    <div>
      <chakra.label htmlFor={id} display="block" fontSize="13px" color="quiet">
        {label}
      </chakra.label>
      {lines > 1 ? (
        <chakra.textarea {...shared} rows={lines} py="6px" onChange={(e) => setText(e.target.value)} />
      ) : (
        <chakra.input
          {...shared}
          minH="36px"
          maxLength={200}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
        />
      )}
    </div>
  );
}
