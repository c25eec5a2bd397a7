import { axisNames } from "../frame/index.ts";
import { blockedFeatures, type DrawingFinding, stopsPlan } from "../part/index.ts";
import { mm, quantity } from "../quantity/index.ts";
import { faceOf, faceSetupsOf, featureSetupsOf } from "../route/index.ts";
import { counted, say, words } from "../working/index.ts";
import type { Job } from "../job/index.ts";
import type { Plan } from "./plan.ts";

type Planned = Omit<Plan, "status">;

/** What every station says of a plan in a line. */
export const statusOf = (job: Job, made: Planned): Plan["status"] =>
  job.part.shaft ? shaftStatus(job, made) : blockStatus(job, made);

/** How many features the drawing has, and how many of them cannot be cut as drawn, for its status line. */
function featureCount(job: Job, findings: readonly DrawingFinding[]): string {
  const count = job.part.features.order.length;
  const blocked = Object.keys(blockedFeatures(findings)).length;
  const all = count === 0 ? "" : `, ${counted(count, "feature")}`;
  return blocked === 0 ? all : `${all}, ${blocked} to correct`;
}

/** A shaft comes turned: what its stations say in a line. */
function shaftStatus(job: Job, made: Planned): Plan["status"] {
  const stops = made.findings.filter(stopsPlan).length;
  const sections = job.part.shaft?.order ?? [];
  const measured = sections.filter((id) => job.stock.turned[id]).length;
  return {
    drawing:
      stops > 0
        ? say`${stops} still to fill in`
        : say`shaft, ${counted(sections.length, "section")}${featureCount(job, made.findings)}`,
    stock: say`turned, ${measured} of ${sections.length} measured`,
    ...featureStatus(made),
    setups: made.features
      ? made.setups.length > 0
        ? say`${counted(made.setups.length, "setup")}, ${quantity("time", made.minutes.total)}`
        : words("nothing can be cut")
      : words("a shaft is not squared"),
  };
}

/** What machine, cuts and record say in a line. */
function featureStatus(made: Planned): Pick<Plan["status"], "cuts" | "machine" | "record"> {
  const judged = made.requirements.filter((r) => r.verdict !== null);
  const wanted = made.requirements.filter((r) => r.required || r.verdict).length;
  const bad = judged.filter((r) => r.verdict?.verdict !== "good" && !r.accepted).length;
  const done = made.steps.filter((s) => s.done).length;
  const passes = faceSetupsOf(made.setups).reduce((sum, s) => sum + faceOf(s).cut.passes.length, 0);
  const operations = featureSetupsOf(made.setups).reduce((sum, s) => sum + s.operations.length, 0);
  return {
    cuts:
      passes + operations > 0
        ? operations > 0
          ? say`${passes > 0 ? `${passes} passes, ` : ""}${operations} operations, ${quantity("time", made.minutes.cutting)}`
          : say`${passes} passes, ${quantity("time", made.minutes.cutting)} cutting`
        : words("no passes yet"),
    machine:
      made.steps.length === 0
        ? words("no steps yet")
        : made.current >= made.steps.length
          ? words("all steps done")
          : done === 0
            ? say`${made.steps.length} steps, not begun`
            : say`step ${made.current + 1} of ${made.steps.length}`,
    record:
      judged.length === 0
        ? say`0 of ${wanted} judged`
        : bad > 0
          ? say`${judged.length} of ${wanted} judged, ${bad} not good`
          : say`${judged.length} of ${wanted} good`,
  };
}

function blockStatus(job: Job, made: Planned): Plan["status"] {
  const stops = made.findings.filter(stopsPlan).length;
  const own = axisNames.filter((axis) => typeof job.part.sizes[axis]?.upper === "number").length;
  const tightest = made.spares
    ? axisNames
        .map((a) => made.spares![a])
        .filter((s) => Number.isFinite(s.spare))
        .sort((a, b) => a.spare - a.skins - (b.spare - b.skins))[0]
    : undefined;
  return {
    drawing:
      stops > 0
        ? say`${stops} still to fill in`
        : say`3 sizes, ${own} with own limits${featureCount(job, made.findings)}`,
    stock:
      made.spares === null
        ? words("after the drawing")
        : made.spareVerdict === "unmeasured"
          ? words("not measured yet")
          : made.spareVerdict === "short"
            ? say`not enough ${tightest?.axis ?? "metal"}`
            : say`${mm(tightest?.spare ?? 0)} spare on the ${tightest?.axis ?? ""}${made.spareVerdict === "tight" ? ", tight" : ""}`,
    setups: made.refusal
      ? say`stops at cut ${made.refusal.number}`
      : made.setups.length > 0
        ? say`${made.setups.at(-1)?.clamping ?? 0} setups, ${quantity("time", made.minutes.total)}`
        : words("after the drawing"),
    ...featureStatus(made),
  };
}
