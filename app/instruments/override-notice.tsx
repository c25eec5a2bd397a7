import type { Override } from "../../core/job/index.ts";
import type { OverrideReport } from "../../core/plan/index.ts";
import { mm, quantity } from "../../core/quantity/index.ts";
import { schoolName } from "../../core/squaring/index.ts";
import { parallelsById, type Shop } from "../../core/shop/index.ts";
import { Button } from "./button.tsx";
import { useJob } from "./job-context.tsx";
import { Notice } from "./notice.tsx";
import { Figure, Words } from "./words.tsx";
import { holdingWayWords } from "../../core/route/index.ts";

const whatWords: Partial<Record<Override["what"], string>> = {
  school: "way of squaring",
  on: "way of holding",
  together: "two in the vise",
  fixed: "seat",
  finish: "last pass",
};
const stateWords = { applied: "applied", impossible: "not applied", withoutObject: "saved for later" };

/** What became of one override, with its undo. */
export function OverrideNotice({ report, onUndo }: { report: OverrideReport; onUndo: () => void }) {
  const { shop } = useJob();
  const { override, state, why } = report;
  return (
    <Notice severity={state === "applied" ? "note" : "stop"}>
      Yours: {whatWords[override.what] ?? override.what} <b>{valueOf(override, shop)}</b>, {stateWords[state]}
      . <Words of={why} /> Reason: {override.reason}.{" "}
      <Button onClick={onUndo}>
        {override.what === "together"
          ? "One at a time"
          : `Back to the plan's ${whatWords[override.what] ?? override.what}`}
      </Button>
    </Notice>
  );
}

function valueOf(override: Override, shop: Shop) {
  switch (override.what) {
    case "depth":
    case "finish":
    case "paper":
      return <Figure of={mm(override.value)} />;
    case "speed":
      return <Figure of={quantity("spindleSpeed", override.value)} />;
    case "feed":
      return <Figure of={quantity("feed", override.value)} />;
    case "cutter":
      return shop.cutters.find((c) => c.id === override.value)?.name ?? override.value;
    case "machine":
      return shop.machines.find((m) => m.id === override.value)?.name ?? override.value;
    case "parallels":
      return parallelsById(shop.parallels, override.value)?.name ?? override.value;
    case "fixed":
      return `${override.value} face at the fixed jaw`;
    case "on":
      return holdingWayWords[override.value];
    case "school":
      return schoolName(override.value).toLowerCase();
    case "ends":
      return override.value === "hung" ? "hung out past the jaws" : "standing upright";
    case "packing":
      return "paper";
    case "jack":
      return "under the end";
    case "stop":
      return "set against the part";
    case "together":
    case "direction":
    case "aim":
      return override.value;
  }
}
