import { Box, chakra } from "@chakra-ui/react";
import { type RefObject, useId, useState } from "react";
import { type Change, changeOf } from "../../../core/job/index.ts";
import { mm, parseLength } from "../../../core/quantity/index.ts";
import type { Setup } from "../../../core/route/index.ts";
import { entryProblem } from "../../../core/working/index.ts";
import { newId } from "../../../store/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { Notice } from "../../instruments/notice.tsx";
import { understoodAs } from "../../instruments/number-entry.tsx";
import { useSubmit } from "../../instruments/use-submit.ts";
import { Figure, Words } from "../../instruments/words.tsx";

/** One override end to end: the depth of a pass with its reason; it survives a replan and can be taken back. */
export function OwnDepth({
  setup,
  fieldRef,
}: {
  setup: Setup;
  fieldRef: RefObject<HTMLInputElement | null>;
}) {
  const { job, plan, unit } = useJob();
  const submit = useSubmit();
  const id = useId();
  const report = plan.overrides.find((o) => o.override.at === setup.key);
  const [text, setText] = useState("");
  const [why, setWhy] = useState("");
  const read = text.trim() === "" ? null : parseLength(text, unit);
  const usable = read?.ok && read.value > 0;

  const keep = () => {
    if (!read?.ok || !usable) return;
    const old = report?.override;
    const overrideId = old?.id ?? newId();
    const made = {
      id: overrideId,
      at: setup.key,
      what: "depth",
      value: read.value,
      reason: why.trim() || "no reason given",
      since: new Date().toISOString(),
    };
    const changes: Change[] = [changeOf(job, `overrides/byId/${overrideId}`, made)];
    if (!old) changes.push(changeOf(job, "overrides/order", [...job.overrides.order, overrideId]));
    void submit.change(changes);
    setText("");
    setWhy("");
  };
  const takeBack = () => {
    if (!report) return;
    const { id: overrideId } = report.override;
    void submit.change([
      changeOf(job, `overrides/byId/${overrideId}`, null),
      changeOf(
        job,
        "overrides/order",
        job.overrides.order.filter((o) => o !== overrideId),
      ),
    ]);
  };

  return (
    <Box>
      {report && (
        <Notice severity={report.state === "applied" ? "note" : "stop"}>
          Yours:{" "}
          <b>
            <Figure of={mm(report.override.value)} />
          </b>
          ,{" "}
          {report.state === "applied"
            ? "applied. "
            : report.state === "impossible"
              ? "not applied. "
              : "kept for later. "}
          <Words of={report.why} /> Reason: {report.override.reason}.{" "}
          <Button onClick={takeBack}>Back to the plan's depth</Button>
        </Notice>
      )}
      <Box display="flex" gap="10px" flexWrap="wrap" alignItems="flex-end">
        <Field
          label="Depth"
          figure
          ref={fieldRef}
          width="110px"
          value={text}
          onChange={(e) => setText(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && keep()}
          aria-invalid={read !== null && !usable}
          aria-describedby={`${id}-said`}
        />
        <Field
          label="Reason"
          grow
          value={why}
          onChange={(e) => setWhy(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && keep()}
        />
        <Button look="strong" disabled={!usable} onClick={keep}>
          Use mine
        </Button>
      </Box>
      <chakra.p
        id={`${id}-said`}
        role="status"
        fontSize="12.5px"
        minH="18px"
        color={read && !usable ? "stop" : "quiet"}
      >
        {read && !read.ok ? (
          <Words of={entryProblem(read.problem)} />
        ) : read?.ok && !usable ? (
          "A depth must be more than nothing."
        ) : read?.ok ? (
          understoodAs({ nominal: read.value, upper: null, lower: null, fit: null, written: { text, unit } })
        ) : (
          ""
        )}
      </chakra.p>
    </Box>
  );
}
