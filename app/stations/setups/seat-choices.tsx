import type { Seat } from "../../../core/holding/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import type { useOverrides } from "../../instruments/use-overrides.ts";

type Own = ReturnType<typeof useOverrides>;

/** The parallels a part is wanted on. */
export function ParallelsChoice({ seat, own }: { seat: Pick<Seat, "parallels">; own: Own }) {
  const { shop, reason } = useJob();
  return (
    <Choice
      label="Parallels"
      value={seat.parallels?.id ?? ""}
      empty="none, on the bed"
      options={shop.parallels.map((p) => [p.id, p.name] as const)}
      onChoose={(id) => own.set([["parallels", id]], reason || "by choice")}
    />
  );
}

/** Paper between the part and what holds it. */
export function PackingChoice({ seat, own, label }: { seat: Pick<Seat, "paper">; own: Own; label: string }) {
  const { reason } = useJob();
  return (
    <Choice<"metal" | "paper">
      label={label}
      value={seat.paper ? "paper" : "metal"}
      options={[
        ["metal", "nothing"],
        ["paper", "paper, for friction"],
      ]}
      onChoose={(packing) =>
        packing === "paper" ? own.set([["packing", "paper"]], reason || "by choice") : own.takeBack("packing")
      }
    />
  );
}

/** A stop the part is set against. */
export function StopChoice({ seat, own }: { seat: Pick<Seat, "stop">; own: Own }) {
  const { reason } = useJob();
  return (
    <Choice<"none" | "against">
      label="Stop"
      value={seat.stop ? "against" : "none"}
      options={[
        ["none", "none"],
        ["against", "set against a stop"],
      ]}
      onChoose={(stop) =>
        stop === "against" ? own.set([["stop", stop]], reason || "by choice") : own.takeBack("stop")
      }
    />
  );
}
