import type { Seat } from "../../../core/holding/index.ts";
import { Choice } from "../../instruments/choice.tsx";
import { useJob } from "../../instruments/job-context.tsx";
import type { useOverrides } from "../../instruments/use-overrides.ts";
import { isStack, parallelsById } from "../../../core/shop/index.ts";
import { heldOn, type HoldingWay, holdingWays, holdingWayWords } from "../../../core/route/index.ts";

type Own = ReturnType<typeof useOverrides>;

/** What holds the part while features are cut. */
export function HeldOnChoice({ seat, own }: { seat: Pick<Seat, "table">; own: Own }) {
  const { reason } = useJob();
  return (
    <Choice<HoldingWay>
      label="Held by"
      value={heldOn(seat)}
      options={holdingWays.map((way) => [way, holdingWayWords[way]] as const)}
      onChoose={(way) => own.set([["on", way]], reason || "by choice")}
    />
  );
}

/** The parallels a part is wanted on. */
export function ParallelsChoice({ seat, own }: { seat: Pick<Seat, "parallels">; own: Own }) {
  const { shop, reason } = useJob();
  const now = parallelsById(shop.parallels, seat.parallels?.id);
  const offered = now && isStack(now.id) ? [...shop.parallels, now] : shop.parallels;
  return (
    <Choice
      label="Parallels"
      value={seat.parallels?.id ?? ""}
      empty="none, on the bed"
      options={offered.map((p) => [p.id, p.name] as const)}
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
