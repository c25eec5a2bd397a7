import { Box, chakra } from "@chakra-ui/react";
import { type RefObject, useState } from "react";
import { mm } from "../../../core/quantity/index.ts";
import type { AnyKey } from "../../../core/route/index.ts";
import { cuttingDiameter, speedSpan } from "../../../core/shop/index.ts";
import { words } from "../../../core/working/index.ts";
import { Button } from "../../instruments/button.tsx";
import { Choice } from "../../instruments/choice.tsx";
import { Field } from "../../instruments/field.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import { OverrideNotice } from "../../instruments/override-notice.tsx";
import { Figure } from "../../instruments/words.tsx";
import { type OwnRead, OwnValue, readOwnLength } from "../../instruments/own-value.tsx";
import { useOverrides } from "../../instruments/use-overrides.ts";

/** What is typed as a number. */
const typedKinds = ["speed", "feed", "depth", "finish"] as const;
const nothingTyped = { speed: "", feed: "", depth: "", finish: "" };
type Typed = (typeof typedKinds)[number];

/**
 * Cutter, speed, feed, depths and direction as the person wants them, each with its reason, its consequence and its undo: of a
 * face and of a feature alike.
 */
export function OwnConditions({
  at,
  now,
  cutters,
  speeds,
  asked,
  depthField,
}: {
  at: AnyKey;
  now: { cutter: string; rpm: number; setting: string };
  /** The cutters that can do it, with what is said of each. */
  cutters: readonly (readonly [id: string, name: string])[];
  /** What the machine turns near to what is wanted. */
  speeds: readonly { rpm: number; setting: string }[];
  /** What can be set of it besides cutter, speed and feed. */
  asked: { depth: boolean; direction: boolean };
  depthField?: RefObject<HTMLInputElement | null>;
}) {
  const { shop, job, unit } = useJob();
  const own = useOverrides(at);
  const [reason, setReason] = useState("");
  const [typed, setTyped] = useState<Record<Typed, string>>(nothingTyped);
  const machine = shop.machines.find((m) => m.id === job.machine) ?? shop.machines[0];
  const stepped = machine?.ranges.every((r) => r.speeds.kind === "steps") ?? true;
  const reports = (["cutter", ...typedKinds, "direction"] as const).flatMap(
    (what) => own.reportOf(what) ?? [],
  );

  const readDepth = (text: string) => readOwnLength(text, unit, "Depth must be above zero.");
  const readNumber =
    (factor: number, name: string) =>
    (text: string): OwnRead => {
      const value = Number(text.trim().replace(",", "."));
      return Number.isFinite(value) && value > 0
        ? { ok: true, value: value * factor, said: "" }
        : { ok: false, problem: words(`Type the ${name} as a number.`) };
    };

  const readers: Record<Typed, (text: string) => OwnRead> = {
    speed: readNumber(1, "speed"),
    feed: readNumber(unit === "mm" ? 1 : 25.4, "feed"),
    depth: readDepth,
    finish: readDepth,
  };
  const outcomes = Object.fromEntries(
    typedKinds.map((what) => [what, typed[what].trim() === "" ? null : readers[what](typed[what])]),
  ) as Record<Typed, OwnRead>;
  const ready = typedKinds.flatMap((what) => {
    const outcome = outcomes[what];
    return outcome?.ok ? [[what, outcome.value] as const] : [];
  });
  const wrong = typedKinds.some((what) => outcomes[what]?.ok === false);
  const use = () => {
    if (ready.length > 0 && !wrong)
      own.set(ready, reason, () => {
        setTyped(nothingTyped);
        setReason("");
      });
  };
  const entry = (what: Typed, label: string) => (
    <OwnValue
      label={label}
      text={typed[what]}
      outcome={outcomes[what]}
      onType={(text) => setTyped({ ...typed, [what]: text })}
      onUse={use}
      {...(what === "depth" && depthField ? { fieldRef: depthField } : {})}
    />
  );

  return (
    <Box>
      {reports.map((report) => (
        <OverrideNotice
          key={report.override.id}
          report={report}
          onUndo={() => own.takeBack(report.override.what)}
        />
      ))}
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="8px 18px">
        <Choice
          label="Cutter"
          value={now.cutter}
          options={cutters}
          onChoose={(id) => own.set([["cutter", id]], reason)}
        />
        {stepped ? (
          <Choice
            label="Speed"
            value={String(now.rpm)}
            options={(speeds.some((s) => s.rpm === now.rpm) ? speeds : [now, ...speeds]).map(
              (s) => [String(s.rpm), `${s.rpm} rpm, ${s.setting}`] as const,
            )}
            onChoose={(rpm) => own.set([["speed", Number(rpm)]], reason)}
          />
        ) : (
          entry("speed", `Speed, rpm${machine ? `, ${speedSpan(machine).join(" to ")}` : ""}`)
        )}
        {entry("feed", unit === "mm" ? "Feed, mm/min" : "Feed, in/min")}
        {asked.depth && entry("depth", "Depth per pass")}
        {asked.depth && entry("finish", "Left for the last pass")}
        {asked.direction && (
          <Button
            aria-pressed={own.reportOf("direction") !== undefined}
            onClick={() =>
              own.reportOf("direction")
                ? own.takeBack("direction")
                : own.set([["direction", "climb"]], reason)
            }
          >
            {own.reportOf("direction") ? "Back to conventional" : "Climb cut instead of conventional"}
          </Button>
        )}
        <Box display="flex" gap="8px" alignItems="flex-end">
          <Field
            label="Reason"
            grow
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            onKeyDown={(e) => e.key === "Enter" && use()}
          />
          <Button look="strong" disabled={ready.length === 0 || wrong} onClick={use}>
            Use mine
          </Button>
        </Box>
      </Box>
      <chakra.p fontSize="13px" color="quiet" mt="6px">
        {asked.direction && "Conventional unless you say otherwise. "}
        {shop.cutters
          .filter((c) => c.id === now.cutter)
          .map((c) => (
            <span key={c.id}>
              Out of its holder <Figure of={mm(c.stickout)} />, {(c.stickout / cuttingDiameter(c)).toFixed(1)}{" "}
              × its diameter.
            </span>
          ))}
      </chakra.p>
    </Box>
  );
}
