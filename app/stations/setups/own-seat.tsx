import { Box } from "@chakra-ui/react";
import { axisOf, type Face, faceNames } from "../../../core/frame/index.ts";
import { faceCalled } from "../../../core/holding/index.ts";
import type { Setup } from "../../../core/route/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { NotTaken } from "../../instruments/not-taken.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Section } from "../../instruments/section.tsx";
import { useOverrides } from "../../instruments/use-overrides.ts";

/** How the person wants this setup held: the face at the fixed jaw, the parallels; the rest of the plan follows. */
export function OwnSeat({ setup }: { setup: Setup }) {
  const { shop, reason } = useJob();
  const own = useOverrides(setup.key);
  const reports = (["fixed", "parallels", "packing"] as const).flatMap((what) => own.reportOf(what) ?? []);
  const beside = faceNames.filter((f) => axisOf(f) !== axisOf(setup.at.up));
  return (
    <Section title="Held another way">
      {own.refused && <NotTaken />}
      {reports.map((report) => (
        <OverrideNotice
          key={report.override.id}
          report={report}
          onUndo={() => own.takeBack(report.override.what)}
        />
      ))}
      <Box display="flex" gap="14px" flexWrap="wrap" className="no-print">
        {setup.cut.kind !== "side" && (
          <Choice<Face>
            label="At the fixed jaw"
            value={setup.seat.fixed}
            options={beside.map((f) => [f, `${faceCalled(setup.before, f)}`] as const)}
            onChoose={(face) => own.set([["fixed", face]], reason || "by choice")}
          />
        )}
        <Choice
          label="Parallels"
          value={setup.seat.parallels?.id ?? ""}
          empty="none, on the bed"
          options={shop.parallels.map((p) => [p.id, p.name] as const)}
          onChoose={(id) => own.set([["parallels", id]], reason || "by choice")}
        />
        <Choice<"metal" | "paper">
          label="Between part and jaws"
          value={setup.seat.paper ? "paper" : "metal"}
          options={[
            ["metal", "nothing"],
            ["paper", "paper, for friction"],
          ]}
          onChoose={(packing) =>
            packing === "paper"
              ? own.set([["packing", "paper"]], reason || "by choice")
              : own.takeBack("packing")
          }
        />
      </Box>
    </Section>
  );
}
