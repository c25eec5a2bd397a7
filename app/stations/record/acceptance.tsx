import { Box } from "@chakra-ui/react";
import { useState } from "react";
import type { Requirement } from "../../../core/plan/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";

/** What is not good accepted as it is, with the reason that goes into the record; or taken back. */
export function Acceptance({ of: r }: { of: Requirement }) {
  const submit = useSubmit();
  const [reason, setReason] = useState("");
  const { accepted } = r;
  if (accepted)
    return (
      <Notice severity="note">
        Accepted as it is: {accepted.reason}. Its verdict stays on the sheet.{" "}
        <Button onClick={() => void submit.append({ type: "withdrawn", of: accepted.id })}>
          Take that back
        </Button>
      </Notice>
    );
  if (!r.verdict || r.verdict.verdict === "good") return null;
  const accept = () => {
    if (reason.trim() !== "") void submit.append({ type: "accepted", of: r.of, reason: reason.trim() });
  };
  return (
    <Box display="flex" gap="8px" alignItems="flex-end" mt="8px" className="no-print">
      <Field
        label="Accepted by whoever may: who, and why"
        grow
        value={reason}
        onChange={(e) => setReason(e.target.value)}
        onKeyDown={(e) => e.key === "Enter" && accept()}
      />
      <Button disabled={reason.trim() === ""} onClick={accept}>
        Accept it
      </Button>
    </Box>
  );
}
